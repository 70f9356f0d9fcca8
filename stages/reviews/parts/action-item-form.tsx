"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { addActionAction } from "../actions";
import { action } from "../schema";

const { TextField, SelectField } = fieldsOf(action);

export function ActionItemForm({ reviewId, members, due }: { reviewId: string; members: Option[]; due: string }) {
  return (
    <ActionForm
      clear
      schema={action}
      action={addActionAction}
      fixed={{ reviewId }}
      defaults={{ what: "", ownerId: "", dueOn: due }}
      submit="Add action"
      look="plain"
    >
      <TextField name="what" label="Action" />
      <div className="grid gap-3 sm:grid-cols-2">
        <SelectField name="ownerId" label="Owner" empty="the team" options={members} />
        <TextField name="dueOn" label="Due" type="date" />
      </div>
    </ActionForm>
  );
}
