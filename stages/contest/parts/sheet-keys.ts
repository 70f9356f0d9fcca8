import { useEffect, useRef } from "react";

/** Moves the focus from one line of a sheet to the next one; lines carry `data-line`. */
export function focusNext(form: HTMLElement | null, from: HTMLElement): void {
  const stops = [...(form?.querySelectorAll<HTMLElement>("[data-line]") ?? [])];
  stops[stops.findIndex((x) => x === from || from.contains(x)) + 1]?.focus();
}

/** N, where nothing is typed, goes to the next team; null where there is none. */
export function useNextKey(goOn: (() => void) | null): void {
  const now = useRef(goOn);
  now.current = goOn;
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      const typing = (e.target as HTMLElement).closest("input, textarea, [role=radiogroup]");
      if (e.key.toLowerCase() !== "n" || e.ctrlKey || e.metaKey || e.altKey || typing || !now.current) return;
      e.preventDefault();
      now.current();
    };
    document.addEventListener("keydown", press);
    return () => document.removeEventListener("keydown", press);
  }, []);
}
