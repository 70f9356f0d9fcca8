"use client";

import { useFormContext } from "react-hook-form";
import { gateItemKind } from "@/core/vocabulary/project";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { addGateItemAction } from "../actions";
import { gateItem } from "../schema";

const { TextField, SelectField } = fieldsOf(gateItem);

function ItemFields({ tools }: { tools: Option[] }) {
  const form = useFormContext();
  const kind = String(form.watch("kind"));
  return (
    <>
      <SelectField name="kind" label="Asked for" options={gateItemKind.options} className="w-40" />
      {kind === "tool" ? (
        <>
          <SelectField name="toolId" label="Tool" empty="choose" options={tools} className="w-44" />
          <TextField name="needs" label="Members signed (0: all)" type="number" className="w-36" />
        </>
      ) : kind === "coverage" ? (
        <TextField name="needs" label="Percent of musts" type="number" className="w-32" />
      ) : (
        <TextField name="label" label="What" className="w-56" />
      )}
    </>
  );
}

export const GateItemForm = ({ milestoneId, tools }: { milestoneId: string; tools: Option[] }) => (
  <ActionForm
    inline
    clear
    schema={gateItem}
    action={addGateItemAction}
    fixed={{ milestoneId }}
    defaults={{ kind: "each", label: "", needs: 0, toolId: "" }}
    submit="Add to the checklist"
    look="plain"
  >
    <ItemFields tools={tools} />
  </ActionForm>
);
