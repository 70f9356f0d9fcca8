"use client";

import { RadioGroup } from "radix-ui";
import { useController } from "react-hook-form";
import { nameAndReason } from "@/core/vocabulary/vocabulary";
import { cx } from "../classes";
import type { Option } from "../option";
import { Radio } from "../radio";
import { type FieldProps, useField } from "./field";

const row = "flex cursor-pointer items-start gap-2 border-b border-line px-1 py-1 last:border-0 hover:bg-spine";

/** A choice between methods: a row each, with its reason, readable whole. Arrow keys move, as in every radio group. */
export function MethodField({ name, label, hint, className, options }: FieldProps & { options: readonly Option[] }) {
  const f = useField(name);
  const { field } = useController({ name: f.full, control: f.form.control });
  return (
    <div className={cx("grid content-start gap-1", className)}>
      <span id={`${f.id}-l`} className="text-[12.5px] font-[600]">
        {label}
      </span>
      <RadioGroup.Root
        value={String(field.value ?? "")}
        onValueChange={field.onChange}
        aria-labelledby={`${f.id}-l`}
        aria-describedby={f.error || hint ? `${f.id}-e` : undefined}
        className="grid border-y border-line"
      >
        {options.map((o) => {
          const [what, why] = nameAndReason(o.label);
          return (
            <label key={o.value} htmlFor={`${f.id}-${o.value}`} className={row}>
              <Radio id={`${f.id}-${o.value}`} value={o.value} className="mt-[3px]" />
              <span>
                <span className="font-[600]">
                  {what}
                  {why && ":"}
                </span>
                {why && <span className="text-soft"> {why}</span>}
              </span>
            </label>
          );
        })}
      </RadioGroup.Root>
      {(f.error || hint) && (
        <p id={`${f.id}-e`} className={f.error ? "text-sm text-iron" : "text-sm text-soft"}>
          {f.error ?? hint}
        </p>
      )}
    </div>
  );
}
