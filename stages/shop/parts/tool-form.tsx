"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { saveToolAction } from "../actions";
import { tool } from "../schema";

const { TextField, TextArea, CheckField } = fieldsOf(tool);

export interface ToolDefaults {
  readonly name: string;
  readonly caution: string;
  readonly rules: string;
  readonly trainers: string;
  readonly place: string;
  readonly months: string;
  readonly shared: boolean;
  readonly checks: string;
}

const blank: ToolDefaults = {
  name: "",
  caution: "",
  rules: "",
  trainers: "",
  place: "",
  months: "0",
  shared: false,
  checks: "",
};

const Fields = () => (
  <>
    <TextField name="name" label="Tool" />
    <TextField
      name="rules"
      label="The school's rule for it"
      hint="Named first: who must be in the room, what is forbidden, which local rule holds."
    />
    <TextArea
      name="caution"
      label="Caution"
      rows={2}
      hint="Shown where it matters. The school's rules and its trained staff decide."
    />
    <TextField name="trainers" label="Who may train for it" hint="By the school's rules: a name or an office." />
    <div className="grid gap-2 sm:grid-cols-2">
      <TextField name="place" label="Place" />
      <TextField name="months" label="Months that a training holds" inputMode="numeric" hint="0: it does not end." />
    </div>
    <CheckField name="shared" label="Teams share it" hint="They ask for minutes at it, and see who has it when." />
    <TextArea
      name="checks"
      label="Looked at each day before it runs"
      rows={3}
      hint="One a line: extraction runs, lid closes, extinguisher in reach."
    />
  </>
);

export const ToolForm = ({ projectId }: { projectId: string }) => (
  <ActionForm
    clear
    schema={tool}
    action={saveToolAction}
    fixed={{ projectId }}
    defaults={blank}
    submit="Add tool"
    look="plain"
  >
    <Fields />
  </ActionForm>
);

/** Corrects what is said of a tool. */
export const EditTool = ({
  projectId,
  id,
  version,
  typed,
}: {
  projectId: string;
  id: string;
  version: number;
  typed: ToolDefaults;
}) => (
  <UnfoldForm
    label="correct"
    schema={tool}
    action={saveToolAction}
    fixed={{ projectId, id, version }}
    defaults={typed}
    submit="Save"
    className="grid max-w-xl gap-2"
  >
    <Fields />
  </UnfoldForm>
);
