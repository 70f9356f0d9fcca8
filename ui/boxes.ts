"use client";

import { useRef, useState } from "react";

/**
 * Cells of a table in which one types: what each holds, by its key, known at once to who handles a key or an answer,
 * and the fields to go to.
 * @param empty what a cell holds before anything is typed
 */
export function useBoxes<B extends { readonly id?: string }>(empty: B) {
  const [boxes, setBoxes] = useState<Readonly<Record<string, B>>>({});
  const latest = useRef(boxes);
  const fields = useRef(new Map<string, HTMLInputElement>());
  return {
    /** As of the last rendering. */
    shown: (key: string): B => boxes[key] ?? empty,
    now: (key: string): B => latest.current[key] ?? empty,
    change(key: string, to: Partial<B>) {
      latest.current = { ...latest.current, [key]: { ...(latest.current[key] ?? empty), ...to } };
      setBoxes(latest.current);
    },
    /** The cell whose write this is. */
    keyOf: (id: string) => Object.keys(latest.current).find((k) => latest.current[k]!.id === id),
    field: (key: string) => (el: HTMLInputElement | null) => {
      if (el) fields.current.set(key, el);
    },
    focus: (key: string) => fields.current.get(key)?.focus(),
  };
}
