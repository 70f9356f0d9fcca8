"use client";

import { combineMethod } from "@/core/vocabulary/contest";
import { fieldsOf } from "@/ui/form/fields-of";
import { methodFieldOf } from "@/ui/form/method-field-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { saveOverallAction } from "../actions";
import { overallRule } from "../schema";

const { TextField } = fieldsOf(overallRule);
const MethodField = methodFieldOf(overallRule);

/** How the events become one ranking, and how much each counts. */
export const OverallForm = ({
  projectId,
  method,
  events,
}: {
  projectId: string;
  method: string;
  events: readonly { id: string; name: string; weight: string }[];
}) => (
  <UnfoldForm
    label="Change how it is made"
    buttonLook="plain"
    schema={overallRule}
    action={saveOverallAction}
    fixed={{ projectId }}
    defaults={{ method, weights: events.map(({ id, weight }) => ({ id, weight })), reason: "" }}
    submit="Save"
    saved="Saved."
    className="grid max-w-[760px] gap-4"
  >
    <MethodField name="method" label="The events become one ranking by" options={combineMethod.options} />
    <fieldset className="grid gap-2 sm:grid-cols-3">
      <legend className="mb-1 text-[12.5px] font-[600]">How much each counts; 0 leaves it out</legend>
      {events.map((e, i) => (
        <TextField key={e.id} name={`weights.${i}.weight`} label={e.name} inputMode="decimal" />
      ))}
    </fieldset>
    <TextField name="reason" label="Why, once an event has begun" className="max-w-md" />
  </UnfoldForm>
);
