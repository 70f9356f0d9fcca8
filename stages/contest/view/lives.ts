import { isElimination, type MatchRules, roundsOf, slotsOf } from "@/core/contest/matches";
import { type Life, lives, mayMeet } from "@/core/contest/meeting";
import { type Match, play, type Result } from "@/core/contest/play";
import { plural } from "@/platform/registry/words";
import type { MatchEntry, StoredResult } from "../queries/match-facts";
import type { MatchEvent } from "../queries/matches";
import { numbered } from "./bracket";
import { seeded } from "./seeds";
import { slotWords } from "./words";

/** An event of matches played with what was recorded of it. */
export function playedView(event: Pick<MatchEvent, "rules" | "entries" | "results" | "drawn">): {
  entries: MatchEntry[];
  names: Map<string, string>;
  matches: Match[];
} {
  const entries = seeded(event.entries);
  const ids = entries.map((n) => n.id as string);
  return {
    entries,
    names: new Map(entries.map((n) => [n.id, n.team])),
    matches: play(slotsOf(event.rules, ids.length, event.drawn), ids, event.results),
  };
}

/** How many matches each round of an event has, also before it is seeded; a second final is counted. */
export function roundSizes(event: Pick<MatchEvent, "rules" | "entries">): number[] {
  const ids = event.entries.filter((n) => n.inspection !== "turned away").map((n) => n.id as string);
  if (ids.length < 2) return [];
  if (event.rules.format === "records")
    return Array.from({ length: event.rules.rounds }, () => Math.floor(ids.length / 2));
  return roundsOf(play(slotsOf(event.rules, ids.length, []), ids, [])).map(
    (r) => r.matches.filter((m) => m.state !== "bye" && m.state !== "empty").length,
  );
}

const times = ["not lost", "lost once", "lost twice"];

/** How an entry stands in an elimination: who has beaten it, whether they may meet again, and what comes next. */
function words(
  life: Life,
  name: (id: string) => string,
  meeting: ReturnType<typeof mayMeet>,
  rules: Pick<MatchRules, "format">,
): string {
  const lost = life.met.filter((m) => !m.won);
  const by = lost.map((m) => `to ${name(m.other)} in ${slotWords(m.slot)}`).join(" and ");
  const beaten = [...new Set(life.met.filter((m) => m.won).map((m) => name(m.other)))];
  const beat = beaten.length ? `; has beaten ${beaten.join(", ")}` : "";
  if (!life.in) return `${name(life.entry)} is out${by ? `: lost ${by}` : ""}.`;
  const lives = `${name(life.entry)} has ${times[lost.length] ?? `lost ${lost.length} times`}${by ? `, ${by}` : ""}`;
  if (!life.next) return `${lives}${beat}, and has won it.`;
  const said = [`${lives}${beat}.`];
  const [only] = lost;
  if (only && rules.format === "double") {
    const again = meeting(life.entry, only.other);
    said.push(again ? `They may meet again in ${slotWords(again)} at the earliest.` : "They cannot meet again.");
  }
  const other = life.next.a === life.entry ? life.next.b : life.next.a;
  const at = slotWords(life.next.slot);
  said.push(other ? `Next: ${name(other)}, in ${at}.` : `Waits for the other in ${at}.`);
  return said.join(" ");
}

/** Who is still in an elimination and who is out, each with what it has met, in words; those with more lives first. */
export function livesView(
  event: Pick<MatchEvent, "rules">,
  { matches, names, entries }: ReturnType<typeof playedView>,
): { id: string; team: string; losses: number; in: boolean; says: string }[] {
  if (!isElimination(event.rules.format) || !matches.length) return [];
  const ids = entries.map((n) => n.id as string);
  const meeting = mayMeet(matches, ids);
  return lives(matches, ids)
    .map((life) => ({
      id: life.entry,
      team: names.get(life.entry)!,
      losses: life.losses,
      in: life.in,
      says: words(life, (id) => names.get(id)!, meeting, event.rules),
    }))
    .sort((a, b) => Number(b.in) - Number(a.in) || a.losses - b.losses);
}

/** A match that can be scored, or that was. */
export interface Playable {
  readonly slot: string;
  /** Its number in the drawing. */
  readonly number: number;
  readonly title: string;
  readonly a: string;
  readonly b: string;
  readonly teams: readonly [string, string];
  /** Who has not passed inspection, so that it cannot be played. */
  readonly waiting: readonly string[];
}

type Played = ReturnType<typeof playedView>;

/** A match of two who are known, as a scorer sees it. */
function playable({ names }: Played, numbers: ReadonlyMap<string, number>, m: Match): Playable {
  const [a, b] = [m.a!, m.b!];
  return {
    slot: m.slot.key,
    number: numbers.get(m.slot.key)!,
    title: slotWords(m.slot),
    a,
    b,
    teams: [names.get(a)!, names.get(b)!],
    waiting: [],
  };
}

/** The matches that can be played now, in their order. */
export function toPlay(played: Played): Playable[] {
  const numbers = numbered(played.matches);
  const passed = new Map(played.entries.map((n) => [n.id as string, n.inspection === "passed"]));
  return played.matches
    .filter((m) => m.state === "ready")
    .map((m) => ({
      ...playable(played, numbers, m),
      waiting: [m.a!, m.b!].filter((id) => !passed.get(id)).map((id) => played.names.get(id)!),
    }));
}

/** The matches that are on record and count, in their order, with what was recorded. */
export function onRecord(
  played: Played,
  results: readonly StoredResult[],
): { match: Playable; stored: StoredResult; winner: string | null; loser: string | null }[] {
  const numbers = numbered(played.matches);
  const stored = new Map(results.map((r) => [r as Result, r]));
  return played.matches.flatMap((m) => {
    const of = m.result && stored.get(m.result);
    if (!of) return [];
    const match = playable(played, numbers, m);
    const winner = of.winner && played.names.get(of.winner)!;
    return [{ match, stored: of, winner, loser: winner && match.teams.find((t) => t !== winner)! }];
  });
}

/** Whether everybody has a place: then an event of matches is played to its end. */
export const allPlaced = (standings: readonly { readonly place: number | null }[]): boolean =>
  standings.length > 0 && standings.every((s) => s.place !== null);

/** How many matches are played, and how many there are to play as far as that is known. */
export function progressOf(matches: readonly Match[]): string {
  const done = matches.filter((m) => m.state === "played").length;
  const open = matches.filter((m) => m.state === "ready" || m.state === "waits").length;
  return open
    ? `${plural(done, "match", "matches")} played, ${open} to play`
    : `${plural(done, "match", "matches")} played`;
}
