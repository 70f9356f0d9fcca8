"use client";

import { useState } from "react";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsFor } from "@/ui/form/fields-of";
import { buttonClass } from "@/ui/page";
import { enterMarksAction } from "../actions";
import { marks } from "../schema";

const { TextField } = fieldsFor<{ typed: string }>();

/** One mark of one student, typed as in the gradebook. */
export function MarkForm({
  projectId,
  personId,
  component,
  version,
  typed,
  computed,
}: {
  projectId: string;
  personId: string;
  component: string;
  version: number;
  typed: string;
  computed: boolean;
}) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <button type="button" className="no-print text-sm text-soft underline" onClick={() => setOpen(true)}>
        {computed ? "override or excuse" : version ? "change" : "enter a mark"}
      </button>
    );
  return (
    <ActionForm
      inline
      schema={marks}
      action={enterMarksAction}
      fixed={{ projectId, version }}
      defaults={{ typed }}
      shape={(v, begun) => ({ marks: [{ personId, component, version: begun.version, typed: v.typed }] })}
      submit="Save"
      look="plain"
      onDone={() => setOpen(false)}
      cancel={
        <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(false)}>
          leave
        </button>
      }
    >
      <TextField
        name="typed"
        label="Mark"
        hideLabel
        placeholder={computed ? "80 mended late, or ex was ill" : "85, or ex was ill"}
        className="w-64"
      />
    </ActionForm>
  );
}
