"use client";

import { useState } from "react";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { buttonClass } from "@/ui/page";
import { mergeConceptsAction } from "../actions";
import { mergeConcepts } from "../schema";

const { TextField, TextArea, ChoiceField } = fieldsOf(mergeConcepts);

export function MergeForm({
  projectId,
  slug,
  concepts,
}: {
  projectId: string;
  slug: string;
  concepts: { value: string; label: string }[];
}) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <button type="button" className={buttonClass()} onClick={() => setOpen(true)}>
        Merge concepts
      </button>
    );
  return (
    <div className="sheet w-full px-4 py-3">
      <ActionForm
        schema={mergeConcepts}
        action={mergeConceptsAction}
        fixed={{ projectId }}
        defaults={{ title: "", idea: "", parents: [], reason: "" }}
        submit="Merge"
        saved="The concepts are merged."
        goTo={`/p/${slug}/concepts/:id`}
        cancel={
          <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(false)}>
            Leave
          </button>
        }
      >
        <ChoiceField name="parents" label="Which become one" options={concepts} />
        <TextField name="title" label="Title of the merged concept" />
        <TextArea name="idea" label="What it takes from each" />
        <TextField name="reason" label="Why" />
      </ActionForm>
    </div>
  );
}
