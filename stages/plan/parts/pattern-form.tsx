"use client";

import { useFormContext } from "react-hook-form";
import { patternKind } from "@/core/vocabulary/project";
import { weekdays } from "@/ui/choices";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { saveSectionPatternAction } from "../actions";
import { sectionPattern } from "../schema";

const { TextField, SelectField, ChoiceField } = fieldsOf(sectionPattern);

function PatternFields() {
  const form = useFormContext();
  const cycle = form.watch("pattern") === "cycle";
  const length = Number(form.watch("cycleLength")) || 2;
  const days = Array.from({ length: Math.min(12, length) }, (_, i) => ({
    value: String(i + 1),
    label: `day ${i + 1}`,
  }));
  return (
    <>
      <SelectField name="pattern" label="Meets by" options={patternKind.options} />
      {cycle ? (
        <>
          <div className="grid gap-3 sm:grid-cols-2">
            <TextField name="cycleLength" label="Days in the cycle" type="number" />
            <TextField name="cycleStart" label="Day 1 falls on" type="date" />
          </div>
          <ChoiceField name="meets" label="Meets on" numeric options={days} />
          <ChoiceField name="double" label="Double period on" numeric options={days} />
        </>
      ) : (
        <>
          <ChoiceField name="days" label="Meets on" numeric options={weekdays} />
          <ChoiceField
            name="double"
            label="Double period on"
            numeric
            options={weekdays}
            hint="A double period counts as two sessions."
          />
        </>
      )}
      <div className="grid gap-3 sm:grid-cols-3">
        <TextField name="startsOn" label="Own first day" type="date" />
        <TextField name="endsOn" label="Own last day" type="date" />
        <TextField name="eventOn" label="Own event" type="date" hint="empty: the project's" />
      </div>
    </>
  );
}

export function PatternForm({
  projectId,
  sectionId,
  version,
  values,
}: {
  projectId: string;
  sectionId: string;
  version: number;
  values: Record<string, unknown>;
}) {
  return (
    <ActionForm
      schema={sectionPattern}
      action={saveSectionPatternAction}
      fixed={{ projectId, sectionId, version }}
      defaults={values}
      submit="Save the pattern"
      look="plain"
      saved="Saved."
    >
      <PatternFields />
    </ActionForm>
  );
}
