"use client";

import { useEffect, useRef, useState } from "react";

/** What trying something on the record came to. */
export type Tried<T> = { readonly answer: T } | { readonly wrong: string };

/** How long after the last key something is tried. */
const PAUSE = 500;

/** Asks the server what something would do; nothing is written there. */
export async function tryOn<T>(of: string, project: string, sent: unknown, signal?: AbortSignal): Promise<Tried<T>> {
  const r = await fetch(`/api/try?of=${of}&project=${encodeURIComponent(project)}`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(sent),
    signal,
  });
  if (!r.ok) return { wrong: "This could not be tried: reload the page and sign in." };
  return (await r.json()) as Tried<T>;
}

/**
 * What something that is being typed would do, tried a moment after the last key: the last answer stays while the next
 * is on its way.
 */
export function useTry<T>(of: string, project: string, sent: unknown): { tried: Tried<T> | null; busy: boolean } {
  const [tried, setTried] = useState<Tried<T> | null>(null);
  const [busy, setBusy] = useState(false);
  const print = JSON.stringify(sent);
  const last = useRef("");
  useEffect(() => {
    // What was typed is again what was tried last: nothing is on its way.
    if (print === last.current) return setBusy(false);
    const stop = new AbortController();
    setBusy(true);
    const timer = setTimeout(async () => {
      try {
        const answer = await tryOn<T>(of, project, JSON.parse(print), stop.signal);
        last.current = print;
        setTried(answer);
      } catch {
        if (stop.signal.aborted) return;
        setTried({ wrong: "The server does not answer: what this would do is not known." });
      }
      setBusy(false);
    }, PAUSE);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [of, project, print]);
  return { tried, busy };
}
