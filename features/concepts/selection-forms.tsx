"use client";

import { useState } from "react";
import { useFieldArray, useFormContext } from "react-hook-form";
import { selection } from "@/data/schemas/front";
import { pairwiseMatrix, pairwiseWeights } from "@/core/concepts/matrix";
import { conceptSchools } from "@/ui/choices";
import { ActButton, ActionForm, ChoiceField, SelectField, TextField } from "@/ui/form";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { SelectionSheet, type SheetQuestion } from "@/ui/selection-sheet";
import {
  closeSelectionAction,
  openSelectionAction,
  rateConceptsAction,
  reopenSelectionAction,
  weighSelectionAction,
} from "./actions";

const why: Record<string, string> = {
  client: "Who will use it decides; the reason teaches.",
  panel: "Several eyes, each scoring every criterion; strict and mild raters can be evened out.",
  vote: "Quick, and everybody is heard; it measures liking.",
  weighted: "What matters is said in numbers before anybody scores.",
  datum: "No numbers to argue over: better or worse than one known concept.",
};

function Fields({ concepts }: { concepts: { value: string; label: string }[] }) {
  const form = useFormContext();
  const school = String(form.watch("school"));
  const chosen = (form.watch("conceptIds") as string[] | undefined) ?? [];
  const rows = useFieldArray({ name: "criteria" });
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField name="title" label="Title" />
        <SelectField name="school" label="School" options={conceptSchools} hint={why[school]} />
      </div>
      <ChoiceField name="conceptIds" label="Concepts that stand" options={concepts} />
      <div className="grid gap-3 sm:grid-cols-4">
        <TextField name="keep" label="How many go on" type="number" />
        {school === "vote" && <TextField name="votes" label="Votes each" type="number" />}
        {(school === "panel" || school === "weighted") && <TextField name="top" label="Best score" type="number" />}
        {(school === "panel" || school === "weighted") && (
          <SelectField
            name="severity"
            label="Several raters"
            options={[
              { value: "raw", label: "mean of their scores" },
              { value: "adjusted", label: "adjusted for severity" },
            ]}
            hint="Chosen before anybody scores; both are shown."
            className="sm:col-span-2"
          />
        )}
        {school === "datum" && (
          <SelectField
            name="datum"
            label="Datum"
            empty="choose"
            options={concepts.filter((c) => chosen.includes(c.value))}
            className="sm:col-span-2"
          />
        )}
      </div>
      {school !== "client" && school !== "vote" && (
        <fieldset className="grid gap-2">
          <legend className="mb-1 text-[12.5px] font-[600]">Criteria with their weights</legend>
          {rows.fields.map((f, i) => (
            <div key={f.id} className="flex items-end gap-2">
              <TextField name={`criteria.${i}.name`} label="Criterion" hideLabel={i > 0} className="grow" />
              <TextField
                name={`criteria.${i}.weight`}
                label="Weight"
                hideLabel={i > 0}
                inputMode="decimal"
                className="w-20"
              />
              <button type="button" className={buttonClass("quiet")} onClick={() => rows.remove(i)}>
                remove
              </button>
            </div>
          ))}
          <button
            type="button"
            className={`${buttonClass("quiet")} justify-self-start`}
            onClick={() => rows.append({ key: crypto.randomUUID().slice(0, 8), name: "", weight: "1" })}
          >
            add a criterion
          </button>
        </fieldset>
      )}
    </>
  );
}

export function SelectionForm({
  projectId,
  slug,
  school,
  concepts,
}: {
  projectId: string;
  slug: string;
  school: string;
  concepts: { value: string; label: string }[];
}) {
  return (
    <ActionForm
      schema={selection}
      action={openSelectionAction}
      fixed={{ projectId }}
      submit="Open the selection"
      goTo={`/p/${slug}/concepts/choose/:id`}
      className="grid max-w-[860px] gap-4"
      shape={(v) => (v.school === "client" || v.school === "vote" ? { ...v, criteria: [], datum: "" } : v)}
      defaults={{
        title: "Which concepts go on",
        school,
        conceptIds: concepts.map((c) => c.value),
        keep: 2,
        votes: 2,
        top: 5,
        severity: "raw",
        datum: "",
        criteria: [{ key: "c1", name: "", weight: "1" }],
      }}
    >
      <Fields concepts={concepts} />
    </ActionForm>
  );
}

export const StaffSheet = ({ q, given }: { q: SheetQuestion; given: Record<string, unknown> | null }) => (
  <SelectionSheet q={q} given={given} action={rateConceptsAction} />
);

const scale = [9, 7, 5, 3, 1, 1 / 3, 1 / 5, 1 / 7, 1 / 9];
const say = (v: number, a: string, b: string) =>
  v === 1 ? "both weigh the same" : v > 1 ? `${a}, ${v} times` : `${b}, ${Math.round(1 / v)} times`;

/** Weights by hand, or from comparing criteria two by two; the contradiction among the answers is said. */
export function WeightsForm({
  id,
  version,
  criteria,
  pairs,
}: {
  id: string;
  version: number;
  criteria: { key: string; name: string; weight: number }[];
  pairs: Record<string, number>;
}) {
  const ready = useReady();
  const [typed, setTyped] = useState(criteria.map((c) => String(Number(c.weight.toFixed(3)))));
  const [answers, setAnswers] = useState(pairs);
  const [how, setHow] = useState<"hand" | "pairs">(Object.keys(pairs).length ? "pairs" : "hand");
  const [note, setNote] = useState("");
  const result = criteria.length > 1 ? pairwiseWeights(pairwiseMatrix(criteria.length, answers)) : null;
  const weights = how === "pairs" && result ? result.weights : typed.map((t) => Number(t.replace(",", ".")));
  const ok = weights.every((w) => w > 0);
  return (
    <fieldset disabled={!ready} className="grid gap-2">
      <p className="flex gap-4 text-sm">
        {(["hand", "pairs"] as const).map((h) => (
          <label key={h} className="flex items-center gap-1.5">
            <input type="radio" name="how" className="accent-iron" checked={how === h} onChange={() => setHow(h)} />
            {h === "hand" ? "by hand" : "two by two"}
          </label>
        ))}
      </p>
      {how === "hand" ? (
        <div className="flex flex-wrap gap-3">
          {criteria.map((c, i) => (
            <label key={c.key} className="grid gap-1 text-sm">
              <span>{c.name}</span>
              <input
                className="input w-24"
                inputMode="decimal"
                value={typed[i]}
                onChange={(e) => setTyped(typed.map((t, j) => (j === i ? e.target.value : t)))}
              />
            </label>
          ))}
        </div>
      ) : (
        <>
          <div className="grid gap-1">
            {criteria.flatMap((a, i) =>
              criteria.slice(i + 1).map((b, d) => {
                const key = `${i}/${i + 1 + d}`;
                return (
                  <label key={key} className="grid items-center gap-2 sm:grid-cols-[minmax(0,18rem)_14rem]">
                    <span>
                      What matters more: {a.name} or {b.name}?
                    </span>
                    <select
                      className="input"
                      value={String(answers[key] ?? 1)}
                      onChange={(e) => setAnswers({ ...answers, [key]: Number(e.target.value) })}
                    >
                      {scale.map((v) => (
                        <option key={v} value={String(v)}>
                          {say(v, a.name, b.name)}
                        </option>
                      ))}
                    </select>
                  </label>
                );
              }),
            )}
          </div>
          {result && (
            <p className="text-sm">
              {criteria.map((c, i) => `${c.name} ${result.weights[i]!.toFixed(3)}`).join(" · ")}{" "}
              <span className={result.ratio > 0.1 ? "text-iron" : "text-soft"}>
                consistency ratio {result.ratio.toFixed(3)}
                {result.ratio > 0.1
                  ? ": above 0.1, the answers contradict each other" +
                    `${result.worst ? `, most between ${result.worst.map((i) => criteria[i]!.name).join(", ")}` : ""}`
                  : ""}
              </span>
            </p>
          )}
        </>
      )}
      <p className="flex items-center gap-2">
        <ActButton
          key={JSON.stringify(weights)}
          action={weighSelectionAction}
          input={{ id, version, weights, ...(how === "pairs" ? { pairs: answers } : {}) }}
          onDone={() => setNote("Kept.")}
        >
          Use these weights
        </ActButton>
        <span className="text-sm text-moss" role="status">
          {!ok ? "" : note}
        </span>
      </p>
    </fieldset>
  );
}

/** Which go on: the leading ones are ticked, a person decides, and every concept gets its reason. */
export function CloseForm({
  id,
  version,
  keep,
  rows,
}: {
  id: string;
  version: number;
  keep: number;
  rows: { id: string; title: string; leads: boolean; broken: string[] }[];
}) {
  const [going, setGoing] = useState(rows.filter((r) => r.leads).map((r) => r.id));
  const [reasons, setReasons] = useState<Record<string, string>>({});
  const warn = rows.filter((r) => going.includes(r.id) && r.broken.length);
  return (
    <div className="grid gap-2">
      <ul className="grid gap-1">
        {rows.map((r) => (
          <li key={r.id} className="grid items-center gap-2 sm:grid-cols-[minmax(0,16rem)_1fr]">
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                className="accent-iron"
                checked={going.includes(r.id)}
                onChange={(e) => setGoing(e.target.checked ? [...going, r.id] : going.filter((x) => x !== r.id))}
              />
              {r.title}
            </label>
            <input
              className="input"
              aria-label={`Reason for ${r.title}`}
              placeholder="reason; left empty, the result itself stands as the reason"
              value={reasons[r.id] ?? ""}
              onChange={(e) => setReasons({ ...reasons, [r.id]: e.target.value })}
            />
          </li>
        ))}
      </ul>
      {warn.map((r) => (
        <p key={r.id} className="text-sm text-iron">
          {r.title} breaks {r.broken.join(", ")}. It can go on; it must change.
        </p>
      ))}
      <ActButton
        key={going.join() + JSON.stringify(reasons)}
        action={closeSelectionAction}
        input={{ id, version, going, reasons }}
        look="main"
        confirm={`${going.length} of ${rows.length} go on, ${rows.length - going.length} are set aside.`}
      >{`Close: ${going.length} of ${keep} go on`}</ActButton>
    </div>
  );
}
export const ReopenSelection = ({ id }: { id: string }) => (
  <ActButton
    action={reopenSelectionAction}
    input={{ id }}
    look="quiet"
    confirm="Sheets can be handed in again; fates stay until it is closed anew."
  >
    open again
  </ActButton>
);
