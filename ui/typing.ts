"use client";

import { useEffect, useRef, useState } from "react";
import { keep, keptObject } from "./kept";

/**
 * What is being typed in several fields, kept in this browser: a reload, or a look at another page, does not lose it.
 * @param key whose typing of what
 * @param start what the fields hold before anything is typed
 * @returns what they hold, and a change of some of them; null forgets it
 */
export function useTyping<T extends object>(key: string, start: T): [T, (to: Partial<T> | null) => void] {
  const [typed, setTyped] = useState(start);
  const now = useRef(typed);
  const show = (next: T) => {
    now.current = next;
    setTyped(next);
  };
  const restore = useRef(show);
  restore.current = show;
  useEffect(() => {
    const kept = keptObject<T>(key);
    if (kept) restore.current({ ...now.current, ...kept });
  }, [key]);
  return [
    typed,
    // Kept also where the page has moved on meanwhile: what was sent must not stand in its fields again.
    (to) => {
      show(to ? { ...now.current, ...to } : start);
      keep(key, to && JSON.stringify(now.current));
    },
  ];
}
