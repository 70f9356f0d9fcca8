"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { publishGradesAction } from "../actions";
import { publish } from "../schema";

const { TextField } = fieldsOf(publish);

export function PublishForm({ projectId, again }: { projectId: string; again: boolean }) {
  return (
    <ActionForm
      inline
      clear
      schema={publish}
      action={publishGradesAction}
      fixed={{ projectId }}
      defaults={{ whatChanged: "" }}
      submit={again ? "Publish a new version" : "Publish the grades"}
      saved="Published."
    >
      {again && <TextField name="whatChanged" label="What changed since the last publication" className="w-72" />}
    </ActionForm>
  );
}
