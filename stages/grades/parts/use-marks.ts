"use client";

import { useEffect, useMemo, useRef, useState } from "react";
import { sendBoxed } from "@/ui/boxed";
import { keep, keptObject } from "@/ui/kept";
import { useOutbox } from "@/ui/outbox";
import type { GridStudent } from "../view/gradebook";

/** A mark on its way: where, what was typed, and the version of the cell that it was typed over. */
export interface Entry {
  readonly personId: string;
  readonly component: string;
  readonly version: number;
  readonly typed: string;
}

/** Marks that are entered at once, and what they are to the stack of what can be undone. */
interface Batch {
  readonly id: string;
  readonly as: "typed" | "undone" | "redone";
  readonly marks: readonly Entry[];
  /** What it is, for people. */
  readonly words: string;
}

/** What a cell shows before the server's figures do: what was typed, on its way or refused. */
export interface Over {
  readonly typed: string;
  readonly wrong: string;
}

export const keyOf = (personId: string, component: string) => `${personId} ${component}`;

/** The version that a cell has when an entry stands: an empty one has none. */
const after = (e: Entry) => (e.typed.trim() ? e.version + 1 : 0);

/** What somebody else typed while this was typed. */
const meanwhile = (fields: unknown): string => {
  const [f] = fields as readonly { label: string; theirs: string }[];
  return f
    ? `${f.label}: ${f.theirs ? `“${f.theirs}” was typed` : "it was taken back"} by somebody else meanwhile. Give ` +
        "this up, look, and type it again to put it over theirs."
    : "Somebody else typed the same meanwhile: give this up.";
};

const send = sendBoxed<Answered>("marks");

type Answered = { readonly marks: readonly (Omit<Entry, "typed"> & { readonly before: string })[] };

/**
 * The marks of a gradebook as they are typed: kept in this browser until the server has them, undone and done again;
 * what cannot be read as a mark stays in its cell.
 */
export function useMarks(projectId: string, columns: readonly { key: string }[], students: readonly GridStudent[]) {
  const [undo, setUndo] = useState<Batch[]>([]);
  const [redo, setRedo] = useState<Batch[]>([]);
  const [drafts, setDrafts] = useState<Readonly<Record<string, Over>>>({});
  const draftsAt = `ironstone.draft.marks.${projectId}`;
  useEffect(() => setDrafts(keptObject<Record<string, Over>>(draftsAt) ?? {}), [draftsAt]);
  const draft = (to: (before: Record<string, Over>) => Record<string, Over>) =>
    setDrafts((before) => {
      const now = to({ ...before });
      keep(draftsAt, Object.keys(now).length ? JSON.stringify(now) : null);
      return now;
    });
  const box = useOutbox<Batch>(
    `marks.${projectId}`,
    async (input, envelope) => {
      const { marks } = input as Batch;
      const answer = await send({ projectId, marks }, envelope);
      return !answer.ok && answer.kind === "conflict" ? { ...answer, message: meanwhile(answer.fields) } : answer;
    },
    {
      answered(batch, answer) {
        if (!answer.ok) return;
        const { marks } = answer.value as Answered;
        const back = marks.map(({ before, ...m }) => ({ ...m, typed: before }));
        const inverse = { ...batch, marks: back };
        if (batch.as === "undone") setRedo((r) => [...r, inverse]);
        else setUndo((u) => [...u, inverse]);
        if (batch.as === "typed") setRedo([]);
      },
    },
  );
  const seen = useMemo(
    () => new Map(students.flatMap((s) => columns.map((c, i) => [keyOf(s.id, c.key), s.cells[i]!] as const))),
    [students, columns],
  );
  const shows = (e: Entry) => {
    const version = seen.get(keyOf(e.personId, e.component))?.version ?? 0;
    return e.typed.trim() ? version > e.version : version !== e.version;
  };
  const over = new Map<string, Over>(Object.entries(drafts));
  const versions = new Map<string, number>();
  for (const { input, problem, sent } of box.waiting)
    for (const e of input.marks) {
      const at = keyOf(e.personId, e.component);
      if (problem) over.set(at, { typed: e.typed, wrong: problem });
      else if (!sent || !shows(e)) {
        over.set(at, { typed: e.typed, wrong: "" });
        versions.set(at, after(e));
      }
    }
  const version = useRef((_: string): number => 0);
  version.current = (at) => versions.get(at) ?? seen.get(at)?.version ?? 0;
  const add = (as: Batch["as"], marks: readonly Entry[], words: string) =>
    box.add({ id: crypto.randomUUID(), as, marks, words });
  const again = (stack: Batch[], set: (to: Batch[]) => void, as: Batch["as"]) => {
    const last = stack.at(-1);
    if (!last) return;
    set(stack.slice(0, -1));
    add(as, last.marks, last.words);
  };
  return {
    over,
    // What is on its way is told where the network is away: else the sheet would jump with each mark.
    waiting: box.waiting.filter((x) => x.problem || box.offline),
    retry: box.retry,
    drop: box.drop,
    canUndo: undo.length > 0,
    canRedo: redo.length > 0,
    undo: () => again(undo, setUndo, "undone"),
    redo: () => again(redo, setRedo, "redone"),
    /** Enters marks: those that can be read are sent at once, the others stay where they were typed. */
    enter(
      cells: readonly { personId: string; component: string; typed: string; wrong: string | null }[],
      words: string,
    ) {
      draft((now) => {
        for (const { personId, component, typed, wrong } of cells) {
          if (wrong) now[keyOf(personId, component)] = { typed, wrong };
          else delete now[keyOf(personId, component)];
        }
        return now;
      });
      const marks = cells.flatMap(({ personId, component, typed, wrong }) => {
        const at = keyOf(personId, component);
        const stands = over.get(at)?.wrong === "" ? over.get(at)!.typed : (seen.get(at)?.typed ?? "");
        return wrong || typed.trim() === stands
          ? []
          : [{ personId, component, typed: typed.trim(), version: version.current(at) }];
      });
      if (marks.length) add("typed", marks, words);
    },
  };
}
