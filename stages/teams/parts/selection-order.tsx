"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { drawSelectionOrderAction } from "../actions";
import { drawSelectionOrder } from "../schema";

const { TextField, SelectField } = fieldsOf(drawSelectionOrder);

export function SelectionOrder({ projectId, sections, seed }: { projectId: string; sections: Option[]; seed: string }) {
  return (
    <ActionForm
      inline
      schema={drawSelectionOrder}
      action={drawSelectionOrderAction}
      fixed={{ projectId }}
      defaults={{ sectionId: "", seed }}
      submit="Draw the order"
      look="plain"
    >
      {sections.length > 1 && <SelectField name="sectionId" label="Section" empty="all" options={sections} />}
      <TextField name="seed" label="Seed" className="w-52" />
    </ActionForm>
  );
}
