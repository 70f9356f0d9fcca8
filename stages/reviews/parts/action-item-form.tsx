"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { addActionAction } from "../actions";
import { action } from "../schema";

const { TextField, SelectField, CheckField } = fieldsOf(action);

/** By when: a class session where the section has any ahead, else a date. */
export const DueField = ({ sessions }: { sessions: readonly Option[] }) =>
  sessions.length ? (
    <SelectField name="dueOn" label="Due by class session" options={sessions} />
  ) : (
    <TextField name="dueOn" label="Due" type="date" />
  );

export const ChangesField = () => (
  <CheckField
    name="changesDesign"
    label="It changes the design"
    hint="The next build is asked for it, and it is pointed at where a build was made without."
  />
);

export function ActionItemForm({
  reviewId,
  members,
  sessions,
  due,
}: {
  reviewId: string;
  members: Option[];
  sessions: readonly Option[];
  due: string;
}) {
  return (
    <ActionForm
      clear
      schema={action}
      action={addActionAction}
      fixed={{ reviewId }}
      defaults={{ what: "", ownerId: "", dueOn: due, changesDesign: false }}
      submit="Add action"
      look="plain"
    >
      <TextField name="what" label="Action" />
      <SelectField name="ownerId" label="Owner" empty="the team" options={members} />
      <DueField sessions={sessions} />
      <ChangesField />
    </ActionForm>
  );
}
