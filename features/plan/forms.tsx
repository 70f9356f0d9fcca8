"use client";

import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { daysOff, editProject, milestone, newSection } from "@/data/schemas/projects";
import { projectKinds, weekdays } from "@/ui/choices";
import { shortDate } from "@/ui/date";
import { ActButton, ActionForm, ChoiceField, SelectField, TextArea, TextField } from "@/ui/form";
import {
  addDaysOffToProjectAction,
  checkMilestoneAction,
  createSectionAction,
  editProjectAction,
  removeDayOffAction,
  removeMilestoneAction,
  saveMilestoneAction,
} from "./actions";

export function MilestoneForm({ projectId }: { projectId: string }) {
  return (
    <ActionForm
      inline
      clear
      schema={milestone}
      action={saveMilestoneAction}
      fixed={{ projectId }}
      defaults={{ title: "", dueOn: "", scope: "team" }}
      submit="Add milestone"
      look="plain"
    >
      <TextField name="title" label="Milestone" className="w-48" />
      <TextField name="dueOn" label="Due" type="date" className="w-38" />
      <SelectField
        name="scope"
        label="Passed by"
        options={[
          { value: "team", label: "each team" },
          { value: "person", label: "each student" },
        ]}
      />
    </ActionForm>
  );
}
export const RemoveMilestone = ({ id }: { id: string }) => (
  <ActButton action={removeMilestoneAction} input={{ id }} look="quiet" confirm="The milestone goes.">
    remove
  </ActButton>
);

/** A check for one team or student: pressed on, it is dated today and signed; pressed again, taken back. */
export function MilestoneCheck({
  milestoneId,
  teamId,
  personId,
  doneOn,
  today,
  label,
  readOnly,
}: {
  milestoneId: string;
  teamId?: string;
  personId?: string;
  doneOn: string | null;
  today: string;
  label: string;
  readOnly?: boolean;
}) {
  const router = useRouter();
  const [note, setNote] = useState("");
  const [busy, setBusy] = useState(false);
  // Shown at once, and taken back if the record refuses it.
  const [on, setOn] = useState(!!doneOn);
  useEffect(() => setOn(!!doneOn), [doneOn]);
  const toggle = async () => {
    setBusy(true);
    setOn(!on);
    try {
      const r = await checkMilestoneAction({ milestoneId, teamId, personId, doneOn: on ? "" : today });
      setNote(r.ok ? "" : r.message);
      if (!r.ok) setOn(on);
      router.refresh();
    } catch {
      setOn(on);
      setNote("The network did not answer.");
    } finally {
      setBusy(false);
    }
  };
  if (readOnly) return <span>{doneOn ? `passed ${shortDate(doneOn)}` : "–"}</span>;
  return (
    <label className="inline-flex items-center gap-1.5 whitespace-nowrap">
      <input
        type="checkbox"
        className="accent-iron"
        checked={on}
        disabled={busy}
        onChange={toggle}
        aria-label={label}
      />
      <span className="text-sm text-soft">{doneOn ? shortDate(doneOn) : ""}</span>
      {note && (
        <span role="alert" className="text-sm text-iron">
          {note}
        </span>
      )}
    </label>
  );
}

export function DaysOffForm({
  projectId,
  sections,
}: {
  projectId: string;
  sections: { value: string; label: string }[];
}) {
  return (
    <ActionForm
      clear
      schema={daysOff}
      action={addDaysOffToProjectAction}
      fixed={{ projectId }}
      defaults={{ text: "", sectionId: "" }}
      submit="Add days off"
      look="plain"
    >
      <TextArea
        name="text"
        label="Days off"
        rows={3}
        hint="One a line: 2027-02-15 Staff day, or 2027-02-22 to 2027-02-26 Half-term"
      />
      <SelectField name="sectionId" label="For" empty="all sections" options={sections} />
    </ActionForm>
  );
}
export const RemoveDayOff = ({ id }: { id: string }) => (
  <ActButton action={removeDayOffAction} input={{ id }} look="quiet">
    remove
  </ActButton>
);

export function SectionForm({ projectId }: { projectId: string }) {
  return (
    <ActionForm
      clear
      schema={newSection}
      action={createSectionAction}
      fixed={{ projectId }}
      defaults={{ name: "", pattern: "weekdays", days: [] }}
      submit="Add section"
      look="plain"
      saved="Added."
    >
      <TextField name="name" label="Section" className="w-32" />
      <ChoiceField name="days" label="Meets on" numeric options={weekdays} />
    </ActionForm>
  );
}

export function ProjectForm({
  projectId,
  version,
  values,
}: {
  projectId: string;
  version: number;
  values: Record<string, string>;
}) {
  return (
    <ActionForm
      schema={editProject}
      action={editProjectAction}
      fixed={{ projectId, version }}
      defaults={values}
      submit="Save"
      saved="Saved."
      className="grid max-w-[700px] gap-4"
    >
      <TextField name="title" label="Title" />
      <TextField name="purpose" label="Purpose" hint="One sentence that says what the design is for." />
      <div className="grid gap-4 sm:grid-cols-3">
        <SelectField name="kind" label="Kind" options={projectKinds} />
        <TextField name="client" label="Client" />
        <TextField name="currency" label="Currency" hint="as it stands behind a price, for example cr" />
      </div>
      <div className="grid gap-4 sm:grid-cols-3">
        <TextField name="startsOn" label="First day" type="date" />
        <TextField name="endsOn" label="Last day" type="date" />
        <TextField name="eventOn" label="Event" type="date" hint="contest or handover" />
      </div>
    </ActionForm>
  );
}
