"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { createTeamAction } from "../actions";
import { newTeam } from "../schema";

const { TextField, SelectField } = fieldsOf(newTeam);

export function NewTeamForm({ projectId, sections }: { projectId: string; sections: Option[] }) {
  return (
    <ActionForm
      inline
      clear
      schema={newTeam}
      action={createTeamAction}
      fixed={{ projectId }}
      defaults={{ name: "", sectionId: sections[0]?.value ?? "" }}
      submit="Add team"
      look="plain"
    >
      <TextField name="name" label="New team" className="w-44" />
      <SelectField name="sectionId" label="Section" options={sections} />
    </ActionForm>
  );
}
