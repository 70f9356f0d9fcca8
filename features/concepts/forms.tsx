"use client";

import { useEffect, useMemo, useState } from "react";
import { claim, concept, conceptFate, mergeConcepts } from "@/data/schemas/front";
import { ActButton, ActionForm, ChoiceField, QuantityField, SelectField, TextArea, TextField } from "@/ui/form";
import { buttonClass } from "@/ui/page";
import { PictureUpload } from "@/ui/picture";
import {
  addSketchAction,
  claimMustAction,
  decideConceptAction,
  mergeConceptsAction,
  removeSketchAction,
  saveConceptAction,
  saveSettingsAction,
} from "./actions";

export interface ConceptValues {
  id?: string;
  version: number;
  title: string;
  idea: string;
  dimensions: string;
  mass: string;
  cost: string;
  sides: string;
}

export function ConceptForm({ projectId, slug, edit }: { projectId: string; slug: string; edit?: ConceptValues }) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <button type="button" className={buttonClass(edit ? "plain" : "main")} onClick={() => setOpen(true)}>
        {edit ? "Edit" : "New concept"}
      </button>
    );
  const { id, version, ...values } = edit ?? {
    id: undefined,
    version: 0,
    title: "",
    idea: "",
    dimensions: "",
    mass: "",
    cost: "",
    sides: "",
  };
  return (
    <div className="sheet w-full px-4 py-3">
      <ActionForm
        schema={concept}
        action={saveConceptAction}
        fixed={{ projectId, id, version }}
        defaults={values}
        submit="Save concept"
        goTo={edit ? undefined : `/p/${slug}/concepts/:id`}
        onDone={() => setOpen(false)}
        cancel={
          <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(false)}>
            Leave without saving
          </button>
        }
      >
        <TextField name="title" label="Title" />
        <TextArea name="idea" label="How it works" rows={4} />
        <div className="grid gap-3 sm:grid-cols-3">
          <QuantityField name="mass" label="Estimated mass" unit="kg" />
          <QuantityField name="cost" label="Estimated cost" unit="1" />
          <TextField name="sides" label="Estimated size" hint="600 × 400 × 400 mm" />
        </div>
        <TextArea name="dimensions" label="Key dimensions" rows={3} hint="One a line with its unit: bore = 40 mm" />
      </ActionForm>
    </div>
  );
}

export const SketchUpload = ({ conceptId }: { conceptId: string }) => (
  <PictureUpload action={addSketchAction} input={{ conceptId }} label="Sketch file">
    Add a sketch or photo
  </PictureUpload>
);
export const RemoveSketch = ({ id }: { id: string }) => (
  <ActButton action={removeSketchAction} input={{ id }} look="quiet" confirm="The sketch goes.">
    remove
  </ActButton>
);

/** How the concept meets one must: a word, a reason, and an estimate where the must is measured. */
export function ClaimForm({
  conceptId,
  requirementId,
  says,
  how,
  estimate,
  unit,
}: {
  conceptId: string;
  requirementId: string;
  says: string;
  how: string;
  estimate: string;
  unit: string | null;
}) {
  return (
    <ActionForm
      inline
      schema={claim}
      action={claimMustAction}
      fixed={{ conceptId, requirementId }}
      defaults={{ says, how, estimate }}
      submit="Keep"
      look="plain"
      saved="Kept."
    >
      <SelectField
        name="says"
        label="Meets it"
        hideLabel
        empty="says nothing"
        options={[
          { value: "yes", label: "meets it" },
          { value: "unsure", label: "not sure" },
          { value: "no", label: "does not" },
        ]}
        className="w-30"
      />
      {unit && (
        <QuantityField name="estimate" label="Estimate" hideLabel unit={unit} placeholder="estimate" className="w-36" />
      )}
      <TextField name="how" label="How" hideLabel placeholder="how, in a few words" className="w-60 max-w-full" />
    </ActionForm>
  );
}

export function FateForm({ id, version, fate, reason }: { id: string; version: number; fate: string; reason: string }) {
  return (
    <ActionForm
      schema={conceptFate}
      action={decideConceptAction}
      fixed={{ id, version }}
      defaults={{ fate: fate === "merged" ? "open" : fate, reason }}
      submit="Decide"
      look="plain"
      saved="Kept."
    >
      <SelectField
        name="fate"
        label="Decision"
        options={["open", "goes on", "set aside"].map((v) => ({ value: v, label: v }))}
      />
      <TextField name="reason" label="Reason" />
    </ActionForm>
  );
}

export function MergeForm({
  projectId,
  slug,
  concepts,
}: {
  projectId: string;
  slug: string;
  concepts: { value: string; label: string }[];
}) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <button type="button" className={buttonClass()} onClick={() => setOpen(true)}>
        Merge concepts
      </button>
    );
  return (
    <div className="sheet w-full px-4 py-3">
      <ActionForm
        schema={mergeConcepts}
        action={mergeConceptsAction}
        fixed={{ projectId }}
        defaults={{ title: "", idea: "", parents: [], reason: "" }}
        submit="Merge"
        goTo={`/p/${slug}/concepts/:id`}
        cancel={
          <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(false)}>
            Leave
          </button>
        }
      >
        <ChoiceField name="parents" label="Which become one" options={concepts} />
        <TextField name="title" label="Title of the merged concept" />
        <TextArea name="idea" label="What it takes from each" />
        <TextField name="reason" label="Why" />
      </ActionForm>
    </div>
  );
}

export const OpenConcepts = ({ projectId, open }: { projectId: string; open: boolean }) => (
  <ActButton
    action={saveSettingsAction}
    input={{ projectId, conceptsOpen: !open }}
    confirm={
      open
        ? "Students see their own concepts only again."
        : "From now on everybody in the class and the client sees every concept."
    }
  >
    {open ? "Hide them from each other" : "Open all concepts"}
  </ActButton>
);

/** How often each concept comes first over random weights, computed in a worker while the page stays free. */
export function FirstPlaces({
  input,
  sets,
  seed,
}: {
  input: import("@/core/concepts/fragility").FragilityInput;
  sets: number;
  seed: string;
}) {
  const [step, setStep] = useState<{ done: number; shares: number[] } | null>(null);
  const text = JSON.stringify(input);
  const question = useMemo(() => JSON.parse(text) as typeof input, [text]);
  useEffect(() => {
    setStep(null);
    const worker = new Worker(new URL("../../workers/fragility.ts", import.meta.url));
    worker.onmessage = (e) => setStep(e.data);
    worker.postMessage({ input: question, sets, seed });
    return () => worker.terminate();
  }, [question, sets, seed]);
  const rows = question.options
    .map((o, i) => ({ ...o, share: step?.shares[i] ?? 0 }))
    .sort((a, b) => b.share - a.share);
  return (
    <div>
      <p className="mb-1 text-sm text-soft" role="status">
        {step
          ? `${step.done.toLocaleString("en")} of ${sets.toLocaleString("en")} weight sets, seed ${seed}`
          : "Counting…"}
      </p>
      <ul className="grid gap-0.5">
        {rows.slice(0, 12).map((r) => (
          <li key={r.key} className="grid grid-cols-[minmax(0,11rem)_1fr_3rem] items-center gap-2">
            <span className="truncate">{r.name}</span>
            <span aria-hidden className="h-2 bg-stone-1">
              <span className="block h-full bg-slate" style={{ width: `${100 * r.share}%` }} />
            </span>
            <span className="text-right">{(100 * r.share).toFixed(0)} %</span>
          </li>
        ))}
      </ul>
    </div>
  );
}
