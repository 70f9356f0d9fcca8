"use client";

import { edition } from "@/data/schemas/projects";
import { ActButton, ActionForm, TextField } from "@/ui/form";
import { createEditionAction, finishProjectAction, reopenProjectAction } from "./actions";

export const FinishButton = ({ projectId }: { projectId: string }) => (
  <ActButton
    action={finishProjectAction}
    input={{ projectId }}
    look="main"
    confirm="The project becomes a record: nothing more is tested in it. It can be reopened."
  >
    Finish the project
  </ActButton>
);
export const ReopenButton = ({ projectId }: { projectId: string }) => (
  <ActButton action={reopenProjectAction} input={{ projectId }} look="quiet">
    Reopen
  </ActButton>
);

export function EditionForm({ projectId, title }: { projectId: string; title: string }) {
  return (
    <ActionForm
      schema={edition}
      action={createEditionAction}
      fixed={{ projectId }}
      defaults={{ title, startsOn: "", endsOn: "", eventOn: "" }}
      submit="Begin the next edition"
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
