import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import type { Command } from "@/platform/command/command";
import { closeSource, openSource, writeNote } from "@/stages/needs/commands/notes";
import { draftQuestion, editQuestion, mergeQuestions, orderQuestions } from "@/stages/needs/commands/questions";
import { linkStatement, saveStatement } from "@/stages/needs/commands/statements";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { createGuestLink } from "@/stages/people/commands/guests";
import { guestLinksOf } from "@/stages/people/queries/guests";

export interface Stage {
  run<I, O>(cmd: Command<I, O>, who: string | Actor, input: unknown): Promise<O>;
  at(date: string, hour?: number, minute?: number): Promise<void>;
  sketch(words: string, hue: number): Promise<string>;
  as(id: string): Promise<Actor>;
  owner: string;
  projectId: string;
  /** Students' ids by name. */
  ids: ReadonlyMap<string, string>;
}

export async function client(s: Stage, label: string): Promise<Actor> {
  await s.run(createGuestLink, s.owner, { projectId: s.projectId, role: "client", label, days: 120 });
  const link = (await guestLinksOf(s.projectId)).find((g) => g.role === "client")!;
  return { kind: "guest", id: link.id, name: label, role: "client", project: s.projectId };
}

type Heard = [question: number | null, by: string, text: string];

export async function session(
  s: Stage,
  who: string,
  kind: string,
  title: string,
  withWhom: string,
  date: string,
  questions: readonly string[],
  heard: readonly Heard[],
  close = true,
): Promise<Map<string, string>> {
  await s.at(date, 10);
  const { id } = await s.run(openSource, who, {
    projectId: s.projectId,
    kind,
    title,
    who: withWhom,
    heldOn: date,
  });
  const notes = new Map<string, string>();
  for (const [i, [q, by, text]] of heard.entries()) {
    await s.at(date, 10, 3 + i);
    const note = randomUUID();
    await s.run(writeNote, s.ids.get(by)!, {
      id: note,
      sourceId: id,
      questionId: q === null ? undefined : questions[q],
      text,
    });
    notes.set(text, note);
  }
  if (close) await s.run(closeSource, s.owner, { id, closed: true });
  return notes;
}

export async function bank(
  s: Stage,
  date: string,
  list: readonly (readonly [text: string, by: string, asker: string | null, ...alike: (readonly [string, string])[]])[],
): Promise<string[]> {
  const out: string[] = [];
  for (const [i, [text, by, asker, ...alike]] of list.entries()) {
    await s.at(date, 9, i * 2);
    const { id } = await s.run(draftQuestion, s.ids.get(by)!, { projectId: s.projectId, text });
    const others: string[] = [];
    for (const [t, b] of alike)
      others.push((await s.run(draftQuestion, s.ids.get(b)!, { projectId: s.projectId, text: t })).id);
    if (others.length) await s.run(mergeQuestions, s.owner, { projectId: s.projectId, into: id, from: others });
    if (asker)
      await s.run(editQuestion, s.owner, {
        id,
        version: 1,
        text,
        askerId: s.ids.get(asker),
        forClient: false,
      });
    out.push(id);
  }
  await s.run(orderQuestions, s.owner, { projectId: s.projectId, ids: out });
  return out;
}

export async function statement(
  s: Stage,
  by: string,
  text: string,
  notes: readonly (string | undefined)[],
  code?: string,
): Promise<string> {
  const { id } = await s.run(saveStatement, s.ids.get(by) ?? by, {
    projectId: s.projectId,
    text,
    noteIds: notes.filter((n) => n),
  });
  const r = code ? (await requirementsOf(s.projectId)).find((x) => x.statement.startsWith(code)) : undefined;
  if (r) await s.run(linkStatement, s.owner, { id, requirementId: r.id });
  return id;
}
