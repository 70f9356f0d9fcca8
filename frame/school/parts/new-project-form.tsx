"use client";

import { useFieldArray, useFormContext } from "react-hook-form";
import type { InferType } from "yup";
import { patternKind, projectKind, type TemplateKind } from "@/core/vocabulary/project";
import type { newProject } from "@/stages/plan/schema";
import { createFromTemplateAction } from "@/stages/templates/actions";
import { fromTemplate } from "@/stages/templates/form-schema";
import { weekdays } from "@/ui/choices";
import { ActionForm } from "@/ui/form/action-form";
import { FieldGroup } from "@/ui/form/field";
import { fieldsFor, fieldsOf } from "@/ui/form/fields-of";
import { buttonClass } from "@/ui/page";
import { createProjectAction } from "../actions";
import { TemplateFile } from "./template-file";

const { TextField, TextArea, SelectField } = fieldsOf(fromTemplate);
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

/** What a template gives to a new project's own fields. */
export interface Begun {
  readonly title: string;
  readonly purpose: string;
  readonly kind: string;
  readonly client: string;
  readonly currency: string;
}

/** A new project: its dates and sections, and, with a template, everything that stands in it. */
export function NewProjectForm({ template, begun }: { template?: TemplateKind; begun?: Begun }) {
  return (
    <ActionForm<{ slug: string }>
      schema={fromTemplate}
      action={(input, how) => {
        const { file } = input as { file?: string };
        return file || template ? createFromTemplateAction(input, how) : createProjectAction(input, how);
      }}
      fixed={template ? { template } : {}}
      submit="Create project"
      saved="The project is made."
      goTo="/p/:slug"
      className="grid gap-4"
      defaults={{
        ...(begun ?? { title: "", purpose: "", kind: "both", client: "", currency: "" }),
        startsOn: "",
        endsOn: "",
        eventOn: "",
        daysOff: "",
        sections: [{ name: "", pattern: "weekdays", days: [], cycleLength: 2, cycleDay: 1 }],
      }}
    >
      {!template && <TemplateFile />}
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
