"use client";

import { useState } from "react";
import { ActButton } from "@/ui/form/act-button";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { buttonClass } from "@/ui/page";
import { finishProjectAction, reopenProjectAction } from "../actions";
import { reopen } from "../schema";

const { TextField } = fieldsOf(reopen);

export const FinishButton = ({ projectId }: { projectId: string }) => (
  <ActButton
    action={finishProjectAction}
    input={{ projectId }}
    look="main"
    confirm="The project becomes a record: it takes no more changes. It can be reopened, with a reason."
  >
    Finish the project
  </ActButton>
);

/** Asks for the reason first; it stays on record. */
export function ReopenForm({ projectId }: { projectId: string }) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(true)}>
        Reopen
      </button>
    );
  return (
    <ActionForm
      inline
      schema={reopen}
      action={reopenProjectAction}
      fixed={{ projectId }}
      defaults={{ reason: "" }}
      submit="Reopen"
      look="plain"
      cancel={
        <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(false)}>
          No
        </button>
      }
    >
      <TextField name="reason" label="Why it is opened again" className="w-72" />
    </ActionForm>
  );
}
