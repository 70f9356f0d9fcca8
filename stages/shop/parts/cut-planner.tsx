"use client";

import { useEffect, useRef, useState } from "react";
import type { CutAnswer } from "@/core/cutting/plan";
import type { CutProblem } from "@/core/cutting/problem";
import { listed } from "@/core/text/listed";
import { buttonClass } from "@/ui/page";
import { cutSheets, exampleCuts, planWords, readCuts, type TypedCuts } from "../view/cutting";
import { CutSheets } from "./cut-sheets";
import { newCutWorker } from "./new-cut-worker";

/** The plan of what is typed; of an example where nothing is yet. */
export function CutPlanner({ typed, unit }: { typed: TypedCuts; unit: string }) {
  const nothing = !typed.blanks.trim() && !typed.pieces.trim();
  if (!nothing) return <Planned typed={typed} unit={unit} />;
  return (
    <div className="no-print grid gap-2">
      <p className="text-soft">An example, until you write what it is cut from, and the pieces.</p>
      <Planned typed={exampleCuts(typed, unit)} unit={unit} />
    </div>
  );
}

/** Finds the plan in a worker, and draws it; what cannot be read yet is said. */
function Planned({ typed, unit }: { typed: TypedCuts; unit: string }) {
  const read = readCuts(typed, unit);
  const asked = read.ok ? JSON.stringify(read.problem) : "";
  const [found, setFound] = useState<{ for: string; problem: CutProblem; answer: CutAnswer } | null>(null);
  const [share, setShare] = useState<number | null>(null);
  const [note, setNote] = useState("");
  const worker = useRef<Worker | null>(null);
  const stop = () => {
    worker.current?.terminate();
    worker.current = null;
    setShare(null);
  };
  useEffect(() => {
    if (!asked) return;
    const problem = JSON.parse(asked) as CutProblem;
    const w = newCutWorker();
    worker.current = w;
    setNote("");
    setShare(0);
    w.onmessage = (e: MessageEvent<{ done: boolean; share: number; answer: CutAnswer }>) => {
      if (!e.data.done) return setShare(e.data.share);
      setShare(null);
      setFound({ for: asked, problem, answer: e.data.answer });
      w.terminate();
    };
    w.onerror = () => {
      setShare(null);
      setNote("The planner stopped. Reload the page, and try again.");
    };
    w.postMessage(problem);
    return () => w.terminate();
  }, [asked]);
  if (!read.ok)
    return (
      <p role="status" className="text-soft">
        {read.message}
      </p>
    );
  const now = found?.for === asked ? found : null;
  return (
    <div className="grid min-w-0 gap-3">
      <div role="status" aria-live="polite">
        {share !== null && (
          <span className="flex flex-wrap items-center gap-3">
            <progress className="h-2 w-48" value={share} aria-label="Planning" />
            <button type="button" className={buttonClass("quiet")} onClick={stop}>
              stop
            </button>
          </span>
        )}
        {note && <span className="text-iron">{note}</span>}
        {now?.answer.ok && <p className="font-[600]">{planWords(now.problem, now.answer, unit).join(" ")}</p>}
        {now && !now.answer.ok && (
          <p className="text-iron">
            {listed(now.answer.pieces)} {now.answer.pieces.length === 1 ? "goes" : "go"} on nothing that it is cut from:
            name a larger one{now.problem.pieces.some((p) => !p.turns) ? ", or let it be turned" : ""}.
          </p>
        )}
      </div>
      {now?.answer.ok && <CutSheets sheets={cutSheets(now.problem, now.answer, unit)} />}
    </div>
  );
}
