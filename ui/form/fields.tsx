"use client";

import { useController } from "react-hook-form";
import { Checkbox } from "../checkbox";
import type { Option } from "../option";
import { Select } from "../select";
import { type FieldProps, Frame, useField } from "./field";

export function TextField({
  type = "text",
  placeholder,
  autoComplete,
  inputMode,
  ...p
}: FieldProps & { type?: string; placeholder?: string; autoComplete?: string; inputMode?: "decimal" | "numeric" }) {
  const f = useField(p.name);
  return (
    <Frame {...p} id={f.id} error={f.error}>
      <input
        id={f.id}
        type={type}
        className="input"
        placeholder={placeholder}
        autoComplete={autoComplete ?? "off"}
        inputMode={inputMode}
        aria-invalid={!!f.error}
        aria-describedby={`${f.id}-e`}
        {...f.register()}
      />
    </Frame>
  );
}

export function TextArea({ rows = 3, ...p }: FieldProps & { rows?: number }) {
  const f = useField(p.name);
  return (
    <Frame {...p} id={f.id} error={f.error}>
      <textarea
        id={f.id}
        rows={rows}
        className="input"
        aria-invalid={!!f.error}
        aria-describedby={`${f.id}-e`}
        {...f.register()}
      />
    </Frame>
  );
}

/** A choice of one; without words for the choice of nothing, the first one is chosen until another is. */
export function SelectField({
  options,
  empty,
  onChosen,
  ...p
}: FieldProps & { options: readonly Option[]; empty?: string; onChosen?: (value: string) => void }) {
  const f = useField(p.name);
  const { field } = useController({
    name: f.full,
    control: f.form.control,
    defaultValue: empty === undefined ? (options[0]?.value ?? "") : "",
  });
  return (
    <Frame {...p} id={f.id} error={f.error}>
      <Select
        id={f.id}
        value={String(field.value ?? "")}
        onChange={(v) => {
          field.onChange(v);
          onChosen?.(v);
        }}
        onBlur={field.onBlur}
        options={options}
        empty={empty}
        aria-invalid={!!f.error}
        aria-describedby={`${f.id}-e`}
      />
    </Frame>
  );
}

export function CheckField({ label, name, hint }: FieldProps) {
  const f = useField(name);
  const { field } = useController({ name: f.full, control: f.form.control, defaultValue: false });
  return (
    <label htmlFor={f.id} className="flex items-start gap-2">
      <Checkbox
        id={f.id}
        checked={!!field.value}
        onChange={field.onChange}
        onBlur={field.onBlur}
        className="mt-[3px]"
      />
      <span>
        {label}
        {hint && <span className="block text-sm text-soft">{hint}</span>}
      </span>
    </label>
  );
}
