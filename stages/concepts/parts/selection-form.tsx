"use client";

import { useFieldArray, useFormContext } from "react-hook-form";
import { conceptMethod, severity } from "@/core/vocabulary/concepts";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { buttonClass } from "@/ui/page";
import { openSelectionAction } from "../actions";
import { selection } from "../schema";

const { TextField, SelectField, ChoiceField } = fieldsOf(selection);

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
        <SelectField name="school" label="School" options={conceptMethod.options} hint={why[school]} />
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
            options={severity.options}
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
      saved="The selection is set up."
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
