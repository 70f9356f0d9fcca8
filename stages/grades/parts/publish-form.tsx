"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { publishGradesAction } from "../actions";
import { publish } from "../schema";

const { TextField } = fieldsOf(publish);

export function PublishForm({
  projectId,
  section,
  again,
}: {
  projectId: string;
  /** Only this one's grades. */
  section: { id: string; name: string } | undefined;
  /** These students have read a grade before. */
  again: boolean;
}) {
  const what = section ? ` of section ${section.name}` : "";
  return (
    <ActionForm
      inline
      clear
      schema={publish}
      action={publishGradesAction}
      fixed={{ projectId, sectionId: section?.id }}
      defaults={{ whatChanged: "" }}
      submit={again ? `Publish a new version${what}` : `Publish the grades${what}`}
      saved="Published."
    >
      {again && <TextField name="whatChanged" label="What changed since the last publication" className="w-72" />}
    </ActionForm>
  );
}
