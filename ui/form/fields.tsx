"use client";

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

export function SelectField({
  options,
  empty,
  ...p
}: FieldProps & { options: readonly { value: string; label: string }[]; empty?: string }) {
  const f = useField(p.name);
  return (
    <Frame {...p} id={f.id} error={f.error}>
      <select id={f.id} className="input" aria-invalid={!!f.error} aria-describedby={`${f.id}-e`} {...f.register()}>
        {empty !== undefined && <option value="">{empty}</option>}
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.label}
          </option>
        ))}
      </select>
    </Frame>
  );
}

export function CheckField({ label, name, hint }: FieldProps) {
  const f = useField(name);
  return (
    <label className="flex items-start gap-2">
      <input type="checkbox" className="mt-1 accent-iron" {...f.register()} />
      <span>
        {label}
        {hint && <span className="block text-sm text-soft">{hint}</span>}
      </span>
    </label>
  );
}
