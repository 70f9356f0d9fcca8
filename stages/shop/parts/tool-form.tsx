"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { saveToolAction } from "../actions";
import { tool } from "../schema";

const { TextField, TextArea } = fieldsOf(tool);

export const ToolForm = ({ projectId }: { projectId: string }) => (
  <ActionForm
    clear
    schema={tool}
    action={saveToolAction}
    fixed={{ projectId }}
    defaults={{ name: "", caution: "" }}
    submit="Add tool"
    look="plain"
  >
    <TextField name="name" label="Tool" />
    <TextArea
      name="caution"
      label="Caution"
      rows={2}
      hint="Shown where it matters. The school's rules and its trained staff decide."
    />
  </ActionForm>
);
