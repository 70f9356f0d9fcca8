import "server-only";
import { slotsOf } from "@/core/contest/matches";
import { type Match, play } from "@/core/contest/play";
import { found, refuse } from "@/platform/command/command";
import type { Tx } from "@/platform/db/db";
import { lockMatches } from "../queries/matches";
import { seeded } from "../view/seeds";

/** An event of matches with its facts, locked until the command is done. */
export type Locked = NonNullable<Awaited<ReturnType<typeof lockMatches>>>;

/** Locks an event of matches for a command that adds to it; refuses one that is confirmed. */
export async function openMatches(sql: Tx, id: string): Promise<Locked> {
  const e = found(await lockMatches(sql, id), "This event");
  if (e.state === "confirmed") refuse("The result is confirmed. Reopen the event first.");
  return e;
}

/** How an event's matches stand. */
export const matchesOf = (e: Locked): Match[] => {
  const ids = seeded(e.entries).map((n) => n.id as string);
  return play(slotsOf(e.rules, ids.length, e.drawn), ids, e.results);
};
