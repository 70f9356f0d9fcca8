"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { drawTeamsAction } from "../actions";
import { drawTeams } from "../schema";

const { TextField, SelectField } = fieldsOf(drawTeams);

/** The seed is shown, and may be changed, before anything is drawn. */
export function DrawForm({ projectId, sections, seed }: { projectId: string; sections: Option[]; seed: string }) {
  return (
    <ActionForm
      inline
      schema={drawTeams}
      action={drawTeamsAction}
      fixed={{ projectId }}
      defaults={{ sectionId: sections[0]?.value ?? "", min: 3, max: 4, seed }}
      submit="Draw teams"
      look="main"
      saved="Drawn."
    >
      <SelectField name="sectionId" label="Section" options={sections} />
      <TextField name="min" label="Smallest" type="number" className="w-20" />
      <TextField name="max" label="Largest" type="number" className="w-20" />
      <TextField name="seed" label="Seed" className="w-52" />
    </ActionForm>
  );
}
