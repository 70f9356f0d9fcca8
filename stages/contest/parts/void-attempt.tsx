"use client";

import { useState } from "react";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { buttonClass } from "@/ui/page";
import { voidAttemptAction } from "../actions";
import { voidAttempt } from "../schema";

const { TextField } = fieldsOf(voidAttempt);

export function VoidAttempt({
  id,
  version,
  via,
  label,
}: {
  id: string;
  version: number;
  via?: "guest";
  label: string;
}) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <button
        type="button"
        className="text-xs text-soft underline"
        aria-label={`Set aside ${label}`}
        onClick={() => setOpen(true)}
      >
        set aside
      </button>
    );
  return (
    <ActionForm
      inline
      schema={voidAttempt}
      action={voidAttemptAction}
      fixed={{ id, version }}
      via={via}
      defaults={{ reason: "" }}
      submit="Set aside"
      look="plain"
      onDone={() => setOpen(false)}
      cancel={
        <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(false)}>
          leave
        </button>
      }
    >
      <TextField name="reason" label="Why" hideLabel placeholder="why" className="w-36" />
    </ActionForm>
  );
}
