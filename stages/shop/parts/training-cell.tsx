"use client";

import { cx } from "@/ui/classes";
import { ActButton } from "@/ui/form/act-button";
import { signToolAction } from "../actions";

const looks = { none: "text-soft", holds: "text-moss", "ends soon": "text-ochre-deep", over: "text-iron" } as const;

/** How somebody's training for a tool stands; an instructor signs, renews or takes it back. */
export function TrainingCell({
  toolId,
  personId,
  state,
  words,
  edits,
  named,
}: {
  toolId: string;
  personId: string;
  state: keyof typeof looks;
  words: string;
  edits: boolean;
  /** “Mira Holt, band saw”, for whoever hears the button. */
  named: string;
}) {
  const sign = (on: boolean, label: string) => (
    <ActButton action={signToolAction} input={{ toolId, personId, on }} look="quiet">
      {label}
      <span className="sr-only"> {named}</span>
    </ActButton>
  );
  return (
    <span className="flex flex-wrap items-baseline gap-x-2 whitespace-nowrap">
      <span className={cx(looks[state])}>{words}</span>
      {edits &&
        (state === "none" ? sign(true, "sign") : state === "holds" ? sign(false, "take back") : sign(true, "renew"))}
    </span>
  );
}
