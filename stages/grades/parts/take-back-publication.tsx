"use client";

import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { takeBackPublicationAction } from "../actions";
import { takeBackPublication } from "../schema";

const { TextField } = fieldsOf(takeBackPublication);

/** Takes a published version back; it stays on record. */
export function TakeBackPublication({ id, version }: { id: string; version: number }) {
  return (
    <UnfoldForm
      label="withdraw"
      inline
      schema={takeBackPublication}
      action={takeBackPublicationAction}
      fixed={{ id, version }}
      defaults={{ reason: "" }}
      submit="Withdraw this version"
      look="danger"
    >
      <TextField
        name="reason"
        label="Why it is taken back"
        hint="students read the version before it"
        className="w-64"
      />
    </UnfoldForm>
  );
}
