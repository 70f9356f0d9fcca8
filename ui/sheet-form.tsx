"use client";

import { RadioGroup } from "radix-ui";
import { type RefObject, useEffect, useRef, useState } from "react";
import { type FieldValues, useController, useFormContext, useWatch } from "react-hook-form";
import { cx } from "./classes";
import { ActionForm } from "./form/action-form";
import { SelectField, TextArea, TextField } from "./form/fields";
import { Radio } from "./radio";
import { useSheetBox, useSheetDraft } from "./sheet-box";
import { toast } from "./toast";
import { Waiting } from "./waiting";

interface Criterion {
  key: string;
  name: string;
  weight: string;
  levels: readonly { points: string; descriptor: string }[];
  /** Each member of the team is marked alone. */
  individual?: boolean;
}

interface Member {
  value: string;
  label: string;
}

const none = "–";

/** One member after the other by one criterion; who is not marked stays out of it. */
function PersonLevels({ c, members }: { c: Criterion; members: readonly Member[] }) {
  const options = [
    { value: none, label: "not marked" },
    ...c.levels.map((l) => ({ value: l.points, label: `${l.points} ${l.descriptor}`.trim() })),
  ];
  return (
    <fieldset className="border-t border-line pt-2.5">
      <legend className="pr-2 font-[650]">
        {c.name} <span className="text-sm font-normal text-soft">each alone</span>
      </legend>
      <div className="grid gap-3 sm:grid-cols-2">
        {members.map((m) => (
          <SelectField key={m.value} name={`persons.${c.key}.${m.value}`} label={m.label} options={options} />
        ))}
      </div>
    </fieldset>
  );
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

const together = (criteria: readonly Criterion[]) => criteria.filter((c) => !c.individual);
const alone = (criteria: readonly Criterion[]) => criteria.filter((c) => c.individual);

const filled = (criteria: readonly Criterion[], v: FieldValues) => ({
  raterName: v.raterName,
  comment: v.comment,
  ...(v.correction !== undefined && { correction: v.correction }),
  ...(alone(criteria).length > 0 && {
    persons: alone(criteria).flatMap((c) =>
      Object.entries((v.persons?.[c.key] ?? {}) as Record<string, string>).flatMap(([person, points]) =>
        points && points !== none ? [{ criterion: c.key, person, points }] : [],
      ),
    ),
  }),
  marks: together(criteria).flatMap((c) =>
    v.points?.[c.key] ? [{ criterion: c.key, points: v.points[c.key], comment: v.comments?.[c.key] ?? "" }] : [],
  ),
});
const same = (handed: Record<string, unknown>, now: Record<string, unknown>) =>
  Object.keys(now).every((k) => JSON.stringify(handed[k]) === JSON.stringify(now[k]));

/** What is being filled in stays in this browser until it is handed in, with the version that it was begun on. */
function Keeping({
  name,
  version,
  begun,
  late,
  criteria,
}: {
  name: string;
  version: number;
  begun: RefObject<number>;
  late: Record<string, unknown> | null;
  criteria: readonly Criterion[];
}) {
  const { control, reset, getValues, formState } = useFormContext();
  const values = useWatch({ control });
  const dirty = formState.isDirty;
  const restored = useRef(false);
  const keep = useSheetDraft<{ version: number; values: FieldValues }>(name, (draft) => {
    begun.current = draft.version;
    restored.current = true;
    reset(draft.values, { keepDefaultValues: true });
  });
  useEffect(() => {
    // The rendering in which the draft is not in the form yet.
    if (restored.current && !dirty) restored.current = false;
    else if (!dirty) begun.current = version;
    keep(dirty ? { version: begun.current, values } : null);
  });
  const heard = useRef(late);
  useEffect(() => {
    if (!late || heard.current === late) return;
    heard.current = late;
    if (same(late, filled(criteria, getValues()))) return reset(getValues());
    begun.current = Number(late.version) + 1;
    keep({ version: begun.current, values: getValues() });
  });
  return null;
}

/**
 * A rubric sheet to fill in: one rater, one review. Used by instructors and by guests on a phone or tablet; kept
 * through a reload and a lost network.
 */
export function SheetForm({
  schema,
  reviewId,
  raterId,
  version,
  criteria,
  rater,
  asksName,
  marks,
  comment,
  via,
  saved,
  members = [],
  persons = [],
  decided = false,
}: {
  schema: unknown;
  reviewId: string;
  raterId: string;
  version: number;
  criteria: readonly Criterion[];
  rater: string;
  asksName: boolean;
  marks: readonly { criterion: string; points: string; comment: string }[];
  comment: string;
  via?: "guest";
  saved: string;
  /** Who is marked alone, and how each was. */
  members?: readonly Member[];
  persons?: readonly { criterion: string; person: string; points: string }[];
  /** The review has its verdict: a correction needs its reason. */
  decided?: boolean;
}) {
  const name = `review.${reviewId}.${raterId}`;
  const begun = useRef(version);
  const [late, setLate] = useState<Record<string, unknown> | null>(null);
  const handed = () => toast(saved);
  const box = useSheetBox(
    name,
    "review",
    (input) => {
      setLate(input);
      handed();
    },
    via,
  );
  return (
    <div className="grid gap-3">
      <Waiting
        items={box.waiting}
        words={(x) => `The sheet${x.input.raterName ? ` of ${x.input.raterName}` : ""}`}
        onRetry={box.retry}
        onDrop={box.drop}
      />
      <ActionForm
        schema={schema}
        action={box.send}
        fixed={{ reviewId, version }}
        via={via}
        submit={version ? "Hand in the corrected sheet" : "Hand in the sheet"}
        onDone={handed}
        defaults={{
          raterName: rater,
          comment,
          points: Object.fromEntries(marks.map((m) => [m.criterion, m.points])),
          comments: Object.fromEntries(
            criteria.map((c) => [c.key, marks.find((m) => m.criterion === c.key)?.comment ?? ""]),
          ),
          ...(decided && { correction: "" }),
          persons: Object.fromEntries(
            alone(criteria).map((c) => [
              c.key,
              Object.fromEntries(
                members.map((m) => [
                  m.value,
                  persons.find((p) => p.criterion === c.key && p.person === m.value)?.points ?? none,
                ]),
              ),
            ]),
          ),
        }}
        shape={(v) => ({ ...filled(criteria, v), version: begun.current })}
      >
        <Keeping name={name} version={version} begun={begun} late={late} criteria={criteria} />
        {asksName && <TextField name="raterName" label="Your name" className="max-w-80" />}
        {together(criteria).map((c) => (
          <Levels key={c.key} c={c} />
        ))}
        {alone(criteria).map((c) => (
          <PersonLevels key={c.key} c={c} members={members} />
        ))}
        <TextArea name="comment" label="What should the team hear?" rows={3} />
        {decided && (
          <TextField name="correction" label="Why is it corrected after the verdict?" className="max-w-[520px]" />
        )}
      </ActionForm>
    </div>
  );
}
