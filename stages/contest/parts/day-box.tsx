"use client";

import { createContext, type ReactNode, useContext, useMemo, useRef, useState } from "react";
import type { EnteredState } from "@/core/vocabulary/runs";
import { sendBoxed } from "@/ui/boxed";
import type { Send } from "@/ui/form/result";
import { useOutbox } from "@/ui/outbox";
import { Waiting } from "@/ui/waiting";

/** An attempt as it is sent. */
export interface AttemptSent {
  readonly entryId: string;
  readonly nth: number;
  readonly state: EnteredState;
  readonly reason: string;
  readonly readings: Readonly<Record<string, string>>;
  readonly seconds: Readonly<Record<string, string>>;
  readonly penalties: readonly { readonly key: string; readonly count: number; readonly reason: string }[];
  readonly sure: boolean;
}

/** A match as it is sent. */
export interface MatchSent {
  readonly eventId: string;
  readonly slot: string;
  readonly a: string;
  readonly b: string;
  readonly outcome: "won" | "drawn";
  readonly winner: "a" | "b" | null;
  readonly aScore: string;
  readonly bScore: string;
}

/** An inspection as it is sent. */
export interface InspectionSent {
  readonly buildId: string;
  readonly after: number;
  readonly outcome: "passed" | "turned away";
  readonly typed: Readonly<Record<string, string>>;
  readonly waiver: string;
  readonly note: string;
}

/** A judge's sheet as it is sent. */
export interface SheetSent {
  readonly entryId: string;
  readonly after: number;
  readonly stepped: boolean;
  readonly marks: Readonly<Record<string, string>>;
  readonly note: string;
}

/** Whatever is written on the day: what it is, what is sent, and how it is called while it waits. */
export type Written =
  | { readonly what: "attempt"; readonly input: AttemptSent; readonly words: string }
  | { readonly what: "match"; readonly input: MatchSent; readonly words: string }
  | { readonly what: "inspection"; readonly input: InspectionSent; readonly words: string }
  | { readonly what: "sheet"; readonly input: SheetSent; readonly words: string };
type Item = Written & { readonly id: string };

/** What became of something that was written: saved, refused with the server's words, or waiting. */
export interface Heard {
  saved(value: unknown): void;
  refused(words: string, sure: boolean): void;
  waits(): void;
}

/** Something that was written here, and how far it is. */
interface OnItsWay {
  readonly item: Item;
  /** The server has it. */
  readonly sent: boolean;
  /** It was written a moment ago, and its own fields still show it. */
  readonly going: boolean;
  /** The number that the server gave to an attempt. */
  readonly attempt: number;
  /** It does not count as one more: somebody else scored the same. */
  readonly aside: boolean;
  /** The server would not take it. */
  readonly problem: boolean;
}

/** What the server answered to an attempt. */
function answered(value: unknown): Pick<OnItsWay, "attempt" | "aside"> {
  const { attempt = 0, twice } = (value ?? {}) as { attempt?: number; twice?: string | null };
  return { attempt, aside: !!twice };
}

interface Day {
  /** Writes something; `heard` is told as long as the page stands. */
  add(written: Written, heard: Heard): void;
  /** What waits, also from before a reload, and what was sent since this page stands. */
  readonly items: readonly OnItsWay[];
}

const Context = createContext<Day | null>(null);

/** The box of the day's writes, for whoever adds to it. */
export function useDay(): Day {
  const day = useContext(Context);
  if (!day) throw new Error("There is no box of the day around this.");
  return day;
}

const post = ({ what, input, id }: Item, envelope: Parameters<Send<unknown>>[1]) =>
  sendBoxed(what)({ id, ...input }, envelope);

/**
 * Everything that is scored and inspected on a device goes through one box: kept in the browser, sent in the order in
 * which it was written, whichever page of the contest is open, and again when the network is back.
 */
export function DayBox({ via, children }: { via?: "guest"; children: ReactNode }) {
  const ears = useRef(new Map<string, Heard>());
  const [late, setLate] = useState("");
  /** What is on its way for the first time: its own fields still show it. */
  const [going, setGoing] = useState<ReadonlySet<string>>(new Set());
  const box = useOutbox<Item>("contest", (sent, envelope) => post(sent as Item, { ...envelope, via }), {
    answered(sent, r) {
      const ear = ears.current.get(sent.id);
      ears.current.delete(sent.id);
      setGoing((now) => new Set([...now].filter((id) => id !== sent.id)));
      if (r.ok) {
        if (ear) ear.saved(r.value);
        else setLate(`${sent.words}: saved.`);
        return;
      }
      // What was refused stands in its fields again where they are open; else it stays, with the reason.
      if (!ear) return;
      box.drop(sent.id);
      ear.refused(r.message ?? "", !!(r.fields as Record<string, string> | undefined)?.sure);
    },
    waits() {
      // Where the first one waits, so do those behind it.
      const all = [...ears.current.values()];
      ears.current.clear();
      for (const ear of all) ear.waits();
      setGoing(new Set());
    },
  });
  const { waiting, add, offline } = box;
  const day = useMemo<Day>(
    () => ({
      add(written, heard) {
        const id = crypto.randomUUID();
        setLate("");
        // Where others wait already, nobody is kept waiting for this one.
        if (!offline) {
          ears.current.set(id, heard);
          setGoing((now) => new Set([...now, id]));
        }
        add({ ...written, id });
        if (offline) heard.waits();
      },
      items: waiting.map((x) => ({
        item: x.input,
        sent: x.sent,
        going: going.has(x.id),
        ...answered(x.value),
        problem: x.problem !== undefined,
      })),
    }),
    [waiting, going, add, offline],
  );
  const left = waiting.filter((x) => !x.sent && !going.has(x.id));
  return (
    <Context.Provider value={day}>
      <div className={left.length || late ? "mb-3" : ""}>
        <p aria-live="polite" className="text-sm text-moss">
          {late}
        </p>
        {left.length > 1 && <p className="mb-1 text-sm font-[600]">{left.length} wait in this browser.</p>}
        <Waiting items={left} words={(x) => x.words} onRetry={box.retry} onDrop={box.drop} />
      </div>
      {children}
    </Context.Provider>
  );
}
