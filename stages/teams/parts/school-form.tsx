"use client";

import { shareMethod, teamMethod } from "@/core/vocabulary/teams";
import { settings } from "@/platform/project/schema";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { saveSettingsAction } from "../actions";

const { TextField, SelectField } = fieldsOf(settings);

export function SchoolForm({
  projectId,
  values,
}: {
  projectId: string;
  values: { teamSchool: string; teamMin: number; teamMax: number; shareSchool: string };
}) {
  return (
    <ActionForm
      schema={settings}
      action={saveSettingsAction}
      fixed={{ projectId }}
      defaults={values}
      submit="Save"
      look="plain"
      saved="Saved."
    >
      <SelectField name="teamSchool" label="How teams form" options={teamMethod.options} />
      <div className="grid grid-cols-2 gap-3">
        <TextField name="teamMin" label="Smallest team" type="number" />
        <TextField name="teamMax" label="Largest team" type="number" />
      </div>
      <SelectField name="shareSchool" label="Equal shares of the parts" options={shareMethod.options} />
    </ActionForm>
  );
}
