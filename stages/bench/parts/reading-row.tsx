"use client";

import { useWatch } from "react-hook-form";
import { crossingWay, readingKind, takeRule } from "@/core/vocabulary/runs";
import { fieldsFor } from "@/ui/form/fields-of";

/** A reading that nothing is said of yet, as it stands in the form. */
export const blankReading = {
  key: "",
  name: "",
  kind: "number",
  levelsText: "",
  unit: "",
  resolution: "",
  u: "",
  min: "",
  max: "",
  taken: "",
  takenUnit: "",
  takenChannel: "",
  takenStretch: "",
  takenLevel: "",
  takenWay: "up",
  takenTowards: "",
};
const { TextField, SelectField } = fieldsFor<typeof blankReading>();
const numbers = [
  ["unit", "Unit", "w-20"],
  ["resolution", "Resolution", "w-24"],
  ["u", "Uncertainty u", "w-26"],
  ["min", "From", "w-20"],
  ["max", "To", "w-20"],
] as const;

/** What of a series is a whole number. */
const ofCounts = takeRule.options.filter((o) => o.value === "peak" || o.value === "low");

/** How a number comes about: typed, or taken from an instrument's series by a rule. */
function Taking({ at, kind }: { at: string; kind: string }) {
  const rule = useWatch({ name: `${at}.taken` });
  const unit = useWatch({ name: `${at}.unit` });
  const crosses = rule === "crossing" || rule === "beyond";
  return (
    <>
      <div className="w-60">
        <SelectField
          name="taken"
          label="Is taken"
          empty="by eye, and typed"
          options={kind === "count" ? ofCounts : takeRule.options}
        />
      </div>
      {rule && kind === "number" && (
        <TextField name="takenUnit" label="Series in" placeholder={unit || "the instrument's unit"} className="w-24" />
      )}
      {rule && <TextField name="takenChannel" label="Channel" placeholder="first that fits" className="w-30" />}
      {rule === "mean" && <TextField name="takenStretch" label="Stretch (s)" className="w-24" />}
      {rule === "crossing" && <TextField name="takenStretch" label="Stays (s)" className="w-20" />}
      {crosses && (
        <>
          <TextField name="takenLevel" label="Level" className="w-20" />
          <div className="w-32">
            <SelectField name="takenWay" label="Passed" options={crossingWay.options} />
          </div>
          {rule === "crossing" && (
            <TextField name="takenTowards" label="Tends to" placeholder="not told" className="w-22" />
          )}
        </>
      )}
    </>
  );
}

/** A reading: its symbol and name, of which kind it is, and what that kind needs. */
export function Reading({ index }: { index: number }) {
  const at = `definition.measures.${index}`;
  const kind = useWatch({ name: `${at}.kind` });
  return (
    <>
      <TextField name="key" label="Symbol" className="w-18" />
      <TextField name="name" label="Name" className="w-40" />
      <div className="w-44">
        <SelectField name="kind" label="Is" options={readingKind.options} />
      </div>
      {kind === "level" ? (
        <TextField
          name="levelsText"
          label="Levels in their order"
          placeholder="intact, hairline, cracked, broken"
          className="w-72"
        />
      ) : (
        numbers
          .filter(([name]) => kind === "number" || (kind === "count" && (name === "min" || name === "max")))
          .map(([name, label, w]) => <TextField key={name} name={name} label={label} className={w} />)
      )}
      {(kind === "number" || kind === "count") && <Taking at={at} kind={kind} />}
    </>
  );
}
