"use client";

import { projectKind } from "@/core/vocabulary/project";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { editProjectAction } from "../actions";
import { editProject } from "../schema";

const { TextField, SelectField } = fieldsOf(editProject);

export function ProjectForm({
  projectId,
  version,
  values,
}: {
  projectId: string;
  version: number;
  values: Record<string, string>;
}) {
  return (
    <ActionForm
      schema={editProject}
      action={editProjectAction}
      fixed={{ projectId, version }}
      defaults={values}
      submit="Save"
      saved="Saved."
      className="grid max-w-[700px] gap-4"
    >
      <TextField name="title" label="Title" />
      <TextField name="purpose" label="Purpose" hint="One sentence that says what the design is for." />
      <div className="grid gap-4 sm:grid-cols-3">
        <SelectField name="kind" label="Kind" options={projectKind.options} />
        <TextField name="client" label="Client" />
        <TextField name="currency" label="Currency" hint="as it stands behind a price, for example cr" />
      </div>
      <div className="grid gap-4 sm:grid-cols-3">
        <TextField name="startsOn" label="First day" type="date" />
        <TextField name="endsOn" label="Last day" type="date" />
        <TextField name="eventOn" label="Event" type="date" hint="contest or handover" />
      </div>
    </ActionForm>
  );
}
