"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { askChangeAction } from "../actions";
import { changeRequest } from "../schema";

const { TextField, TextArea, SelectField } = fieldsOf(changeRequest);

export const ChangeForm = ({ projectId, requirements }: { projectId: string; requirements: Option[] }) => (
  <ActionForm
    clear
    schema={changeRequest}
    action={askChangeAction}
    fixed={{ projectId }}
    defaults={{ requirementId: "", what: "", reason: "" }}
    submit="Ask for the change"
    saved="Asked."
  >
    <SelectField name="requirementId" label="Requirement" empty="a new one" options={requirements} />
    <TextField name="what" label="What should change" hint="for example: 5.5 kg instead of 5.0 kg" />
    <TextArea name="reason" label="Why" rows={2} />
  </ActionForm>
);
