"use client";

import { editionPart } from "@/core/vocabulary/project";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { createEditionAction } from "../actions";
import { edition } from "../schema";

const { TextField, ChoiceField } = fieldsOf(edition);

export function EditionForm({ projectId, title }: { projectId: string; title: string }) {
  return (
    <ActionForm
      schema={edition}
      action={createEditionAction}
      fixed={{ projectId }}
      defaults={{ title, startsOn: "", endsOn: "", eventOn: "", parts: [...editionPart.values] }}
      submit="Begin the next edition"
      saved="The next edition is made."
      goTo="/p/:slug"
    >
      <TextField name="title" label="Title" />
      <div className="grid gap-3 sm:grid-cols-3">
        <TextField name="startsOn" label="First day" type="date" />
        <TextField name="endsOn" label="Last day" type="date" />
        <TextField name="eventOn" label="Event" type="date" />
      </div>
      <ChoiceField name="parts" label="It carries over" options={editionPart.options} />
    </ActionForm>
  );
}
