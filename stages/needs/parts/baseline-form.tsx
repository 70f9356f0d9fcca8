"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { makeBaselineAction } from "../actions";
import { baseline } from "../schema";

const { TextField } = fieldsOf(baseline);

export const BaselineForm = ({ projectId, next }: { projectId: string; next: number }) => (
  <ActionForm
    inline
    clear
    schema={baseline}
    action={makeBaselineAction}
    fixed={{ projectId }}
    defaults={{ note: "" }}
    submit={`Fix baseline ${next}`}
    look="main"
    saved="Fixed."
  >
    <TextField name="note" label="With whom it was agreed" className="w-64" />
  </ActionForm>
);
