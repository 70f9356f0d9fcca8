"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { keepEvidenceAction } from "../actions";
import { keep } from "../schema";

const { TextField, SelectField } = fieldsOf(keep);

export function KeepForm({
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
      schema={keep}
      action={keepEvidenceAction}
      fixed={{ requirementId }}
      defaults={{ buildId: builds[0]?.id ?? "", reason: "" }}
      submit="Keep it"
      look="plain"
      saved="Kept."
    >
      <SelectField
        name="buildId"
        label="Stale evidence of"
        options={builds.map((b) => ({ value: b.id, label: b.label }))}
      />
      <TextField name="reason" label="Why it still holds" className="w-72" />
    </ActionForm>
  );
}
