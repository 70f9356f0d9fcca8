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
  over,
  via,
}: {
  entryId: string;
  version: number;
  outcome: string;
  note: string;
  /** Limits that the build does not keep: then it passes with a reason only. */
  over: string[];
  via?: "guest";
}) {
  const [open, setOpen] = useState<"" | "inspect" | "waive">("");
  const close = () => setOpen("");
  if (!open)
    return (
      <span className="flex flex-wrap items-center gap-2">
        {outcome === "waiting" && over.length > 0 && (
          <button type="button" className={buttonClass()} onClick={() => setOpen("waive")}>
            Pass with a waiver
          </button>
        )}
        {outcome === "waiting" && over.length === 0 && (
          <ActButton action={inspectEntryAction} input={{ entryId, version, outcome: "passed", note: "" }} via={via}>
            Pass
          </ActButton>
        )}
        <button type="button" className="text-sm text-soft underline" onClick={() => setOpen("inspect")}>
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
      defaults={{ outcome: open === "waive" ? "passed" : outcome === "waiting" ? "turned away" : outcome, note }}
      submit="Save"
      look="plain"
      onDone={close}
      cancel={
        <button type="button" className={buttonClass("quiet")} onClick={close}>
          leave
        </button>
      }
    >
      {open === "waive" ? (
        <TextField name="note" label={`Over on ${over.join(", ")}: why it may start all the same`} className="w-72" />
      ) : (
        <>
          <SelectField name="outcome" label="Inspection" hideLabel options={inspectionState.options} />
          <TextField name="note" label="Note" hideLabel placeholder="what was found" className="w-48" />
        </>
      )}
    </ActionForm>
  );
}
