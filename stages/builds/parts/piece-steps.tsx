"use client";

import type { PieceStep } from "@/core/vocabulary/builds";
import { pieceStep } from "@/core/vocabulary/builds";
import { Checkbox } from "@/ui/checkbox";
import { useSend } from "@/ui/form/send";
import { useReady } from "@/ui/ready";
import { tip } from "@/ui/tip";
import { markPieceAction, releasePieceAction } from "../actions";

/** How far a piece is, ticked one by one; who saw to a step and when stands behind its word. */
export function PieceSteps({
  id,
  name,
  steps,
  done,
  missing,
  mine,
  staff,
}: {
  id: string;
  name: string;
  steps: readonly PieceStep[];
  done: Readonly<Partial<Record<PieceStep, string>>>;
  /** What is missing before it may be cut. */
  missing: readonly string[];
  mine: boolean;
  staff: boolean;
}) {
  const ready = useReady();
  const marking = useSend(markPieceAction);
  const releasing = useSend(releasePieceAction);
  const note = marking.note || releasing.note;
  return (
    <div className="grid gap-1">
      <div className="flex flex-wrap gap-x-3.5 gap-y-1">
        {steps.map((step) => {
          const who = done[step];
          const may = step === "released" ? staff : mine;
          return (
            <label key={step} className="inline-flex min-h-6 items-center gap-1.5" {...(who ? tip(who) : {})}>
              <Checkbox
                checked={who !== undefined}
                disabled={!ready || !may || marking.busy || releasing.busy}
                aria-label={`${name}: ${pieceStep.labels[step]}${who ? `, ${who}` : ""}`}
                onChange={(on) =>
                  void (step === "released" ? releasing.send({ id, on }) : marking.send({ id, step, on }))
                }
              />
              <span className={who ? "" : "text-soft"}>{step}</span>
            </label>
          );
        })}
      </div>
      {missing.length > 0 && <p className="text-xs text-soft">Before it is cut: {missing.join(" ")}</p>}
      <p role="status" className="text-xs text-iron empty:hidden">
        {note}
      </p>
    </div>
  );
}
