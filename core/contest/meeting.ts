import type { Source } from "./bracket";
import { championOf, type Match, play, type Result } from "./play";

/** Who may still come into each side of a slot that is not played yet. */
interface Possible {
  readonly a: ReadonlySet<string>;
  readonly b: ReadonlySet<string>;
}

function possible(matches: readonly Match[], entries: readonly string[]): Map<string, Possible> {
  const by = new Map(matches.map((m) => [m.slot.key, m]));
  const sets = new Map<string, Possible>();
  const of = (source: Source): Set<string> => {
    if (source.kind === "nobody") return new Set();
    if (source.kind === "entry") return new Set([entries[source.seed - 1]].filter((e) => e !== undefined));
    const before = by.get(source.of)!;
    const known = before[source.kind];
    if (known !== undefined) return new Set(known === null ? [] : [known]);
    const { a, b } = sets.get(source.of)!;
    return new Set([...a, ...b]);
  };
  for (const m of matches) sets.set(m.slot.key, { a: of(m.slot.a), b: of(m.slot.b) });
  return sets;
}

/**
 * The first slot in which two may still meet, by pair; null for a pair that cannot meet any more.
 * @example
 * mayMeet(play(singleBracket(4), ["A", "B", "C", "D"], []), ["A", "B", "C", "D"])("A", "B")?.key // => "M2-1"
 */
export function mayMeet(
  matches: readonly Match[],
  entries: readonly string[],
): (one: string, other: string) => Match["slot"] | null {
  const sets = possible(matches, entries);
  const open = matches.filter((m) => m.state === "ready" || m.state === "waits");
  return (one, other) =>
    open.find((m) => {
      const { a, b } = sets.get(m.slot.key)!;
      return (a.has(one) && b.has(other)) || (a.has(other) && b.has(one));
    })?.slot ?? null;
}

/** How an entry stands in an elimination. */
export interface Life {
  readonly entry: string;
  /** Whom it has beaten and whom it has lost to, in order; nobody where neither won. */
  readonly met: readonly { readonly slot: Match["slot"]; readonly other: string; readonly won: boolean }[];
  readonly losses: number;
  /** Whether it is still in it: it can play on, or it has won all. */
  readonly in: boolean;
  /** The match that it plays next, as far as that is known. */
  readonly next: Match | null;
}

/**
 * Who has met whom, who is still in it, and who plays where next.
 * @example
 * lives(play(singleBracket(2), ["A", "B"], [
 *   { slot: "M1-1", a: "A", b: "B", outcome: "won", winner: "A" },
 * ]), ["A", "B"]).map((l) => [l.losses, l.in])
 * // => [[0, true], [1, false]]
 */
export function lives(matches: readonly Match[], entries: readonly string[]): Life[] {
  const champion = championOf(matches);
  const by = new Map<string, Match[]>(entries.map((e) => [e, []]));
  for (const m of matches) for (const e of [m.a, m.b]) if (e) by.get(e)?.push(m);
  return entries.map((entry) => {
    const own = by.get(entry)!;
    const met = own
      .filter((m) => m.state === "played")
      .map((m) => ({ slot: m.slot, other: (m.a === entry ? m.b : m.a)!, won: m.winner === entry }));
    const next = own.find((m) => m.state === "ready" || m.state === "waits") ?? null;
    return { entry, met, losses: met.filter((m) => !m.won).length, in: next !== null || champion === entry, next };
  });
}

/** What a corrected result does to what was played after it. */
export interface Correction {
  readonly after: readonly Match[];
  /** Slots whose result stands. */
  readonly stands: readonly string[];
  /** Slots whose result is not counted any more: others meet there now, or nobody; or another one counts again. */
  readonly void: readonly string[];
  /** Slots that were played and have to be played again, by those who meet there now. */
  readonly again: readonly string[];
}

/**
 * What one more result does, before it is recorded: it replaces what was recorded of that slot, and everything after it
 * is played anew with the results that there are.
 * @example
 * correct(singleBracket(2), ["A", "B"], [
 *   { slot: "M1-1", a: "A", b: "B", outcome: "won", winner: "A" },
 * ], { slot: "M1-1", a: "A", b: "B", outcome: "won", winner: "B" }).void
 * // => []
 */
export function correct(
  slots: readonly Match["slot"][],
  entries: readonly string[],
  results: readonly Result[],
  result: Result,
): Correction {
  const before = play(slots, entries, results);
  const after = play(slots, entries, [...results, result]);
  const had = new Map(before.map((m) => [m.slot.key, m.result]));
  const changed = after.filter((m) => had.get(m.slot.key) && m.slot.key !== result.slot);
  const same = (m: Match) => had.get(m.slot.key) === m.result;
  const gone = changed.filter((m) => !same(m));
  return {
    after,
    stands: changed.filter(same).map((m) => m.slot.key),
    void: gone.map((m) => m.slot.key),
    again: gone.filter((m) => m.state === "ready" || m.state === "waits").map((m) => m.slot.key),
  };
}
