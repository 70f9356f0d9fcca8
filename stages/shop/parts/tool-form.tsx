"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { saveToolAction } from "../actions";
import { tool } from "../schema";

const { TextField, TextArea } = fieldsOf(tool);

const Fields = () => (
  <>
    <TextField name="name" label="Tool" />
    <TextArea
      name="caution"
      label="Caution"
      rows={2}
      hint="Shown where it matters. The school's rules and its trained staff decide."
    />
  </>
);

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
    <Fields />
  </ActionForm>
);

/** Corrects a tool's name and caution. */
export const EditTool = ({
  projectId,
  id,
  version,
  name,
  caution,
}: {
  projectId: string;
  id: string;
  version: number;
  name: string;
  caution: string;
}) => (
  <UnfoldForm
    label="correct"
    schema={tool}
    action={saveToolAction}
    fixed={{ projectId, id, version }}
    defaults={{ name, caution }}
    submit="Save"
    className="grid max-w-md gap-2"
  >
    <Fields />
  </UnfoldForm>
);
