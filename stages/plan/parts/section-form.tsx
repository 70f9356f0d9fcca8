"use client";

import { weekdays } from "@/ui/choices";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { createSectionAction } from "../actions";
import { newSection } from "../schema";

const { TextField, ChoiceField } = fieldsOf(newSection);

export function SectionForm({ projectId }: { projectId: string }) {
  return (
    <ActionForm
      clear
      schema={newSection}
      action={createSectionAction}
      fixed={{ projectId }}
      defaults={{ name: "", pattern: "weekdays", days: [] }}
      submit="Add section"
      look="plain"
      saved="Added."
    >
      <TextField name="name" label="Section" className="w-32" />
      <ChoiceField name="days" label="Meets on" numeric options={weekdays} />
    </ActionForm>
  );
}
