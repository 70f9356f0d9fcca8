"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { drawRunOrderAction } from "../actions";
import { drawOrder } from "../schema";

const { TextField } = fieldsOf(drawOrder);

export const DrawForm = ({ id, version, seed }: { id: string; version: number; seed: string }) => (
  <ActionForm
    inline
    schema={drawOrder}
    action={drawRunOrderAction}
    fixed={{ id, version }}
    defaults={{ seed }}
    submit="Draw the run order"
    look="plain"
  >
    <TextField name="seed" label="Seed" className="w-52" />
  </ActionForm>
);
