"use client";

import { useFormContext } from "react-hook-form";
import { ruleKind, stepMethod } from "@/core/vocabulary/grades";
import { oneSided } from "@/core/vocabulary/needs";
import { better } from "@/core/vocabulary/runs";
import { useFieldName } from "./form/field";
import { SelectField, TextArea, TextField } from "./form/fields";

/**
 * The fields of a points rule, as typed: pairs stand one a line. `readRule` (rule-fields-read) turns them into the
 * rule.
 */
export function RuleFields({ name, none }: { name: string; none?: string }) {
  const { watch } = useFormContext();
  const kind = watch(useFieldName(`${name}.kind`)) as string;
  return (
    <>
      <SelectField name={`${name}.kind`} label="Points rule" options={ruleKind.options} empty={none} />
      {kind === "line" && (
        <TextArea name={`${name}.pairs`} label="Anchors" rows={4} hint="One a line: value, then points, like 7.5 85" />
      )}
      {kind === "bands" && (
        <>
          <TextArea
            name={`${name}.pairs`}
            label="Bands"
            rows={4}
            hint="One a line: threshold, then points, like 9 100"
          />
          <SelectField name={`${name}.better`} label="Reached when" options={better.options} />
          <TextField name={`${name}.otherwise`} label="Otherwise" inputMode="decimal" />
        </>
      )}
      {kind === "target" && (
        <>
          <TextField name={`${name}.target`} label="Target" inputMode="decimal" />
          <TextField name={`${name}.points`} label="Points at the target" inputMode="decimal" />
          <TextField name={`${name}.perStep`} label="Minus, a step" inputMode="decimal" />
          <TextField name={`${name}.step`} label="Step" inputMode="decimal" />
          <SelectField name={`${name}.school`} label="Steps" options={stepMethod.options} />
          <TextField name={`${name}.beyond`} label="Minus more when above" inputMode="decimal" />
          <TextField name={`${name}.floor`} label="Not below" inputMode="decimal" />
        </>
      )}
      {kind === "ratio" && (
        <>
          <TextField name={`${name}.points`} label="Points of the best" inputMode="decimal" />
          <SelectField name={`${name}.better`} label="Best is" options={better.options} />
        </>
      )}
      {kind === "pass" && (
        <>
          <TextField name={`${name}.points`} label="Points" inputMode="decimal" />
          <SelectField name={`${name}.comparator`} label="When the value is" options={oneSided.options} />
          <TextField name={`${name}.limit`} label="Limit" inputMode="decimal" />
        </>
      )}
      {kind === "levels" && (
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
      )}
      {kind === "place" && (
        <TextField name={`${name}.pairs`} label="Points by place" hint="with spaces between: 10 8 6 5" />
      )}
    </>
  );
}
