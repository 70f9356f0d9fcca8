import type { MatchOutcome } from "../vocabulary/contest";
import type { Slot, Source } from "./bracket";

/** What was recorded of a match between two entries. */
export interface Result {
  readonly slot: string;
  readonly a: string;
  readonly b: string;
  readonly outcome: MatchOutcome;
  /** null where neither has won. */
  readonly winner: string | null;
  /** Games won, or what was measured, of a and of b, as exact decimals. */
  readonly score?: readonly [string, string] | null;
}

/** Somebody, nobody (a bye or who is out), or not known yet. */
export type Who = string | null | undefined;

/** A slot as it stands: who is in it, and how it ended. */
export interface Match {
  readonly slot: Slot;
  readonly a: Who;
  readonly b: Who;
  /** It waits for others, can be played, was played, is a bye, or is played by nobody. */
  readonly state: "waits" | "ready" | "played" | "bye" | "empty";
  readonly winner: Who;
  /** Who goes on as its loser; null where the loser is out of the event. */
  readonly loser: Who;
  readonly result: Result | null;
}

const sameTwo = (r: Result, a: string, b: string) => (r.a === a && r.b === b) || (r.a === b && r.b === a);

/**
 * A bracket played with the results that there are. A result counts in its slot only between the two who meet there;
 * of several between the same two the last counts. So a corrected result plays on by itself: what it moves to other
 * slots is not counted, and counts again when the correction is taken back.
 * @param slots in an order in which they can be played
 * @param entries by seed: the first is seed 1
 * @param results in the order in which they were recorded
 * @returns a match for every slot, in the order of the slots
 * @example
 * play(singleBracket(2), ["Alder", "Bramble"], [
 *   { slot: "M1-1", a: "Alder", b: "Bramble", outcome: "won", winner: "Bramble" },
 * ])[0]?.winner
 * // => "Bramble"
 */
export function play(slots: readonly Slot[], entries: readonly string[], results: readonly Result[]): Match[] {
  const bySlot = new Map<string, Result[]>();
  for (const r of results) {
    const here = bySlot.get(r.slot);
    if (here) here.push(r);
    else bySlot.set(r.slot, [r]);
  }
  return playWith(slots, entries, ({ key }, a, b) => bySlot.get(key)?.findLast((r) => sameTwo(r, a, b)) ?? null);
}

/**
 * The same, where how a match ended is asked for when it is known who meets in it; null for one that is not played yet.
 * @example
 * playWith(singleBracket(2), ["Alder", "Bramble"], () => null)[0]?.state // => "ready"
 */
export function playWith(
  slots: readonly Slot[],
  entries: readonly string[],
  resultOf: (slot: Slot, a: string, b: string) => Result | null,
): Match[] {
  const done = new Map<string, Match>();
  const who = (source: Source): Who => {
    if (source.kind === "nobody") return null;
    if (source.kind === "entry") return entries[source.seed - 1] ?? null;
    return done.get(source.of)?.[source.kind];
  };
  return slots.map((slot) => {
    const condition = slot.onlyIf === undefined ? null : done.get(slot.onlyIf)!;
    const match = meet(slot, who(slot.a), who(slot.b), condition, resultOf);
    done.set(slot.key, match);
    return match;
  });
}

/** One slot, with who is in it. */
function meet(
  slot: Slot,
  a: Who,
  b: Who,
  condition: Match | null,
  resultOf: (slot: Slot, a: string, b: string) => Result | null,
): Match {
  const as = (state: Match["state"], winner: Who, loser: Who, result: Result | null = null): Match => ({
    slot,
    a,
    b,
    state,
    winner,
    loser,
    result,
  });
  // A second final is for nobody when the first was won by who had not lost before.
  if (condition && condition.winner !== undefined && condition.winner === condition.a) return as("empty", null, null);
  if (a === undefined || b === undefined) return as("waits", undefined, undefined);
  if (a === null && b === null) return as("empty", null, null);
  if (a === null || b === null) return as("bye", a ?? b, null);
  const result = resultOf(slot, a, b);
  if (!result) return as("ready", undefined, undefined);
  if (result.winner === null) return as("played", null, null, result);
  const beaten = result.winner === a ? b : a;
  return as("played", result.winner, result.outcome === "disqualified" ? null : beaten, result);
}

/**
 * Who has won an elimination; null where nobody has, undefined while it is not known.
 * @example championOf(play(singleBracket(2), ["Alder", "Bramble"], [])) // => undefined
 */
export function championOf(matches: readonly Match[]): Who {
  const last = matches.at(-1);
  return last?.state === "empty" && last.slot.onlyIf ? matches.at(-2)!.winner : last?.winner;
}

/** A place in the end: the first of those that it shares, and how many share them. */
export interface Finish {
  readonly place: number;
  readonly sharing: number;
}

/** How late a match is for who leaves by it: the round of the second chance into which its loser would have dropped. */
function lateness(slot: Slot, double: boolean): number {
  if (slot.side === "final") return 1000 + slot.round;
  if (slot.side === "third") return 999;
  if (slot.side === "second" || !double) return slot.round;
  return slot.round === 1 ? 1 : 2 * (slot.round - 1);
}

/**
 * The places of those who are done with an elimination, by entry: 1, 2, 3, 4, then those who left in the same round
 * share theirs (5 to 6, 7 to 8, 9 to 12). Who is still in it, and who could still be joined by others of the same
 * round, has none yet.
 * @example
 * placesOf(
 *   play(singleBracket(2), ["Alder", "Bramble"], [
 *     { slot: "M1-1", a: "Alder", b: "Bramble", outcome: "won", winner: "Bramble" },
 *   ]),
 * ).get("Bramble")
 * // => { place: 1, sharing: 1 }
 */
export function placesOf(matches: readonly Match[]): Map<string, Finish> {
  const double = matches.some((m) => m.slot.side === "second");
  const third = matches.find((m) => m.slot.side === "third");
  const left = new Map<string, number>();
  const all = new Set<string>();
  for (const m of matches) {
    for (const e of [m.a, m.b]) if (e) all.add(e);
    // Who has nobody to play against has the third place.
    if (m === third && m.state === "bye" && m.winner) left.set(m.winner, lateness(m.slot, double) + 0.5);
    if (m.state !== "played") continue;
    const at = lateness(m.slot, double);
    // The last match that somebody lost, or was put out in, is where they leave.
    for (const e of [m.a, m.b]) if (e && e !== m.winner) left.set(e, at);
    if (m === third && m.winner) left.set(m.winner, at + 0.5);
  }
  const isOut = (e: string) => left.has(e) && !matches.some((m) => open(m) && (m.a === e || m.b === e));
  const champion = championOf(matches);
  const finished = champion !== undefined;
  const openFrom = Math.min(
    Number.POSITIVE_INFINITY,
    ...matches.filter((m) => open(m)).map((m) => lateness(m.slot, double)),
  );
  const out = new Map<string, Finish>();
  const order = [...all].filter((e) => e !== champion && isOut(e));
  for (const e of order) {
    const at = left.get(e)!;
    if (at >= openFrom && !finished) continue;
    const later = all.size - order.filter((o) => left.get(o)! <= at).length;
    out.set(e, { place: later + 1, sharing: order.filter((o) => left.get(o) === at).length });
  }
  if (finished && champion) out.set(champion, { place: 1, sharing: 1 });
  return out;
}

const open = (m: Match) => m.state === "ready" || m.state === "waits";
