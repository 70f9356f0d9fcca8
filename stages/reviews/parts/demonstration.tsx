"use client";

import { RadioGroup } from "radix-ui";
import { useController, useFormContext } from "react-hook-form";
import { wishOutcome } from "@/core/vocabulary/reviews";
import { cx } from "@/ui/classes";
import { ActionForm } from "@/ui/form/action-form";
import { FieldGroup, useField } from "@/ui/form/field";
import { fieldsFor } from "@/ui/form/fields-of";
import type { Send } from "@/ui/form/result";
import { Radio } from "@/ui/radio";
import { demonstrate } from "../schema";
import type { WishLine } from "../view/wishes";

const { TextField } = fieldsFor<{ who: string; word: string }>();

/** Met, partly, not met, side by side. */
function Outcome({ words }: { words: string }) {
  const f = useField("outcome");
  const { control } = useFormContext();
  const { field } = useController({ name: f.full, control });
  return (
    <RadioGroup.Root
      value={String(field.value ?? "")}
      onValueChange={field.onChange}
      aria-label={words}
      className="flex flex-wrap gap-2"
    >
      {wishOutcome.options.map((o) => (
        <label
          key={o.value}
          className={cx(
            "flex min-h-11 cursor-pointer items-center gap-2 rounded-sm border px-3",
            field.value === o.value ? "border-iron bg-iron-wash" : "border-line bg-sheet hover:border-ink",
          )}
        >
          <Radio value={o.value} />
          {o.label}
        </label>
      ))}
    </RadioGroup.Root>
  );
}

/** What the client finds of each wish as the device is shown. */
export function DemonstrationForm({
  reviewId,
  wishes,
  who,
  action,
  via,
}: {
  reviewId: string;
  wishes: readonly WishLine[];
  who: string;
  action: Send<{ evidence: number }>;
  via?: "guest";
}) {
  return (
    <ActionForm
      schema={demonstrate}
      action={action}
      fixed={{ reviewId }}
      defaults={{ who, lines: wishes.map((w) => ({ outcome: w.outcome, word: w.word })) }}
      shape={(v) => ({
        who: v.who,
        wishes: wishes.flatMap((w, i) => {
          const line = (v.lines as { outcome: string; word: string }[])[i];
          return line?.outcome ? [{ requirementId: w.requirementId, outcome: line.outcome, word: line.word }] : [];
        }),
      })}
      submit="Record what was found"
      saved="Recorded."
      via={via}
      className="grid gap-4"
    >
      <TextField name="who" label="Who says so" className="max-w-80" />
      {wishes.map((w, i) => (
        <FieldGroup key={w.requirementId} name={`lines.${i}`}>
          <fieldset className="grid gap-2 border-t border-line pt-3">
            <legend className="pr-2">
              <span className="font-[650]">{w.words}</span> <span className="text-sm text-soft">{w.code}</span>
            </legend>
            {w.measured && (
              <p className="text-sm text-soft">
                Measured on the bench: {w.measured}. That decides; what you say stands beside it.
              </p>
            )}
            <div className="grid items-center gap-2 sm:grid-cols-[auto_1fr]">
              <Outcome words={w.words} />
              <TextField name="word" label={`A word on ${w.code}`} hideLabel placeholder="in a word" />
            </div>
          </fieldset>
        </FieldGroup>
      ))}
    </ActionForm>
  );
}
