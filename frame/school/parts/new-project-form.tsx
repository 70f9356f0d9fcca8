"use client";

import { useFieldArray, useFormContext } from "react-hook-form";
import type { InferType } from "yup";
import { patternKind, projectKind } from "@/core/vocabulary/project";
import { newProject } from "@/stages/plan/schema";
import { weekdays } from "@/ui/choices";
import { ActionForm } from "@/ui/form/action-form";
import { FieldGroup } from "@/ui/form/field";
import { fieldsFor, fieldsOf } from "@/ui/form/fields-of";
import { buttonClass } from "@/ui/page";
import { createProjectAction } from "../actions";

const { TextField, TextArea, SelectField } = fieldsOf(newProject);
const section = fieldsFor<InferType<typeof newProject>["sections"][number]>();

function Sections() {
  const { control, watch } = useFormContext();
  const { fields, append, remove } = useFieldArray({ control, name: "sections" });
  return (
    <fieldset className="grid gap-3">
      <legend className="mb-1 font-[650]">Sections</legend>
      {fields.map((f, i) => (
        <FieldGroup key={f.id} name={`sections.${i}`}>
          <div className="flex flex-wrap items-start gap-4 border-l-3 border-stone-3 pl-3">
            <section.TextField name="name" label="Section" className="w-24" />
            <section.SelectField name="pattern" label="Meets" options={patternKind.options} />
            {watch(`sections.${i}.pattern`) === "cycle" ? (
              <>
                <section.TextField
                  name="cycleLength"
                  label="Days in the cycle"
                  type="number"
                  className="w-28"
                  hint="2 for alternating days"
                />
                <section.TextField
                  name="cycleDay"
                  label="Meets on day"
                  type="number"
                  className="w-28"
                  hint="first day of the project is day 1"
                />
              </>
            ) : (
              <section.ChoiceField name="days" label="On" numeric options={weekdays} />
            )}
            {fields.length > 1 && (
              <button type="button" className={`${buttonClass("quiet")} mt-5`} onClick={() => remove(i)}>
                remove
              </button>
            )}
          </div>
        </FieldGroup>
      ))}
      <button
        type="button"
        className={`${buttonClass("quiet")} justify-self-start`}
        onClick={() => append({ name: "", pattern: "weekdays", days: [], cycleLength: 2, cycleDay: 1 })}
      >
        another section
      </button>
    </fieldset>
  );
}

export function NewProjectForm() {
  return (
    <ActionForm
      schema={newProject}
      action={createProjectAction}
      submit="Create project"
      saved="The project is made."
      goTo="/p/:slug"
      className="grid gap-4"
      defaults={{
        title: "",
        purpose: "",
        kind: "both",
        client: "",
        startsOn: "",
        endsOn: "",
        eventOn: "",
        currency: "",
        daysOff: "",
        sections: [{ name: "", pattern: "weekdays", days: [], cycleLength: 2, cycleDay: 1 }],
      }}
    >
      <TextField name="title" label="Title" />
      <TextField name="purpose" label="Purpose" hint="One sentence that says what the design is for." />
      <div className="grid gap-4 sm:grid-cols-3">
        <SelectField name="kind" label="Kind" options={projectKind.options} />
        <TextField name="client" label="Client" />
        <TextField name="currency" label="Currency" hint="as it stands behind a price" />
      </div>
      <div className="grid gap-4 sm:grid-cols-3">
        <TextField name="startsOn" label="First day" type="date" />
        <TextField name="endsOn" label="Last day" type="date" />
        <TextField name="eventOn" label="Event" type="date" hint="contest or handover, if there is one" />
      </div>
      <Sections />
      <TextArea
        name="daysOff"
        label="Days off"
        rows={3}
        hint="One a line: 2027-02-15 Staff day, or 2027-02-22 to 2027-02-26 Half-term. More can be added later."
      />
    </ActionForm>
  );
}
