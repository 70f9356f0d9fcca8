"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { toast } from "@/ui/toast";
import { keepEvidenceAction, keepHoldingAction } from "../actions";
import { keep, keepHolding } from "../schema";

const { TextField, SelectField } = fieldsOf(keep);
const every = fieldsOf(keepHolding);

/** Keeps at once what a changed limit made stale and what still meets it. */
export const KeepHolding = ({ requirementId }: { requirementId: string }) => (
  <UnfoldForm
    label="Keep every result that still holds"
    buttonLook="plain"
    inline
    schema={keepHolding}
    action={keepHoldingAction}
    fixed={{ requirementId }}
    defaults={{ reason: "" }}
    submit="Keep them"
    onDone={({ kept, left }) => {
      toast(`${kept} kept.${left ? ` ${left} do not hold and stay stale.` : ""}`);
    }}
  >
    <every.TextField name="reason" label="Why they stand" hint="for example: the limit was loosened" className="w-72" />
  </UnfoldForm>
);

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
