"use client";

import { useFormContext } from "react-hook-form";
import { comparator, numeric, priority, requirementKind, verificationMethod } from "@/core/vocabulary/needs";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { LinkButton } from "@/ui/page";
import { saveRequirementAction } from "../actions";
import { requirement } from "../schema";

const { TextField, TextArea, SelectField, QuantityField } = fieldsOf(requirement);

export interface MeasureChoice {
  value: string;
  label: string;
  unit: string;
  /** The names that are chosen from, where it is a level or yes or no. */
  levels?: readonly string[];
  method: string;
}

export interface RequirementDefaults {
  id?: string;
  version: number;
  statement: string;
  kind: string;
  priority: string;
  measure: string;
  comparator: string;
  unit: string;
  target: string;
  second: string;
  sides: string;
  method: string;
  source: string;
  reason: string;
}

const levelWords = [
  { value: "=", label: "this level" },
  { value: "≤", label: "this level or one before it" },
  { value: "≥", label: "this level or one after it" },
];
const words = [{ value: "", label: "no measure yet" }, ...comparator.options];

function Limit({ measures, currency }: { measures: MeasureChoice[]; currency: string }) {
  const { watch, setValue } = useFormContext();
  const [measure, comparator, unit] = [watch("measure"), watch("comparator"), watch("unit")] as [
    string,
    string,
    string,
  ];
  const picked = (value: string) => {
    const m = measures.find((x) => x.value === value);
    if (!m) return;
    setValue("unit", m.unit);
    if (!watch("method")) setValue("method", m.method);
    if (m.value === "envelope") setValue("comparator", "fits");
    else if (m.levels) {
      if (!levelWords.some((o) => o.value === watch("comparator"))) setValue("comparator", "=");
      setValue("target", "");
    } else if (["", "fits", "yes"].includes(watch("comparator")))
      setValue("comparator", m.value.startsWith("run:") ? "≥" : "≤");
  };
  const number = (numeric.values as readonly string[]).includes(comparator);
  const levels = measures.find((x) => x.value === measure)?.levels;
  return (
    <>
      <SelectField
        name="measure"
        label="Measured by"
        empty="nothing measured: somebody looks or tries"
        options={measures}
        onChosen={picked}
      />
      <SelectField name="comparator" label="Limit" options={levels ? levelWords : words} />
      {levels && number && (
        <SelectField
          name="target"
          label="Level"
          empty="choose"
          options={levels.map((label, i) => ({ value: String(i), label }))}
        />
      )}
      {number && !levels && measure !== "cost" && <TextField name="unit" label="Unit" hint="kg, mm, L/min, N, s, %" />}
      {number && !levels && (
        <QuantityField
          name="target"
          label={comparator === "between" ? "Lower limit" : "Target"}
          unit={measure === "cost" ? "1" : unit || "1"}
          hint={measure === "cost" ? `in ${currency || "the project's currency"}` : undefined}
        />
      )}
      {(comparator === "±" || comparator === "between") && (
        <QuantityField name="second" label={comparator === "±" ? "Tolerance" : "Upper limit"} unit={unit || "1"} />
      )}
      {comparator === "fits" && (
        <TextField name="sides" label="Envelope" hint="Three sides, for example 600 × 400 × 400 mm" />
      )}
    </>
  );
}

export function RequirementForm({
  projectId,
  slug,
  defaults,
  measures,
  currency,
}: {
  projectId: string;
  slug: string;
  defaults: RequirementDefaults;
  measures: MeasureChoice[];
  currency: string;
}) {
  const { id, version, ...values } = defaults;
  return (
    <ActionForm
      schema={requirement}
      action={saveRequirementAction}
      fixed={{ projectId, id, version }}
      defaults={values}
      shape={(v) => (v.measure === "cost" ? { ...v, unit: "1" } : v)}
      submit={id ? "Save a new version" : "Add requirement"}
      saved="The requirement is saved."
      goTo={`/p/${slug}/needs?r=:code`}
      cancel={
        <LinkButton href={`/p/${slug}/needs`} look="quiet">
          Leave without saving
        </LinkButton>
      }
      className="grid max-w-[860px] gap-4"
    >
      <TextField
        name="statement"
        label="Statement"
        hint="What the design must do or be, in one sentence that somebody could check."
      />
      <div className="grid gap-4 sm:grid-cols-3">
        <SelectField name="priority" label="Priority" options={priority.options} />
        <SelectField name="kind" label="Kind" options={requirementKind.options} />
        <SelectField name="method" label="Verified by" empty="not decided" options={verificationMethod.options} />
      </div>
      <fieldset className="grid gap-4 border-t border-line pt-3 sm:grid-cols-3">
        <legend className="pr-2 text-sm text-soft">Measure and limit</legend>
        <Limit measures={measures} currency={currency} />
      </fieldset>
      <TextArea
        name="source"
        label="From"
        rows={2}
        hint={
          "Who said it, where and when, in their words: “A bed should be done before I finish my tea.” Client, " +
          "interview 1."
        }
      />
      {id && (
        <TextField
          name="reason"
          label="Why it changes"
          hint="Needed when the limit changes. Evidence that leaned on the old limit becomes stale."
        />
      )}
    </ActionForm>
  );
}
