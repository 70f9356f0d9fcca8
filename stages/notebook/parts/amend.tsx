"use client";

import { useState } from "react";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { buttonClass } from "@/ui/page";
import { amendEntryAction } from "../actions";
import { amendEntry } from "../schema";

const { TextField, TextArea } = fieldsOf(amendEntry);

export function Amend({ id, version, text }: { id: string; version: number; text: string }) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(true)}>
        amend
      </button>
    );
  return (
    <ActionForm
      schema={amendEntry}
      action={amendEntryAction}
      fixed={{ id, version }}
      defaults={{ text, reason: "" }}
      submit="Amend"
      look="plain"
      onDone={() => setOpen(false)}
      cancel={
        <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(false)}>
          Leave
        </button>
      }
    >
      <TextArea name="text" label="Entry" rows={5} />
      <TextField name="reason" label="Why it is amended" hint="The first writing stays readable below." />
    </ActionForm>
  );
}
