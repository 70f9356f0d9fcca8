"use client";

import { findingOutcome } from "@/core/vocabulary/needs";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { recordFindingAction } from "../actions";
import { finding } from "../schema";

const { TextField, SelectField } = fieldsOf(finding);

export function FindingForm({
  requirementId,
  builds,
}: {
  requirementId: string;
  builds: { id: string; label: string }[];
}) {
  return (
    <ActionForm
      inline
      clear
      schema={finding}
      action={recordFindingAction}
      fixed={{ requirementId }}
      defaults={{ buildId: builds[0]?.id ?? "", outcome: "met", note: "" }}
      submit="Record"
      look="plain"
      saved="Recorded."
    >
      <SelectField name="buildId" label="Build" options={builds.map((b) => ({ value: b.id, label: b.label }))} />
      <SelectField name="outcome" label="Found" options={findingOutcome.options} />
      <TextField name="note" label="Seen how" className="w-56" />
    </ActionForm>
  );
}
