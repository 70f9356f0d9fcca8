"use client";

import { useEffect, useRef, useState } from "react";
import { useFormContext, useWatch } from "react-hook-form";
import { clashWords } from "@/core/slots/clash";
import type { SlotPlan, SlotProgress } from "@/core/slots/solver";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { slotDefinition } from "../schema-slots";
import { type SlotTeam, sentSlots, slotBoard, slotProblem, type TypedSlots } from "../view/slots";
import { newSlotWorker } from "./new-worker";
import { ReviewerLoads } from "./reviewer-loads";
import { SlotTable } from "./slot-table";

/** Looks for a plan in a worker, and shows it, or why there is none; what is found goes into the form. */
export function SlotPlanner({ teams }: { teams: readonly SlotTeam[] }) {
  const { getValues, setValue, trigger } = useFormContext<TypedSlots>();
  const ready = useReady();
  const [progress, setProgress] = useState<SlotProgress | null>(null);
  const [found, setFound] = useState<{ problem: ReturnType<typeof slotProblem>; plan: SlotPlan } | null>(null);
  const [note, setNote] = useState("");
  const worker = useRef<Worker | null>(null);
  useEffect(() => () => worker.current?.terminate(), []);
  // What was found is for what was typed then.
  const typed = JSON.stringify(useWatch<TypedSlots>(), (key, value) => (key === "places" ? undefined : value));
  const forWhat = useRef("");
  const stale = found !== null && forWhat.current !== typed;
  useEffect(() => {
    if (stale && getValues("places").length) setValue("places", []);
  }, [stale, getValues, setValue]);
  const stop = () => {
    worker.current?.terminate();
    worker.current = null;
    setProgress(null);
  };
  const plan = async () => {
    stop();
    setFound(null);
    setNote("");
    if (!(await trigger())) return setNote("Look at the marked fields.");
    const { teams: hours, places: _, ...definition } = sentSlots(getValues());
    const problem = slotProblem(
      slotDefinition.cast(definition),
      teams.map((t) => ({ ...t, hours: hours.find((h) => h.reviewId === t.reviewId)?.hours ?? [] })),
    );
    forWhat.current = typed;
    setProgress({ share: 0, round: 0 });
    const w = newSlotWorker();
    worker.current = w;
    w.onmessage = (e: MessageEvent<{ done: boolean; plan?: SlotPlan } & SlotProgress>) => {
      if (!e.data.done) return setProgress(e.data);
      stop();
      const answer = e.data.plan!;
      setFound({ problem, plan: answer });
      setValue("places", answer.ok ? [...answer.places] : [], { shouldDirty: true });
    };
    w.onerror = () => {
      stop();
      setNote("The planner stopped. Reload the page, and try again.");
    };
    w.postMessage(problem);
  };
  const board = found?.plan.ok ? slotBoard(found.problem, found.plan.places) : null;
  return (
    <div className="grid gap-3 border-t border-line pt-4">
      <div className="flex flex-wrap items-center gap-3">
        {progress ? (
          <>
            <button type="button" className={buttonClass("danger")} onClick={stop}>
              Stop
            </button>
            <progress className="h-2 w-48" value={progress.share} aria-label="Planning" />
          </>
        ) : (
          <button type="button" className={buttonClass("main")} disabled={!ready} onClick={() => void plan()}>
            Find the slots
          </button>
        )}
        <p role="status" className="text-sm text-soft">
          {note ||
            (stale
              ? "What is typed has changed since: find the slots again."
              : board
                ? board.gaps === 0
                  ? "Nobody has to wait between two reviews."
                  : `Reviewers wait ${board.gaps} ${board.gaps === 1 ? "time" : "times"} between two reviews; ` +
                    "no plan has fewer."
                : "")}
        </p>
      </div>
      {found && !found.plan.ok && !stale && (
        <div className="border-l-4 border-iron bg-iron-wash px-3 py-2" role="alert">
          <p className="font-[600]">There is no plan for these hours.</p>
          {clashWords(found.plan.clash, {
            teams: found.problem.teams.length,
            least: found.problem.panel.least,
          }).map((line) => (
            <p key={line}>{line}</p>
          ))}
        </div>
      )}
      {board && !stale && (
        <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
          <SlotTable board={board} rooms={sentSlots(getValues()).rooms} />
          <ReviewerLoads reviewers={board.reviewers} />
        </div>
      )}
    </div>
  );
}
