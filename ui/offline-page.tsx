"use client";

import { type ReactNode, useEffect, useState } from "react";
import { loadKeptToo } from "./kept-too";
import { keptHandbook, keptPages, keptParts } from "./offline-names";

const script = "/guest-offline.js";
/** Where pages are kept, by the part of the application that they belong to. */
const keptIn = { "/guest": keptPages, "/handbook": keptHandbook } as const;

const loadRest = () => Promise.all([import("./confirm"), loadKeptToo()]);

/** Waits until the worker is there. */
const stands = (registration: ServiceWorkerRegistration) =>
  new Promise<void>((resolve) => {
    const worker = registration.active ?? registration.waiting ?? registration.installing;
    if (registration.active || !worker) return resolve();
    worker.addEventListener("statechange", () => worker.state === "activated" && resolve());
  });

/** Keeps what this page was made of, and these pages as they are now. */
async function keepAll(scope: keyof typeof keptIn, pages: readonly string[]): Promise<void> {
  const made = performance
    .getEntriesByType("resource")
    .map((e) => new URL(e.name).pathname)
    .filter((path) => path.startsWith("/_next/static/"));
  const parts = await caches.open(keptParts);
  for (const path of new Set(made)) if (!(await parts.match(path))) await parts.add(path);
  const kept = await caches.open(keptIn[scope]);
  for (const address of pages) {
    const page = await fetch(address, { redirect: "error" }).catch(() => null);
    if (page?.ok) await kept.put(address, page);
  }
}

/**
 * Makes a page open without a network: a guest's is kept in this browser, with the pages that one can turn to from it,
 * and kept again now and then; of the handbook the one that stands by itself. Says when that is so, and when this
 * browser cannot.
 */
export function OfflinePage({
  pages,
  load = loadRest,
  scope = "/guest",
  kept = "This page opens without a network too. What you save then waits here and is sent later.",
  cannot = "This browser cannot open the page without a network (it takes https). What is saved while the page " +
    "stands still waits here and is sent later: do not close it.",
}: {
  pages: readonly string[];
  /** Fetches what is otherwise loaded when it is first pressed. */
  load?: () => Promise<unknown>;
  scope?: keyof typeof keptIn;
  kept?: ReactNode;
  cannot?: ReactNode;
}) {
  const [state, setState] = useState<"" | "kept" | "cannot">("");
  const which = pages.join(" ");
  useEffect(() => {
    if (!("serviceWorker" in navigator)) return setState("cannot");
    let gone = false;
    let at: ReturnType<typeof setInterval> | undefined;
    const here = () => (scope === "/guest" ? [location.pathname + location.search] : []);
    void (async () => {
      // A page that was come to from the link is not the worker's yet: it is asked itself whether it stands.
      const registration = await navigator.serviceWorker.register(script, { scope, updateViaCache: "none" });
      await stands(registration);
      await load();
      if (gone) return;
      await keepAll(scope, [...new Set([...here(), ...which.split(" ")])]);
      if (gone) return;
      setState("kept");
      at = setInterval(() => void keepAll(scope, here()), 60_000);
    })().catch(() => setState("cannot"));
    return () => {
      gone = true;
      clearInterval(at);
    };
  }, [which, scope, load]);
  return (
    <p className="mt-6 text-sm text-soft" aria-live="polite">
      {state === "kept" && kept}
      {state === "cannot" && cannot}
    </p>
  );
}
