"use client";

import { useEffect, useMemo, useState, useSyncExternalStore } from "react";
import { keep, keptObject, readKept } from "@/ui/kept";

/** A time that a watch or light gates of this browser took, in seconds. */
export interface TakenTime {
  readonly seconds: string;
  readonly by: string;
  /** This device's clock, in milliseconds. */
  readonly at: number;
}

const key = "ironstone.times";
const told = "ironstone-times";
/** Offered for so long, in milliseconds; and so many of them. */
const fresh = 10 * 60_000;
const most = 3;

/** Keeps a time in this browser, so that the field of an event can take it. */
export function tookTime(seconds: string, by: string): void {
  const kept = keptObject<TakenTime[]>(key) ?? [];
  keep(key, JSON.stringify([{ seconds, by, at: Date.now() }, ...kept].slice(0, most)));
  window.dispatchEvent(new Event(told));
}

const subscribe = (heard: () => void) => {
  for (const event of ["storage", told]) window.addEventListener(event, heard);
  return () => {
    for (const event of ["storage", told]) window.removeEventListener(event, heard);
  };
};

/** The times of the last ten minutes in this browser, the newest first. */
export function useTakenTimes(): readonly TakenTime[] {
  const kept = useSyncExternalStore(
    subscribe,
    () => readKept(key) ?? "",
    () => "",
  );
  const [now, setNow] = useState(0);
  useEffect(() => {
    setNow(Date.now());
    const timer = setInterval(() => setNow(Date.now()), 30_000);
    return () => clearInterval(timer);
  }, []);
  return useMemo(
    () => (kept ? (keptObject<TakenTime[]>(key) ?? []) : []).filter((t) => now - t.at < fresh),
    [kept, now],
  );
}
