"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { decideConceptAction } from "../actions";
import { conceptFate } from "../schema";

const { TextField, SelectField } = fieldsOf(conceptFate);

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
