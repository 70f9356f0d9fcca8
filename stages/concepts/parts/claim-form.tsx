"use client";

import { claimWord } from "@/core/vocabulary/concepts";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { claimMustAction } from "../actions";
import { claim } from "../schema";

const { TextField, SelectField, QuantityField } = fieldsOf(claim);

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
        options={claimWord.options}
        className="w-30"
      />
      {unit && (
        <QuantityField name="estimate" label="Estimate" hideLabel unit={unit} placeholder="estimate" className="w-36" />
      )}
      <TextField name="how" label="How" hideLabel placeholder="how, in a few words" className="w-60 max-w-full" />
    </ActionForm>
  );
}
