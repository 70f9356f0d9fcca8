"use client";

import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { recordRunOffAction } from "../actions";
import { runOff } from "../schema";
import type { Tie } from "../view/run-off";

const { ChoiceField, TextField } = fieldsOf(runOff);

/** Records how a run-off between those who are tied ended, or takes out what was recorded. */
export const RunOffForm = ({ id, version, tie }: { id: string; version: number; tie: Tie }) => (
  <span className="flex flex-wrap gap-x-4 gap-y-2">
    <UnfoldForm
      label={tie.broken ? "correct the run-off" : "record the run-off"}
      schema={runOff}
      action={recordRunOffAction}
      fixed={{ id, version, tied: tie.entries.map((n) => n.value) }}
      defaults={{ order: [], reason: "" }}
      submit="Record the run-off"
      className="grid gap-2"
    >
      <ChoiceField ordered name="order" label="The first in the run-off first" options={[...tie.entries]} />
      <TextField
        name="reason"
        label="What was run, and how it ended"
        hint="for example one more attempt each, 8.9 and 8.4"
      />
    </UnfoldForm>
    {tie.broken && (
      <UnfoldForm
        label="take the run-off out"
        inline
        schema={runOff}
        action={recordRunOffAction}
        fixed={{ id, version, tied: tie.entries.map((n) => n.value), order: [] }}
        defaults={{ reason: "" }}
        submit="Take it out"
      >
        <TextField name="reason" label="Why" className="w-48" />
      </UnfoldForm>
    )}
  </span>
);
