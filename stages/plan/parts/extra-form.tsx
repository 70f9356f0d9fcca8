"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { addExtraSessionAction } from "../actions";
import { extraSession } from "../schema";

const { TextField, SelectField } = fieldsOf(extraSession);

export const ExtraForm = ({ projectId, sections }: { projectId: string; sections: Option[] }) => (
  <ActionForm
    clear
    schema={extraSession}
    action={addExtraSessionAction}
    fixed={{ projectId }}
    defaults={{ onDate: "", sectionId: "", reason: "" }}
    submit="Add the session"
    look="plain"
  >
    <TextField name="onDate" label="Extra session on" type="date" />
    <SelectField name="sectionId" label="For" empty="all sections" options={sections} />
    <TextField name="reason" label="Why" />
  </ActionForm>
);
