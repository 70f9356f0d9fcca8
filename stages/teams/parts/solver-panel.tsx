"use client";

import { useEffect, useRef, useState } from "react";
import { type TeamProblem, usualWeights } from "@/core/teams/problem";
import type { SolverReport } from "@/core/teams/report";
import type { Solution, SolverProgress } from "@/core/teams/solver";
import { Checkbox } from "@/ui/checkbox";
import { Fold } from "@/ui/fold";
import { ActButton } from "@/ui/form/act-button";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { problemAction, saveTeamPlanAction } from "../actions";
import { Explained } from "./explained";

interface Setup {
  min: number;
  max: number;
  teams: number;
  conceptIds: string[];
  sectionIds: string[];
  weights: typeof usualWeights;
}

const weightWords = {
  idea: "A step down the list of ideas",
  wish: "A wish not met",
  skill: "A point of skill off balance",
  lone: "Exactly one of a marked group",
  repeat: "Last teammates together again",
} as const;

/**
 * Sets a team problem up, solves it in a worker with live progress, and explains the answer before anything is kept.
 */
export function SolverPanel({
  projectId,
  sections,
  concepts,
  min,
  max,
  students,
  live,
}: {
  projectId: string;
  sections: { value: string; label: string }[];
  concepts: { value: string; label: string }[];
  min: number;
  max: number;
  students: number;
  live: number;
}) {
  const ready = useReady();
  const [setup, setSetup] = useState<Setup>({
    min,
    max,
    teams: live || concepts.length ? 0 : Math.max(1, Math.round(students / ((min + max) / 2))),
    conceptIds: concepts.map((c) => c.value),
    sectionIds: sections.length === 1 ? [sections[0]!.value] : sections.map((s) => s.value),
    weights: usualWeights,
  });
  const [seed, setSeed] = useState("");
  const [progress, setProgress] = useState<SolverProgress | null>(null);
  const [problem, setProblem] = useState<TeamProblem | null>(null);
  const [answer, setAnswer] = useState<Solution | null>(null);
  const [note, setNote] = useState("");
  const [running, setRunning] = useState(false);
  const [report, setReport] = useState<SolverReport | null>(null);
  const worker = useRef<Worker | null>(null);
  const started = useRef(0);
  useEffect(() => {
    setSeed(String(1000 + (crypto.getRandomValues(new Uint32Array(1))[0]! % 9000)));
    return () => worker.current?.terminate();
  }, []);
  const explain = async (p: TeamProblem, a: Record<string, string>) => {
    const { reportTeams } = await import("@/core/teams/report");
    setReport(reportTeams(p, a));
  };
  const solve = async () => {
    setNote("");
    setAnswer(null);
    setReport(null);
    setProgress(null);
    setRunning(true);
    try {
      const p = await problemAction(projectId, setup);
      if (!p) {
        setRunning(false);
        return setNote("You may not do this, or you are signed out.");
      }
      setProblem(p);
      started.current = performance.now();
      worker.current?.terminate();
      const w = new Worker(new URL("../../../workers/teams.ts", import.meta.url));
      worker.current = w;
      w.onmessage = (e: MessageEvent<{ done: boolean; solution?: Solution } & SolverProgress>) => {
        if (!e.data.done) return setProgress(e.data);
        setRunning(false);
        w.terminate();
        const s = e.data.solution!;
        setAnswer(s);
        setNote(s.ok ? `Solved in ${((performance.now() - started.current) / 1000).toFixed(1)} s.` : "");
        if (s.ok) void explain(p, s.assignment);
      };
      w.postMessage({ problem: p, seed });
    } catch {
      setRunning(false);
      setNote("The network did not answer. Try again.");
    }
  };
  const cancel = () => {
    worker.current?.terminate();
    setRunning(false);
    if (progress && problem) {
      setAnswer({
        ok: true,
        assignment: progress.best,
        cost: { all: progress.cost, idea: 0, wish: 0, skill: 0, lone: 0, repeat: 0 },
      });
      setNote("Stopped: this is the best arrangement until then.");
      void explain(problem, progress.best);
    } else setNote("Stopped before there was an arrangement.");
  };
  const number = (key: "min" | "max" | "teams", label: string) => (
    <label className="grid gap-1 text-[12.5px] font-[600]">
      {label}
      <input
        type="number"
        min={key === "teams" ? 0 : 1}
        max={60}
        className="input w-24"
        value={setup[key]}
        onChange={(e) => setSetup({ ...setup, [key]: Number(e.target.value) })}
      />
    </label>
  );
  const ticks = (key: "conceptIds" | "sectionIds", list: { value: string; label: string }[]) => (
    <span className="flex flex-wrap gap-x-4 gap-y-1">
      {list.map((o) => (
        <label key={o.value} className="flex items-center gap-1.5">
          <Checkbox
            checked={setup[key].includes(o.value)}
            onChange={(on) =>
              setSetup({
                ...setup,
                [key]: on ? [...setup[key], o.value] : setup[key].filter((x) => x !== o.value),
              })
            }
          />
          {o.label}
        </label>
      ))}
    </span>
  );
  const clash = answer && !answer.ok ? answer : null;
  const wrong = !(setup.min >= 1 && setup.max <= 12 && setup.max >= setup.min)
    ? "Sizes go from 1 to 12, the largest not below the smallest."
    : !(setup.teams >= 0 && setup.teams <= 60)
      ? "At most 60 new teams."
      : Object.values(setup.weights).some((x) => !(x >= 0))
        ? "What counts how much is a number from 0 up."
        : !seed.trim()
          ? "Give a seed."
          : setup.sectionIds.length === 0
            ? "Choose a section."
            : null;
  return (
    <fieldset disabled={!ready} className="grid gap-3">
      <div className="flex flex-wrap items-end gap-3">
        {number("min", "Smallest")}
        {number("max", "Largest")}
        {number("teams", live ? "More teams" : "New teams")}
        <label className="grid gap-1 text-[12.5px] font-[600]">
          Seed
          <input className="input w-24" value={seed} onChange={(e) => setSeed(e.target.value)} />
        </label>
      </div>
      {sections.length > 1 && (
        <fieldset>
          <legend className="text-[12.5px] font-[600]">Sections</legend>
          {ticks("sectionIds", sections)}
        </fieldset>
      )}
      {concepts.length > 0 && (
        <fieldset>
          <legend className="text-[12.5px] font-[600]">A team for each of these concepts</legend>
          {ticks("conceptIds", concepts)}
        </fieldset>
      )}
      <Fold labelClass="text-[12.5px] font-[600]" label="What counts how much">
        <div className="mt-1 grid gap-1">
          {(Object.keys(weightWords) as (keyof typeof weightWords)[]).map((k) => (
            <label key={k} className="flex items-center gap-2">
              <input
                type="number"
                min={0}
                step={0.5}
                className="input w-20"
                value={setup.weights[k]}
                onChange={(e) => setSetup({ ...setup, weights: { ...setup.weights, [k]: Number(e.target.value) } })}
              />
              {weightWords[k]}
            </label>
          ))}
        </div>
      </Fold>
      <div className="flex flex-wrap items-center gap-3">
        {running ? (
          <button type="button" className={buttonClass("danger")} onClick={cancel}>
            Stop
          </button>
        ) : (
          <button type="button" className={buttonClass("main")} disabled={!!wrong} onClick={solve}>
            Form teams
          </button>
        )}
        {running && (
          <span
            className="h-2 w-48 bg-stone-1"
            role="progressbar"
            aria-valuenow={Math.round(100 * (progress?.share ?? 0))}
            aria-valuemin={0}
            aria-valuemax={100}
            aria-label="Solving"
          >
            <span className="block h-full bg-slate" style={{ width: `${100 * (progress?.share ?? 0)}%` }} />
          </span>
        )}
        <span role="status" className="text-sm text-soft">
          {running && progress ? `best cost so far ${progress.cost.toFixed(1)}` : (ready && wrong) || note}
        </span>
      </div>
      {clash &&
        (clash.proven ? (
          <div className="border-l-4 border-iron bg-iron-wash px-3 py-2" role="alert">
            <p className="font-[600]">These cannot hold together:</p>
            <ul className="list-disc pl-5">
              {clash.clash.map((c) => (
                <li key={c.text}>{c.text}</li>
              ))}
            </ul>
            <p className="mt-1 text-sm">Leave one of them out, or change the sizes.</p>
          </div>
        ) : (
          <p className="text-iron" role="alert">
            No arrangement was found in the steps allowed, and it is not proven that there is none. Loosen a limit, or
            try another seed.
          </p>
        ))}
      {answer?.ok && report && problem && (
        <>
          <Explained report={report} problem={problem} />
          <ActButton
            key={JSON.stringify(answer.assignment).length + seed}
            action={saveTeamPlanAction}
            input={{ projectId, name: `Plan with seed ${seed}`, seed, setup, assignment: answer.assignment }}
            look="main"
            onDone={() => {
              setAnswer(null);
              setReport(null);
            }}
          >
            Keep this plan to compare
          </ActButton>
        </>
      )}
    </fieldset>
  );
}
