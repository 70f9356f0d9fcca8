import Decimal from "decimal.js";
import { atResolution } from "../ranking/rank";
import type { MatchFormat, MatchRule } from "../vocabulary/contest";
import type { Better } from "../vocabulary/runs";
import { makeWorking, type Working } from "../working/working";
import { doubleBracket, type Slot, singleBracket } from "./bracket";
import { lives } from "./meeting";
import { type Match, placesOf, play, type Result } from "./play";
import { roundRobin, slotOf } from "./rounds";
import { type TablePoints, type TableRow, table } from "./table";

/** How an event of matches is played and what decides one. */
export interface MatchRules {
  readonly format: MatchFormat;
  readonly decides: MatchRule;
  /** The most games of a match: who has won more than half of them has won it. 1 unless games decide. */
  readonly games: number;
  /** Double elimination: whether a first loss in the final is forgiven too. */
  readonly secondFinal: boolean;
  /** Single elimination: whether the third place is played for. */
  readonly third: boolean;
  /** Rounds of equal records: how many. */
  readonly rounds: number;
  /** Tables: what a match earns. */
  readonly points: TablePoints;
  /** What each place earns in the overall ranking, the first first; none where it gives no points. */
  readonly placePoints?: readonly string[];
  /** What is measured of each, where that decides; numbers are in its unit. */
  readonly measured: {
    readonly name: string;
    readonly unit: string;
    readonly better: Better;
    readonly resolution: string;
  } | null;
}

/** A round of equal records as it was drawn: pairs of seeds, and the seed that has the bye. */
export interface DrawnRound {
  readonly pairs: readonly (readonly [number, number])[];
  readonly bye: number | null;
}

/** Whether an event of this format ends with somebody who has beaten all others that were left. */
export const isElimination = (format: MatchFormat): format is "single" | "double" =>
  format === "single" || format === "double";

/**
 * Every slot of an event of matches in an order in which it can be played.
 * @param n entries with a seed; fewer than two have no slot yet
 * @param drawn the rounds of equal records that were drawn so far
 * @example slotsOf({ format: "robin", third: false, secondFinal: false }, 4, []).length // => 6
 */
export function slotsOf(rules: Drawing, n: number, drawn: readonly DrawnRound[]): Slot[] {
  if (n < 2) return [];
  switch (rules.format) {
    case "single":
      return singleBracket(n, rules.third);
    case "double":
      return doubleBracket(n, rules.secondFinal);
    case "robin":
      return roundRobin(n);
    case "records":
      return drawn.flatMap((round, r) => round.pairs.map(([a, b], i) => slotOf(r + 1, i + 1, a, b)));
  }
}

/** What an event's slots follow from. */
type Drawing = Pick<MatchRules, "format" | "third" | "secondFinal">;

/** What a scorer wrote of a match: the score of each, where there is one, or who has won. */
export interface Written {
  readonly score: readonly [string, string] | null;
  readonly winner: "a" | "b" | null;
}

/** Who has won by the rule of the match; or what is wrong with what was written. */
export type Decided =
  | { readonly ok: true; readonly winner: "a" | "b" | null }
  | { readonly ok: false; readonly message: string };

/**
 * Who has won a match by its rule. Games: who has won more than half of them. A measured value: the better one; values
 * that agree at the resolution are drawn. null is a draw, which an elimination does not take.
 * @example
 * decide(
 *   { format: "double", decides: "games", games: 3, measured: null },
 *   { score: ["2", "1"], winner: null },
 * )
 * // => { ok: true, winner: "a" }
 */
export function decide(
  rules: Pick<MatchRules, "format" | "decides" | "games" | "measured">,
  written: Written,
): Decided {
  const wrong = (message: string): Decided => ({ ok: false, message });
  const drawn = (what: string): Decided =>
    isElimination(rules.format)
      ? wrong(`${what} In an elimination somebody goes on: play again, or let the judges call it.`)
      : { ok: true, winner: null };
  if (rules.decides === "first" || rules.decides === "call")
    return written.winner ? { ok: true, winner: written.winner } : drawn("Nobody has won.");
  if (!written.score) return wrong(rules.decides === "games" ? "Write the games of each." : "Write the value of each.");
  const [a, b] = written.score.map((x) => new Decimal(x)) as [Decimal, Decimal];
  if (rules.decides === "games") {
    if (!a.isInteger() || !b.isInteger() || a.lt(0) || b.lt(0)) return wrong("Games are whole numbers: 2 and 1.");
    if (a.plus(b).gt(rules.games)) return wrong(`At most ${rules.games} games are played: ${a} and ${b} are more.`);
    const needed = Math.floor(rules.games / 2) + 1;
    if (a.gte(needed) || b.gte(needed)) return { ok: true, winner: a.gt(b) ? "a" : "b" };
    return a.eq(b) && a.plus(b).eq(rules.games)
      ? drawn("Both have won as many games.")
      : wrong(`Who has won ${needed} games has won the match: ${a} and ${b} decide nothing yet.`);
  }
  const by = rules.measured!;
  const [x, y] = written.score.map((v) => atResolution(v, by.resolution)) as [Decimal, Decimal];
  if (x.eq(y)) return drawn(`They agree at ${by.resolution} ${by.unit}.`);
  return { ok: true, winner: x.gt(y) === (by.better === "more") ? "a" : "b" };
}

/** An entry of an event of matches in its standings. */
export interface MatchStanding {
  readonly id: string;
  readonly name: string;
  readonly seed: number;
  /** null while it is still in it, or could be joined by others. */
  readonly place: number | null;
  readonly sharing: number;
  readonly won: number;
  readonly lost: number;
  /** Of a table; null in an elimination. */
  readonly points: string | null;
  readonly difference: string | null;
  readonly decidedBy: TableRow["decidedBy"];
  readonly working: Working;
}

/**
 * The standings of an event of matches, the first place first; those who are still in an elimination come before those
 * who are out, by seed.
 * @param entries by seed
 * @example
 * matchStandings(
 *   { format: "single", third: false, secondFinal: false, points: { win: "2", draw: "1", loss: "0" } },
 *   [{ id: "a", name: "Alder" }, { id: "b", name: "Ash" }],
 *   [{ slot: "M1-1", a: "a", b: "b", outcome: "won", winner: "b" }],
 *   [],
 * ).map((s) => [s.name, s.place])
 * // => [["Ash", 1], ["Alder", 2]]
 */
export function matchStandings(
  rules: Drawing & Pick<MatchRules, "points">,
  entries: readonly { readonly id: string; readonly name: string }[],
  results: readonly Result[],
  drawn: readonly DrawnRound[],
): MatchStanding[] {
  const ids = entries.map((e) => e.id);
  const name = new Map(entries.map((e) => [e.id, e.name]));
  const seed = new Map(ids.map((id, i) => [id, i + 1]));
  const matches = play(slotsOf(rules, ids.length, drawn), ids, results);
  const standing = (id: string, of: Omit<MatchStanding, "id" | "name" | "seed">): MatchStanding => ({
    id,
    name: name.get(id)!,
    seed: seed.get(id)!,
    ...of,
  });
  if (!isElimination(rules.format)) {
    const counted = matches.flatMap((m) => (m.result ? [{ ...m.result, ...named(m.result, name) }] : []));
    const byes = drawn.flatMap((r) => (r.bye === null ? [] : [name.get(ids[r.bye - 1]!)!]));
    const back = new Map(entries.map((e) => [e.name, e.id]));
    return table([...name.values()], counted, rules.points, byes).map((r) =>
      standing(back.get(r.entry)!, {
        place: counted.length ? r.place : null,
        sharing: r.sharing,
        won: r.won,
        lost: r.lost,
        points: r.points,
        difference: r.difference,
        decidedBy: r.decidedBy,
        working: r.working,
      }),
    );
  }
  if (!matches.length) return [];
  const places = placesOf(matches);
  return lives(matches, ids)
    .map((life) => {
      const { place, sharing } = places.get(life.entry) ?? { place: null, sharing: 1 };
      const won = life.met.filter((m) => m.won).length;
      return standing(life.entry, {
        place,
        sharing,
        won,
        lost: life.losses,
        points: null,
        difference: null,
        decidedBy: null,
        working: makeWorking({
          title: `${name.get(life.entry)}: ${place === null ? "still in it" : `place ${place}`}`,
          result: place === null ? "–" : String(place),
          rule:
            (rules.format === "double" ? "Who has lost twice is out" : "Who has lost is out") +
            "; those who leave in the same round share their places.",
          steps: [
            `${won} won, ${life.losses} lost`,
            ...(place === null ? [] : [sharing > 1 ? `places ${place} to ${place + sharing - 1}` : `place ${place}`]),
          ],
          inputs: life.met.map((m) => ({
            label: `${m.slot.key} against ${name.get(m.other)}`,
            value: m.won ? "won" : "lost",
          })),
        }),
      });
    })
    .sort((a, b) => (a.place ?? 0) - (b.place ?? 0) || a.seed - b.seed);
}

const named = (r: Result, name: ReadonlyMap<string, string>): Pick<Result, "a" | "b" | "winner"> => ({
  a: name.get(r.a)!,
  b: name.get(r.b)!,
  winner: r.winner === null ? null : name.get(r.winner)!,
});

/**
 * Matches by round, for drawing: the main side, the second chance and the rest each in its own rows.
 * @example roundsOf(play(singleBracket(4), ["A", "B", "C", "D"], [])).map((r) => r.matches.length) // => [2, 1]
 */
export function roundsOf(matches: readonly Match[]): { side: Slot["side"]; round: number; matches: Match[] }[] {
  const rounds: { side: Slot["side"]; round: number; matches: Match[] }[] = [];
  for (const m of matches) {
    const here = rounds.find((r) => r.side === m.slot.side && r.round === m.slot.round);
    if (here) here.matches.push(m);
    else rounds.push({ side: m.slot.side, round: m.slot.round, matches: [m] });
  }
  return rounds;
}
