"use client";

import { ActionForm } from "@/ui/form/action-form";
import { TextField } from "@/ui/form/fields";
import { reopenEventAction } from "../actions";
import { voidAttempt } from "../schema";

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
