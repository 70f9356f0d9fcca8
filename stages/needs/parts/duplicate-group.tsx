"use client";

import { RadioGroup } from "radix-ui";
import { useState } from "react";
import { cx } from "@/ui/classes";
import { ActButton } from "@/ui/form/act-button";
import { Radio } from "@/ui/radio";
import { mergeStatementsAction, tellApartAction } from "../actions";

/** A group of likely duplicates: the person says which one stands for all, or that they differ. */
export function DuplicateGroup({
  projectId,
  members,
  score,
  shared,
}: {
  projectId: string;
  members: { id: string; text: string }[];
  score: number;
  shared: string[];
}) {
  const [into, setInto] = useState(members[0]!.id);
  const [out, setOut] = useState<string[]>([]);
  const from = members.filter((m) => m.id !== into && !out.includes(m.id));
  return (
    <fieldset className="border-t border-line py-2">
      <legend className="sr-only">Likely the same</legend>
      <RadioGroup.Root
        value={into}
        onValueChange={(id) => {
          setInto(id);
          setOut(out.filter((x) => x !== id));
        }}
        aria-label="Which one stands for all"
      >
        {members.map((m) => (
          <div key={m.id} className="flex items-start gap-2 py-0.5">
            <label className="flex min-w-0 grow items-start gap-2 wrap-anywhere">
              <Radio value={m.id} className="mt-[3px]" />
              <span className={cx(out.includes(m.id) && "text-soft line-through")}>{m.text}</span>
            </label>
            {members.length > 2 && into !== m.id && (
              <button
                type="button"
                className="shrink-0 text-sm text-soft underline"
                onClick={() => setOut(out.includes(m.id) ? out.filter((x) => x !== m.id) : [...out, m.id])}
              >
                {out.includes(m.id) ? "belongs here" : "leave out"}
              </button>
            )}
          </div>
        ))}
      </RadioGroup.Root>
      <p className="mt-1 flex flex-wrap items-center gap-2 text-sm text-soft">
        {from.length > 0 && (
          <ActButton
            key={into + out.join()}
            action={mergeStatementsAction}
            input={{ projectId, into, from: from.map((m) => m.id) }}
          >
            They say the same: keep the chosen one
          </ActButton>
        )}
        {members.length === 2 && (
          <ActButton action={tellApartAction} input={{ projectId, a: members[0]!.id, b: members[1]!.id }} look="quiet">
            They differ
          </ActButton>
        )}
        {members.length > 2 &&
          out.map((x) => (
            <ActButton
              key={x}
              action={tellApartAction}
              input={{ projectId, a: into, b: x }}
              look="quiet"
            >{`“${members.find((m) => m.id === x)!.text.slice(0, 24)}…” differs from the chosen one`}</ActButton>
          ))}
        <span>
          likeness {score.toFixed(2)}, shared: {shared.slice(0, 6).join(", ")}
        </span>
      </p>
    </fieldset>
  );
}
