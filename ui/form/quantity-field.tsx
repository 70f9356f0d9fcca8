"use client";

import { useEffect, useState } from "react";
import { type FieldProps, Frame, useField } from "./field";

type Read = typeof import("./quantity-read").readBack;
let read: Read | null = null;

/** Fetches what reads quantities; a page that has such a field does so once it stands. */
const loadQuantities = async (): Promise<Read> => {
  read ??= (await import("./quantity-read")).readBack;
  return read;
};

/** A value with its unit as one types it; what was understood is said at once beside it. */
export function QuantityField({ unit, placeholder, ...p }: FieldProps & { unit: string; placeholder?: string }) {
  const f = useField(p.name);
  const typed = String(f.form.watch(f.full) ?? "");
  const [reads, setReads] = useState<Read | null>(null);
  useEffect(() => {
    if (read) setReads(() => read);
    else void loadQuantities().then((found) => setReads(() => found));
  }, []);
  const understood = reads?.(typed, unit);
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
