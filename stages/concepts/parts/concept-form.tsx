"use client";

import { useState } from "react";
import type { ProjectUnits } from "@/core/quantity/systems";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { buttonClass } from "@/ui/page";
import { saveConceptAction } from "../actions";
import { concept } from "../schema";

const { TextField, TextArea, QuantityField } = fieldsOf(concept);

export interface ConceptValues {
  id?: string;
  version: number;
  title: string;
  idea: string;
  dimensions: string;
  mass: string;
  cost: string;
  sides: string;
}

export function ConceptForm({
  projectId,
  slug,
  units,
  edit,
}: {
  projectId: string;
  slug: string;
  units: ProjectUnits;
  edit?: ConceptValues;
}) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <button type="button" className={buttonClass(edit ? "plain" : "main")} onClick={() => setOpen(true)}>
        {edit ? "Edit" : "New concept"}
      </button>
    );
  const { id, version, ...values } = edit ?? {
    id: undefined,
    version: 0,
    title: "",
    idea: "",
    dimensions: "",
    mass: "",
    cost: "",
    sides: "",
  };
  return (
    <div className="sheet w-full px-4 py-3">
      <ActionForm
        schema={concept}
        action={saveConceptAction}
        fixed={{ projectId, id, version }}
        defaults={values}
        submit="Save concept"
        goTo={edit ? undefined : `/p/${slug}/concepts/:id`}
        onDone={() => setOpen(false)}
        cancel={
          <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(false)}>
            Leave without saving
          </button>
        }
      >
        <TextField name="title" label="Title" />
        <TextArea name="idea" label="How it works" rows={4} />
        <div className="grid gap-3 sm:grid-cols-3">
          <QuantityField name="mass" label="Estimated mass" unit={units.mass} />
          <QuantityField name="cost" label="Estimated cost" unit="1" />
          <TextField
            name="sides"
            label="Estimated size"
            hint={units.side === "in" ? "18 × 12 × 14 in" : "600 × 400 × 400 mm"}
          />
        </div>
        <TextArea name="dimensions" label="Key dimensions" rows={3} hint="One a line with its unit: bore = 40 mm" />
      </ActionForm>
    </div>
  );
}
