"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { createEditionAction } from "../actions";
import { edition } from "../schema";

const { TextField } = fieldsOf(edition);

export function EditionForm({ projectId, title }: { projectId: string; title: string }) {
  return (
    <ActionForm
      schema={edition}
      action={createEditionAction}
      fixed={{ projectId }}
      defaults={{ title, startsOn: "", endsOn: "", eventOn: "" }}
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
    </ActionForm>
  );
}
