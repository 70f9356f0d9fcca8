"use client";

import { twiceMethod } from "@/core/vocabulary/contest";
import { useSend } from "@/ui/form/send";
import { buttonClass } from "@/ui/page";
import { settleAttemptAction } from "../actions";
import type { ScoredTwice as Both } from "../view/field";

/** An attempt that two people scored: both records, and a press for what stands. */
export function ScoredTwice({ both, team, via }: { both: Both; team: string; via?: "guest" }) {
  const { first, second } = both;
  const { send, busy, note } = useSend(settleAttemptAction);
  return (
    <section
      aria-label={`Attempt ${first.number} of ${team}, scored by two people`}
      className="grid gap-1.5 border-l-4 border-iron pl-3"
    >
      <p className="font-[600]">Two people scored attempt {first.number}. Which is it?</p>
      <ul className="text-sm">
        <li>
          First: <strong className="font-[650]">{first.text}</strong> <span className="text-soft">by {first.by}</span>
        </li>
        <li>
          Second: <strong className="font-[650]">{second.text}</strong>{" "}
          <span className="text-soft">by {second.by}</span>
        </li>
      </ul>
      <p className="flex flex-wrap gap-2">
        {twiceMethod.options.map((o) => (
          <button
            key={o.value}
            type="button"
            disabled={busy}
            className={`${buttonClass()} min-h-11`}
            onClick={() => send({ id: second.id, version: second.version, keep: o.value }, { via })}
          >
            {o.label[0]!.toUpperCase() + o.label.slice(1)}
          </button>
        ))}
      </p>
      {note && (
        <p role="alert" className="text-sm text-iron">
          {note}
        </p>
      )}
    </section>
  );
}
