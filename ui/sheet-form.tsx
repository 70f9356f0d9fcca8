"use client";

import { RadioGroup } from "radix-ui";
import { useController, useFormContext } from "react-hook-form";
import { cx } from "./classes";
import { ActionForm } from "./form/action-form";
import { TextArea, TextField } from "./form/fields";
import type { ActionResult } from "./form/result";
import { Radio } from "./radio";

interface Criterion {
  key: string;
  name: string;
  weight: string;
  levels: readonly { points: string; descriptor: string }[];
}

function Levels({ c }: { c: Criterion }) {
  const { control, formState } = useFormContext();
  const { field } = useController({ name: `points.${c.key}`, control });
  const chosen = String(field.value ?? "");
  const error = (formState.errors.marks as Record<string, { message?: string }> | undefined)?.[c.key]?.message;
  return (
    <fieldset className="border-t border-line pt-2.5">
      <legend className="pr-2 font-[650]">
        {c.name} <span className="text-sm font-normal text-soft">weight {c.weight}</span>
      </legend>
      <RadioGroup.Root
        value={chosen}
        onValueChange={field.onChange}
        aria-label={c.name}
        className="grid gap-1.5 sm:grid-cols-2 lg:grid-cols-4"
      >
        {c.levels.map((l) => (
          <label
            key={l.points}
            className={cx(
              "flex min-h-11 cursor-pointer items-start gap-2 rounded-sm border px-2.5 py-1.5 " +
                "has-focus-visible:outline-2 has-focus-visible:outline-iron",
              chosen === l.points ? "border-iron bg-iron-wash" : "border-line bg-sheet hover:border-ink",
            )}
          >
            <Radio value={l.points} className="mt-[3px]" />
            <span>
              <strong className="font-[650]">{l.points}</strong>{" "}
              <span className="text-sm text-soft">{l.descriptor}</span>
            </span>
          </label>
        ))}
      </RadioGroup.Root>
      {error && <p className="mt-1 text-sm text-iron">{error}</p>}
      <div className="mt-1.5">
        <TextField name={`comments.${c.key}`} label={`Comment on ${c.name}`} hideLabel placeholder="comment" />
      </div>
    </fieldset>
  );
}

/** A rubric sheet to fill in: one rater, one review. Used by instructors and by guests on a phone or tablet. */
export function SheetForm({
  schema,
  action,
  reviewId,
  version,
  criteria,
  rater,
  asksName,
  marks,
  comment,
  via,
  saved,
}: {
  schema: unknown;
  action: (input: unknown, envelope: { requestId: string; via?: "guest" }) => Promise<ActionResult>;
  reviewId: string;
  version: number;
  criteria: readonly Criterion[];
  rater: string;
  asksName: boolean;
  marks: readonly { criterion: string; points: string; comment: string }[];
  comment: string;
  via?: "guest";
  saved: string;
}) {
  return (
    <ActionForm
      schema={schema}
      action={action}
      fixed={{ reviewId, version }}
      via={via}
      submit={version ? "Hand in the corrected sheet" : "Hand in the sheet"}
      saved={saved}
      defaults={{
        raterName: rater,
        comment,
        points: Object.fromEntries(marks.map((m) => [m.criterion, m.points])),
        comments: Object.fromEntries(
          criteria.map((c) => [c.key, marks.find((m) => m.criterion === c.key)?.comment ?? ""]),
        ),
      }}
      shape={(v) => ({
        raterName: v.raterName,
        comment: v.comment,
        marks: criteria.flatMap((c) =>
          v.points?.[c.key] ? [{ criterion: c.key, points: v.points[c.key], comment: v.comments?.[c.key] ?? "" }] : [],
        ),
      })}
    >
      {asksName && <TextField name="raterName" label="Your name" className="max-w-80" />}
      {criteria.map((c) => (
        <Levels key={c.key} c={c} />
      ))}
      <TextArea name="comment" label="What should the team hear?" rows={3} />
    </ActionForm>
  );
}
