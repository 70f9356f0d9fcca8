"use client";

import { incidentKind } from "@/core/vocabulary/shop";
import { ActButton } from "@/ui/form/act-button";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { useNewId } from "@/ui/new-id";
import type { Option } from "@/ui/option";
import { toast } from "@/ui/toast";
import { closeIncidentAction, editIncidentAction, reportIncidentAction, withdrawIncidentAction } from "../actions";
import { editIncident, incident } from "../schema";

const { TextField, TextArea, SelectField } = fieldsOf(incident);
const kept = fieldsOf(editIncident);

function Fields({ tools }: { tools: readonly Option[] }) {
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-2">
        <SelectField name="kind" label="What it was" options={incidentKind.options} />
        <TextField name="onDate" label="Day" type="date" />
        <SelectField name="toolId" label="Machine or tool" options={[...tools]} empty="none" />
        <TextField name="place" label="Place" />
      </div>
      <TextArea
        name="what"
        label="What happened"
        hint="What you saw, in order. No names: say “a student”, “a visitor”."
      />
      <TextField name="done" label="What was done at once" />
    </>
  );
}

/** Tells what happened or nearly happened. */
export function ReportIncident({
  projectId,
  tools,
  today,
}: {
  projectId: string;
  tools: readonly Option[];
  today: string;
}) {
  const [id, renew] = useNewId();
  return (
    <UnfoldForm
      key={id}
      label="Tell what happened, or nearly"
      buttonLook="plain"
      schema={incident}
      action={reportIncidentAction}
      fixed={{ id, projectId }}
      defaults={{ kind: "near miss", onDate: today, toolId: "", place: "", what: "", done: "" }}
      submit="Send it"
      className="grid max-w-[760px] gap-3"
      onDone={() => {
        toast("Your instructors have it.");
        renew();
      }}
    >
      <Fields tools={tools} />
    </UnfoldForm>
  );
}

/** Corrects an incident, and says who was told and what was changed. */
export const KeepIncident = ({
  id,
  version,
  tools,
  typed,
  closed,
}: {
  id: string;
  version: number;
  tools: readonly Option[];
  typed: Record<string, string>;
  closed: boolean;
}) => (
  <UnfoldForm
    label={typed.changed ? "correct" : "say who was told and what was changed"}
    beside={
      <>
        <ActButton action={closeIncidentAction} input={{ id, version, closed: !closed }} look="quiet">
          {closed ? "open it again" : "close it"}
        </ActButton>
        <WithdrawButton action={withdrawIncidentAction} id={id} name="the incident">
          take out
        </WithdrawButton>
      </>
    }
    schema={editIncident}
    action={editIncidentAction}
    fixed={{ id, version }}
    defaults={typed}
    submit="Save"
    className="grid max-w-[760px] gap-3"
  >
    <Fields tools={tools} />
    <kept.TextField
      name="told"
      label="Who was told"
      hint="By the school's rule: nurse, guardian, head of department, safety officer. Offices, not names."
    />
    <kept.TextArea name="changed" label="What was changed" rows={2} hint="So that it does not come again." />
  </UnfoldForm>
);
