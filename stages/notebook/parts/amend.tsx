"use client";

import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { amendEntryAction } from "../actions";
import { amendEntry } from "../schema";

const { TextField, TextArea } = fieldsOf(amendEntry);

/** Writes an entry anew, saying why; what stood before stays readable. */
export const Amend = ({ id, version, text }: { id: string; version: number; text: string }) => (
  <UnfoldForm
    label="amend"
    schema={amendEntry}
    action={amendEntryAction}
    fixed={{ id, version }}
    defaults={{ text, reason: "" }}
    submit="Amend"
  >
    <TextArea name="text" label="Entry" rows={5} />
    <TextField name="reason" label="Why it is amended" hint="The first writing stays readable below." />
  </UnfoldForm>
);
