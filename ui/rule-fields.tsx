"use client";

import type { ReactNode } from "react";
import { useFormContext } from "react-hook-form";
import { type RuleKind, ruleKind, stepMethod } from "@/core/vocabulary/grades";
import { oneSided } from "@/core/vocabulary/needs";
import { better } from "@/core/vocabulary/runs";
import { useFieldName } from "./form/field";
import { SelectField, TextArea, TextField } from "./form/fields";

/** What each kind of rule asks for. */
const asks: Readonly<Record<RuleKind, (name: string) => ReactNode>> = {
  line: (name) => (
    <TextArea name={`${name}.pairs`} label="Anchors" rows={4} hint="One a line: value, then points, like 7.5 85" />
  ),
  bands: (name) => (
    <>
      <TextArea name={`${name}.pairs`} label="Bands" rows={4} hint="One a line: threshold, then points, like 9 100" />
      <SelectField name={`${name}.better`} label="Reached when" options={better.options} />
      <TextField name={`${name}.otherwise`} label="Otherwise" inputMode="decimal" />
    </>
  ),
  target: (name) => (
    <>
      <TextField name={`${name}.target`} label="Target" inputMode="decimal" />
      <TextField name={`${name}.points`} label="Points at the target" inputMode="decimal" />
      <TextField name={`${name}.perStep`} label="Minus, a step" inputMode="decimal" />
      <TextField name={`${name}.step`} label="Step" inputMode="decimal" />
      <SelectField name={`${name}.school`} label="Steps" options={stepMethod.options} />
      <TextField name={`${name}.beyond`} label="Minus more when above" inputMode="decimal" />
      <TextField name={`${name}.floor`} label="Not below" inputMode="decimal" />
    </>
  ),
  ratio: (name) => (
    <>
      <TextField name={`${name}.points`} label="Points of the best" inputMode="decimal" />
      <SelectField name={`${name}.better`} label="Best is" options={better.options} />
    </>
  ),
  pass: (name) => (
    <>
      <TextField name={`${name}.points`} label="Points" inputMode="decimal" />
      <SelectField name={`${name}.comparator`} label="When the value is" options={oneSided.options} />
      <TextField name={`${name}.limit`} label="Limit" inputMode="decimal" />
    </>
  ),
  levels: (name) => (
    <>
      <TextArea
        name={`${name}.pairs`}
        label="Levels, or rungs of a ladder"
        rows={4}
        hint="One a line in their order, with the points: carries its load: 80"
      />
      <TextField
        name={`${name}.none`}
        label="Below the first rung"
        inputMode="decimal"
        hint="for a ladder that is counted in rungs; empty where the reading has levels of its own"
      />
    </>
  ),
  place: (name) => <TextField name={`${name}.pairs`} label="Points by place" hint="with spaces between: 10 8 6 5" />,
};

/**
 * The fields of a points rule, as typed: pairs stand one a line. `readRule` (rule-fields-read) turns them into the
 * rule.
 */
export function RuleFields({ name, none }: { name: string; none?: string }) {
  const { watch } = useFormContext();
  const kind = watch(useFieldName(`${name}.kind`)) as RuleKind | "" | undefined;
  return (
    <>
      <SelectField name={`${name}.kind`} label="Points rule" options={ruleKind.options} empty={none} />
      {kind && asks[kind](name)}
    </>
  );
}
