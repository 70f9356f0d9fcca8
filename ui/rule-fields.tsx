"use client";

import { useFormContext } from "react-hook-form";
import { useFieldName } from "./form/field";
import { SelectField, TextArea, TextField } from "./form/fields";

const kinds = [
  { value: "line", label: "line: straight between anchors" },
  { value: "bands", label: "bands: thresholds earn fixed points" },
  { value: "target", label: "target: minus points by distance" },
  { value: "ratio", label: "ratio to the best" },
  { value: "pass", label: "pass: all or nothing" },
  { value: "place", label: "place: points by placing" },
];
const schools = [
  { value: "complete", label: "complete steps only: a step begun costs nothing" },
  { value: "proportional", label: "proportional: every part of a step costs its share" },
  { value: "started", label: "every started step: a step begun costs the whole" },
];
const better = [
  { value: "more", label: "more is better" },
  { value: "less", label: "less is better" },
];

/**
 * The fields of a points rule, as typed: pairs stand one a line. `readRule` (rule-fields-read) turns them into the
 * rule.
 */
export function RuleFields({ name, none }: { name: string; none?: string }) {
  const { watch } = useFormContext();
  const kind = watch(useFieldName(`${name}.kind`)) as string;
  return (
    <>
      <SelectField name={`${name}.kind`} label="Points rule" options={kinds} empty={none} />
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
          <SelectField name={`${name}.better`} label="Reached when" options={better} />
          <TextField name={`${name}.otherwise`} label="Otherwise" inputMode="decimal" />
        </>
      )}
      {kind === "target" && (
        <>
          <TextField name={`${name}.target`} label="Target" inputMode="decimal" />
          <TextField name={`${name}.points`} label="Points at the target" inputMode="decimal" />
          <TextField name={`${name}.perStep`} label="Minus, a step" inputMode="decimal" />
          <TextField name={`${name}.step`} label="Step" inputMode="decimal" />
          <SelectField name={`${name}.school`} label="Steps" options={schools} />
          <TextField name={`${name}.beyond`} label="Minus more when above" inputMode="decimal" />
          <TextField name={`${name}.floor`} label="Not below" inputMode="decimal" />
        </>
      )}
      {kind === "ratio" && (
        <>
          <TextField name={`${name}.points`} label="Points of the best" inputMode="decimal" />
          <SelectField name={`${name}.better`} label="Best is" options={better} />
        </>
      )}
      {kind === "pass" && (
        <>
          <TextField name={`${name}.points`} label="Points" inputMode="decimal" />
          <SelectField
            name={`${name}.comparator`}
            label="When the value is"
            options={[
              { value: "≤", label: "≤ at most" },
              { value: "≥", label: "≥ at least" },
            ]}
          />
          <TextField name={`${name}.limit`} label="Limit" inputMode="decimal" />
        </>
      )}
      {kind === "place" && (
        <TextField name={`${name}.pairs`} label="Points by place" hint="with spaces between: 10 8 6 5" />
      )}
    </>
  );
}
