"use client";

import { milestoneScope } from "@/core/vocabulary/project";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { saveMilestoneAction } from "../actions";
import { milestone } from "../schema";

const { TextField, SelectField } = fieldsOf(milestone);

export function MilestoneForm({ projectId }: { projectId: string }) {
  return (
    <ActionForm
      inline
      clear
      schema={milestone}
      action={saveMilestoneAction}
      fixed={{ projectId }}
      defaults={{ title: "", dueOn: "", scope: "team" }}
      submit="Add milestone"
      look="plain"
    >
      <TextField name="title" label="Milestone" className="w-48" />
      <TextField name="dueOn" label="Due" type="date" className="w-38" />
      <SelectField name="scope" label="Passed by" options={milestoneScope.options} />
    </ActionForm>
  );
}
