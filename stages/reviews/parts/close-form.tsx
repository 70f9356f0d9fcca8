"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { closeActionAction } from "../actions";
import { closeAction } from "../schema";

const { TextField } = fieldsOf(closeAction);

export const CloseForm = ({ id, version }: { id: string; version: number }) => (
  <ActionForm
    inline
    schema={closeAction}
    action={closeActionAction}
    fixed={{ id, version }}
    defaults={{ evidence: "" }}
    submit="Close"
    look="plain"
  >
    <TextField
      name="evidence"
      label="What shows that it is done"
      hideLabel
      placeholder="what shows that it is done"
      className="w-56"
    />
  </ActionForm>
);
