"use client";

import { formatSi, parseQuantity } from "@/core/quantity/quantity";
import { type FieldProps, Frame, useField } from "./field";

/** A value with its unit as one types it; what was understood is said at once beside it. */
export function QuantityField({ unit, placeholder, ...p }: FieldProps & { unit: string; placeholder?: string }) {
  const f = useField(p.name);
  const typed = String(f.form.watch(f.full) ?? "");
  const parsed = typed.trim() ? parseQuantity(typed, unit) : null;
  const converted =
    parsed?.ok && /[a-z°″′"']/i.test(typed) && unit !== "1" && !typed.trim().endsWith(unit)
      ? `= ${readBack(parsed.quantity.si, unit)}`
      : null;
  return (
    <Frame
      {...p}
      id={f.id}
      error={f.error ?? (parsed && !parsed.ok ? parsed.message : undefined)}
      hint={converted ?? p.hint}
    >
      <span className="relative block">
        <input
          id={f.id}
          className="input pr-12"
          inputMode="text"
          autoComplete="off"
          placeholder={placeholder}
          aria-invalid={!!f.error || (parsed !== null && !parsed.ok)}
          aria-describedby={`${f.id}-e`}
          {...f.register()}
        />
        {unit !== "1" && (
          <span
            aria-hidden
            className="pointer-events-none absolute inset-y-0 right-2 flex items-center text-sm text-soft"
          >
            {unit}
          </span>
        )}
      </span>
    </Frame>
  );
}

const readBack = (si: string, unit: string) => `${formatSi(si, unit)} ${unit}`;
