"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { addDaysOffToProjectAction } from "../actions";
import { daysOff } from "../schema";

const { TextArea, SelectField } = fieldsOf(daysOff);

export function DaysOffForm({
  projectId,
  sections,
}: {
  projectId: string;
  sections: { value: string; label: string }[];
}) {
  return (
    <ActionForm
      clear
      schema={daysOff}
      action={addDaysOffToProjectAction}
      fixed={{ projectId }}
      defaults={{ text: "", sectionId: "" }}
      submit="Add days off"
      look="plain"
    >
      <TextArea
        name="text"
        label="Days off"
        rows={3}
        hint="One a line: 2027-02-15 Staff day, or 2027-02-22 to 2027-02-26 Half-term"
      />
      <SelectField name="sectionId" label="For" empty="all sections" options={sections} />
    </ActionForm>
  );
}
