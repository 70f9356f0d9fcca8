"use client";

import { onceThere } from "../once-there";
import { type FieldProps, Frame, useField } from "./field";

const { useLoaded: useReadBack } = onceThere(async () => (await import("./quantity-read")).readBack);

/** A value with its unit as one types it; what was understood is said at once beside it. */
export function QuantityField({ unit, placeholder, ...p }: FieldProps & { unit: string; placeholder?: string }) {
  const f = useField(p.name);
  const typed = String(f.form.watch(f.full) ?? "");
  const understood = useReadBack()?.(typed, unit);
  return (
    <Frame {...p} id={f.id} error={f.error ?? understood?.wrong} hint={understood?.converted ?? p.hint}>
      <span className="relative block">
        <input
          id={f.id}
          className="input pr-12"
          inputMode="text"
          autoComplete="off"
          placeholder={placeholder}
          aria-invalid={!!f.error || understood?.wrong !== undefined}
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
