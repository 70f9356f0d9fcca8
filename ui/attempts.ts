"use client";

import { useRef } from "react";
import { type EnteredState, runState } from "@/core/vocabulary/runs";
import { sendBoxed } from "./boxed";
import { useOutbox } from "./outbox";

interface Attempt {
  readonly id: string;
  readonly state: EnteredState;
  readonly readings: Readonly<Record<string, string>>;
  /** It was asked about a reading outside its range, and it is right. */
  readonly sure: boolean;
}

interface Ear<T> {
  /** `own` is the one that was entered last on this page; others waited from before. */
  saved(sent: T, attempt: number, own: boolean): void;
  /** The server would not take the own one: what was typed belongs back into its fields. */
  refused(sent: T, words: string): void;
  /** The own one waits for the network. */
  waits(sent: T): void;
}

/**
 * Attempts on their way to the server, through the outbox. One that is refused is dropped where its fields still hold
 * it, and stays with its reason where it waited from before; one that was asked about is sure when it comes again.
 */
export function useAttempts<T extends Attempt>(name: string, ear: Ear<T>) {
  const mine = useRef("");
  const asked = useRef("");
  const box = useOutbox<T>(name, sendBoxed("run"), {
    answered(sent, r) {
      const own = mine.current === sent.id;
      if (own) mine.current = "";
      if (r.ok) return ear.saved(sent, (r.value as { attempt: number }).attempt, own);
      if (!own) return;
      box.drop(sent.id);
      if ((r.fields as Record<string, string> | undefined)?.sure) asked.current = JSON.stringify(sent.readings);
      ear.refused(sent, r.message ?? "");
    },
    waits(sent) {
      if (mine.current !== sent.id) return;
      mine.current = "";
      ear.waits(sent);
    },
  });
  return {
    ...box,
    waiting: box.waiting.filter((x) => x.id !== mine.current),
    add(entered: Omit<T, "id" | "sure">) {
      mine.current = crypto.randomUUID();
      box.add({ ...entered, id: mine.current, sure: asked.current === JSON.stringify(entered.readings) } as T);
    },
  };
}

/** An attempt in words, for the list of those that wait. */
export const attemptWords = (
  measures: readonly { key: string; name: string; unit: string }[],
  x: Pick<Attempt, "state" | "readings">,
): string =>
  x.state === "valid"
    ? measures.map((m) => `${m.name} ${x.readings[m.key] ?? ""} ${m.unit === "1" ? "" : m.unit}`.trim()).join(", ")
    : runState.labels[x.state];
