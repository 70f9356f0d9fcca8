"use client";

import { useFieldArray, useFormContext, useWatch } from "react-hook-form";
import type { InferType } from "yup";
import { attemptMethod, benchFoulMethod, better } from "@/core/vocabulary/runs";
import { ActionForm } from "@/ui/form/action-form";
import { FieldGroup } from "@/ui/form/field";
import { fieldsFor } from "@/ui/form/fields-of";
import { methodFieldFor } from "@/ui/form/method-field-of";
import { buttonClass, LinkButton } from "@/ui/page";
import { saveProtocolAction } from "../actions";
import { protocol } from "../schema";
import { definitionOf, type TypedProtocol } from "../view/protocol-form";
import { ProtocolTry } from "./protocol-try";
import { blankReading, Reading } from "./reading-row";

/** The form's values: the protocol as it is typed, and what it is sent with. */
type Typed = Omit<InferType<typeof protocol>, "definition"> & TypedProtocol;
const { TextField, TextArea, SelectField } = fieldsFor<Typed>();
const MethodField = methodFieldFor<Typed>();

const blank = {
  measures: blankReading,
  conditions: { key: "", name: "", unit: "", target: "", tolerance: "", u: "" },
  constants: { key: "", name: "", unit: "", value: "", u: "" },
  derived: { key: "", name: "", unit: "", expression: "", decimals: 2, rule: "", bound: "" },
};

type Part = keyof typeof blank;
const columns: { [P in Exclude<Part, "measures">]: [keyof (typeof blank)[P] & string, string, string][] } = {
  conditions: [
    ["key", "Symbol", "w-18"],
    ["name", "Name", "w-40"],
    ["unit", "Unit", "w-24"],
    ["target", "Set to", "w-24"],
    ["tolerance", "± Tolerance", "w-24"],
    ["u", "Uncertainty u", "w-26"],
  ],
  constants: [
    ["key", "Symbol", "w-18"],
    ["name", "Name", "w-40"],
    ["unit", "Unit", "w-24"],
    ["value", "Value", "w-24"],
    ["u", "Uncertainty u", "w-26"],
  ],
  derived: [
    ["key", "Symbol", "w-18"],
    ["name", "Name", "w-36"],
    ["unit", "Unit", "w-20"],
    ["expression", "Formula", "w-56"],
    ["decimals", "Decimals", "w-18"],
    ["bound", "Never above", "w-24"],
    ["rule", "Rule in words", "w-56"],
  ],
};

const titles: Record<Part, [string, string]> = {
  measures: ["Read, counted or looked at", "a reading"],
  conditions: ["Kept the same in every run", "a condition"],
  constants: ["Constants", "a constant"],
  derived: ["Computed", "a computed measure"],
};

const cells = fieldsFor<Record<(typeof columns)[keyof typeof columns][number][0], string>>();
/** How many attempts the mean is of, where the best few are taken. */
function BestK() {
  const school = useWatch({ name: "definition.policy.school" });
  if (school !== "best-k") return null;
  return <TextField name="definition.policy.k" label="k: how many of the best" type="number" className="max-w-40" />;
}

/** What a foul does; a zero is not offered where it would win. */
function Fouls() {
  const zeroWins = useWatch({ name: "definition.better" }) === "less";
  return (
    <MethodField
      name="definition.policy.foul"
      label="A foul or no finish"
      options={benchFoulMethod.options.filter((o) => !(zeroWins && o.value === "zero"))}
    />
  );
}

function Rows({ part }: { part: Part }) {
  const { control } = useFormContext();
  const { fields, append, remove } = useFieldArray({ control, name: `definition.${part}` });
  return (
    <fieldset className="grid gap-1.5 border-t border-line pt-2.5">
      <legend className="pr-2 font-[650]">{titles[part][0]}</legend>
      {fields.map((f, i) => (
        <FieldGroup key={f.id} name={`definition.${part}.${i}`}>
          <div className="flex flex-wrap items-start gap-2">
            {part === "measures" ? (
              <Reading index={i} />
            ) : (
              columns[part].map(([name, label, w]) => (
                <cells.TextField key={name} name={name} label={label} className={w} hideLabel={i > 0} />
              ))
            )}
            <button
              type="button"
              className={`${buttonClass("quiet")} ${i === 0 || part === "measures" ? "mt-5" : ""}`}
              onClick={() => remove(i)}
            >
              remove
            </button>
          </div>
        </FieldGroup>
      ))}
      <button
        type="button"
        className={`${buttonClass("quiet")} justify-self-start`}
        onClick={() => append(blank[part])}
      >
        add {titles[part][1]}
      </button>
    </fieldset>
  );
}

function Primary() {
  const { watch } = useFormContext();
  const list = [...(watch("definition.measures") ?? []), ...(watch("definition.derived") ?? [])] as {
    key: string;
    name: string;
  }[];
  return (
    <SelectField
      name="definition.primary"
      label="The protocol is about"
      empty="choose"
      options={list.filter((x) => x.key).map((x) => ({ value: x.key, label: `${x.name || x.key} (${x.key})` }))}
    />
  );
}

/** Which of the computed measures says what theory gives; nothing where none does. */
function Theory() {
  const derived = (useWatch({ name: "definition.derived" }) ?? []) as { key: string; name: string }[];
  return derived.length > 0 ? (
    <SelectField
      name="definition.theory"
      label="Theory for it"
      empty="none"
      options={derived.filter((x) => x.key).map((x) => ({ value: x.key, label: `${x.name || x.key} (${x.key})` }))}
    />
  ) : null;
}

/** A protocol: what is read, what is kept the same, what is computed, and which attempt counts. */
export function ProtocolForm({
  projectId,
  slug,
  id,
  version,
  defaults,
  used,
  consequence,
  example,
}: {
  projectId: string;
  slug: string;
  id?: string;
  version: number;
  defaults: Record<string, unknown>;
  used: boolean;
  /** What a new version does to what is on record. */
  consequence: string;
  /** Readings to try it on, by symbol. */
  example: Readonly<Record<string, string>>;
}) {
  return (
    <ActionForm
      schema={protocol}
      action={saveProtocolAction}
      fixed={{ projectId, id, version }}
      defaults={defaults}
      submit={used ? "Save as a new version" : "Save protocol"}
      saved="The protocol is saved."
      goTo={`/p/${slug}/bench?protocol=:id`}
      cancel={
        <LinkButton href={`/p/${slug}/bench`} look="quiet">
          Leave without saving
        </LinkButton>
      }
      className="grid gap-4"
      shape={(v) => ({ ...v, definition: definitionOf(v as unknown as TypedProtocol) })}
    >
      <TextField name="name" label="Name" className="max-w-80" />
      <Rows part="measures" />
      <Rows part="conditions" />
      <Rows part="constants" />
      <Rows part="derived" />
      <p className="text-sm text-soft">
        Formulas use the symbols above with + − * / ^ and brackets, and sqrt, abs, min, max, sin, cos, tan, exp, log.
        Units are checked: a formula that does not give the declared unit is refused.
      </p>
      <ProtocolTry projectId={projectId} example={example} />
      <div className="grid gap-3 border-t border-line pt-2.5 sm:grid-cols-3 lg:grid-cols-6">
        <Primary />
        <Theory />
        <SelectField name="definition.better" label="Better is" options={better.options} />
        <TextField name="definition.policy.n" label="Attempts" type="number" />
      </div>
      <div className="grid gap-x-6 gap-y-3 lg:grid-cols-2">
        <div className="grid content-start gap-3">
          <MethodField name="definition.policy.school" label="Which attempt counts" options={attemptMethod.options} />
          <BestK />
        </div>
        <Fouls />
      </div>
      <TextArea
        name="stepsText"
        label="Steps that trigger one another, if it is a machine of steps"
        rows={3}
        hint={
          "One a line, in their order. What the protocol is about is then how many steps a trial passed: the bench " +
          "shows where it stops, and which repair gains most."
        }
      />
      <TextArea
        name="safetyText"
        label="Cautions"
        rows={3}
        hint="One a line, shown before the first run: what can hurt, and who must be asked."
      />
      {used && <TextField name="whatChanged" label="What changed and why" hint={consequence} />}
    </ActionForm>
  );
}
