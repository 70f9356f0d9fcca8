"use client";

import { useState } from "react";
import { concept, conceptFate } from "@/data/schemas/front";
import { ActionForm, QuantityField, SelectField, TextArea, TextField } from "@/ui/form";
import { buttonClass } from "@/ui/page";
import { decideConceptAction, saveConceptAction } from "./actions";

export function ConceptForm({ projectId, edit }: { projectId: string; edit?: { id: string; version: number; title: string; idea: string; mass: string; cost: string; sides: string } }) {
  const [open, setOpen] = useState(false);
  if (!open) return <button type="button" className={buttonClass(edit ? "quiet" : "main")} onClick={() => setOpen(true)}>{edit ? "Edit" : "New concept"}</button>;
  const { id, version, ...values } = edit ?? { id: undefined, version: 0, title: "", idea: "", mass: "", cost: "", sides: "" };
  return (
    <div className="sheet w-full px-4 py-3">
      <ActionForm schema={concept} action={saveConceptAction} fixed={{ projectId, id, version }} defaults={values} submit="Save concept" onDone={() => setOpen(false)} cancel={<button type="button" className={buttonClass("quiet")} onClick={() => setOpen(false)}>Leave without saving</button>}>
        <TextField name="title" label="Title" />
        <TextArea name="idea" label="How it works" rows={4} />
        <div className="grid gap-3 sm:grid-cols-3">
          <QuantityField name="mass" label="Estimated mass" unit="kg" /><QuantityField name="cost" label="Estimated cost" unit="1" /><TextField name="sides" label="Estimated size" hint="600 × 400 × 400 mm" />
        </div>
      </ActionForm>
    </div>
  );
}

export function FateForm({ id, version, fate, reason }: { id: string; version: number; fate: string; reason: string }) {
  return (
    <ActionForm inline schema={conceptFate} action={decideConceptAction} fixed={{ id, version }} defaults={{ fate, reason }} submit="Decide" look="plain" saved="Kept.">
      <SelectField name="fate" label="Decision" hideLabel options={["open", "goes on", "set aside"].map((v) => ({ value: v, label: v }))} />
      <TextField name="reason" label="Reason" hideLabel placeholder="why" className="w-56" />
    </ActionForm>
  );
}
