"use client";

import { useState } from "react";
import { inspectionState } from "@/core/vocabulary/contest";
import { ActButton } from "@/ui/form/act-button";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { buttonClass } from "@/ui/page";
import { inspectEntryAction } from "../actions";
import { inspection } from "../schema";

const { TextField, SelectField } = fieldsOf(inspection);

export function InspectForm({
  entryId,
  version,
  outcome,
  note,
  via,
}: {
  entryId: string;
  version: number;
  outcome: string;
  note: string;
  via?: "guest";
}) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <span className="flex flex-wrap items-center gap-2">
        {outcome === "waiting" && (
          <ActButton action={inspectEntryAction} input={{ entryId, version, outcome: "passed", note: "" }} via={via}>
            Pass
          </ActButton>
        )}
        <button type="button" className="text-sm text-soft underline" onClick={() => setOpen(true)}>
          {outcome === "waiting" ? "turn away" : "inspect again"}
        </button>
      </span>
    );
  return (
    <ActionForm
      inline
      schema={inspection}
      action={inspectEntryAction}
      fixed={{ entryId, version }}
      via={via}
      defaults={{ outcome: outcome === "waiting" ? "turned away" : outcome, note }}
      submit="Save"
      look="plain"
      onDone={() => setOpen(false)}
      cancel={
        <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(false)}>
          leave
        </button>
      }
    >
      <SelectField name="outcome" label="Inspection" hideLabel options={inspectionState.options} />
      <TextField name="note" label="Note" hideLabel placeholder="what was found" className="w-48" />
    </ActionForm>
  );
}
