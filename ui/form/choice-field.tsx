"use client";

import { Checkbox } from "../checkbox";
import { cx } from "../classes";
import { type FieldProps, useField } from "./field";

/** Several choices as boxes in a row; the value is a list of the chosen ones. */
export function ChoiceField({
  options,
  numeric,
  ordered,
  ...p
}: FieldProps & {
  options: readonly { value: string; label: string }[];
  numeric?: boolean /** The order of choosing counts and is shown. */;
  ordered?: boolean;
}) {
  const f = useField(p.name);
  const chosen = ((f.form.watch(f.full) as (string | number)[] | undefined) ?? []).map(String);
  return (
    <fieldset className={cx("grid gap-1", p.className)} aria-describedby={`${f.id}-e`}>
      <legend className="mb-1 text-[12.5px] font-[600]">{p.label}</legend>
      <div className="flex flex-wrap gap-x-4 gap-y-1 wrap-anywhere">
        {options.map((o) => (
          <label key={o.value} className="flex items-center gap-1.5">
            <Checkbox
              checked={chosen.includes(o.value)}
              onChange={(on) => {
                const next = on ? [...chosen, o.value] : chosen.filter((c) => c !== o.value);
                f.form.setValue(
                  f.full,
                  numeric
                    ? next.map(Number)
                    : ordered
                      ? next
                      : options.map((x) => x.value).filter((v) => next.includes(v)),
                  { shouldDirty: true, shouldValidate: true },
                );
              }}
            />
            {ordered && chosen.includes(o.value) && `${chosen.indexOf(o.value) + 1}. `}
            {o.label}
          </label>
        ))}
      </div>
      <p id={`${f.id}-e`} className={cx("text-sm", f.error ? "text-iron" : "text-soft")}>
        {f.error ?? p.hint}
      </p>
    </fieldset>
  );
}
