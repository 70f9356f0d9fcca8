"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { reopenEventAction } from "../actions";
import { voidAttempt } from "../schema";

const { TextField } = fieldsOf(voidAttempt);

export const ReopenForm = ({ id, version }: { id: string; version: number }) => (
  <ActionForm
    inline
    schema={voidAttempt}
    action={reopenEventAction}
    fixed={{ id, version }}
    defaults={{ reason: "" }}
    submit="Reopen"
    look="plain"
  >
    <TextField name="reason" label="Reopen because" className="w-56" />
  </ActionForm>
);
