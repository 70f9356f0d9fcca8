"use client";

import { useState } from "react";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { buttonClass } from "@/ui/page";
import { enterMarkAction } from "../actions";
import { mark } from "../schema";

const { TextField, SelectField } = fieldsOf(mark);

export function MarkForm({
  projectId,
  personId,
  component,
  version,
  kind,
  percent,
  reason,
  computed,
}: {
  projectId: string;
  personId: string;
  component: string;
  version: number;
  kind: string;
  percent: string;
  reason: string;
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
      schema={mark}
      action={enterMarkAction}
      fixed={{ projectId, personId, component, version }}
      defaults={{ kind: kind || (computed ? "override" : "mark"), percent, reason }}
      submit="Save"
      look="plain"
      onDone={() => setOpen(false)}
      cancel={
        <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(false)}>
          leave
        </button>
      }
    >
      <SelectField
        name="kind"
        label="What"
        hideLabel
        options={[
          computed ? { value: "override", label: "override" } : { value: "mark", label: "mark" },
          { value: "excused", label: "excused" },
          { value: "missing", label: "missing" },
          { value: "none", label: computed ? "as computed" : "no mark" },
        ]}
      />
      <TextField name="percent" label="Percent" hideLabel placeholder="%" inputMode="decimal" className="w-20" />
      <TextField name="reason" label="Reason" hideLabel placeholder="why" className="w-52" />
    </ActionForm>
  );
}
