"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { decideChangeAction } from "../actions";
import { decideChange } from "../schema";

const { TextField, SelectField } = fieldsOf(decideChange);

export function DecideForm({ id, version }: { id: string; version: number }) {
  return (
    <ActionForm
      inline
      schema={decideChange}
      action={decideChangeAction}
      fixed={{ id, version }}
      defaults={{ state: "accepted", decision: "" }}
      submit="Decide"
      look="plain"
    >
      <SelectField
        name="state"
        label="Decision"
        hideLabel
        options={[
          { value: "accepted", label: "accept" },
          { value: "declined", label: "decline" },
        ]}
      />
      <TextField name="decision" label="Reason" hideLabel placeholder="why" className="w-56" />
    </ActionForm>
  );
}
