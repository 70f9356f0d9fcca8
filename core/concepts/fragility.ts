import { seededRandom } from "../draw/draw";

export interface FragilityInput {
  readonly criteria: readonly { key: string; name: string; weight: number }[];
  readonly options: readonly { key: string; name: string }[];
  /** Scores by option (row), then criterion (column). */
  readonly scores: readonly (readonly number[])[];
}

export interface Flip {
  readonly criterion: string;
  /** The criterion's weight now, as a share of all. */
  readonly now: number;
  /** The nearest weight at which another option leads or draws level; null when none between 0 and 1 does. */
  readonly at: number | null;
  readonly winner: string | null;
}

const totals = (scores: FragilityInput["scores"], weights: readonly number[]) =>
  scores.map((row) => row.reduce((s, x, j) => s + x * weights[j]!, 0));

/**
 * For every criterion the smallest change of its weight, the others scaled to keep the sum at 1, at which the winner
 * changes.
 * Weights .5 .3 .2; A 7 6 9, B 8 5 7, C 6 9 5: the first weight rising to 0.583 makes B win.
 * @example
 * flipsOf({
 *   criteria: [
 *     { key: "a", name: "a", weight: 0.5 },
 *     { key: "b", name: "b", weight: 0.3 },
 *     { key: "c", name: "c", weight: 0.2 },
 *   ],
 *   options: [
 *     { key: "A", name: "A" },
 *     { key: "B", name: "B" },
 *     { key: "C", name: "C" },
 *   ],
 *   scores: [
 *     [7, 6, 9],
 *     [8, 5, 7],
 *     [6, 9, 5],
 *   ],
 * }).map((f) => [f.at?.toFixed(3), f.winner])[0]
 * // => ["0.583", "B"]
 */
export function flipsOf({ criteria, options, scores }: FragilityInput): Flip[] {
  const sum = criteria.reduce((s, c) => s + c.weight, 0);
  if (!(sum > 0) || options.length === 0) return [];
  const w = criteria.map((c) => c.weight / sum);
  const now = totals(scores, w);
  const lead = now.indexOf(Math.max(...now));
  return criteria.map((c, k) => {
    // With weight v on criterion k and the rest scaled, an option's total is v·s + (1 − v)·rest: straight lines that
    // cross once.
    const others = 1 - w[k]!;
    const rest = scores.map((row) =>
      others > 0
        ? row.reduce((s, x, j) => s + (j === k ? 0 : x * w[j]!), 0) / others
        : row.reduce((s, x, j) => s + (j === k ? 0 : x), 0) / Math.max(1, row.length - 1),
    );
    let [at, winner]: [number | null, string | null] = [null, null];
    options.forEach((o, i) => {
      if (i === lead) return;
      const slope = scores[i]![k]! - scores[lead]![k]! - (rest[i]! - rest[lead]!);
      // The arithmetic leaves a few last digits over: what is level but for those is level.
      const apart = rest[lead]! - rest[i]!;
      const flat = Math.abs(slope) < 1e-12;
      const exact = flat ? (Math.abs(apart) < 1e-12 ? w[k]! : null) : apart / slope;
      if (exact === null || exact < -1e-9 || exact > 1 + 1e-9) return;
      const v = Math.max(0, Math.min(1, exact));
      if (at === null || Math.abs(v - w[k]!) < Math.abs(at - w[k]!)) [at, winner] = [v, o.name];
    });
    return { criterion: c.name, now: w[k]!, at, winner };
  });
}

/**
 * The share of first places of every option over random weight sets, drawn evenly from all sets that sum to 1
 * (exponential numbers over their sum), seeded. A shared first place counts in parts.
 * It yields after every thousand sets, so that a worker can say how far it is.
 * @example
 * [
 *   ...firstPlaces(
 *     {
 *       criteria: [
 *         { key: "a", name: "a", weight: 1 },
 *         { key: "b", name: "b", weight: 1 },
 *       ],
 *       options: [
 *         { key: "X", name: "X" },
 *         { key: "Y", name: "Y" },
 *       ],
 *       scores: [
 *         [9, 9],
 *         [1, 1],
 *       ],
 *     },
 *     2000,
 *     "7",
 *   ),
 * ].at(-1).shares
 * // => [1, 0]
 */
export function* firstPlaces(
  { criteria, options, scores }: FragilityInput,
  sets: number,
  seed: string,
): Generator<{ done: number; shares: number[] }> {
  const random = seededRandom(seed);
  const wins = options.map(() => 0);
  const m = criteria.length;
  const w = new Float64Array(m);
  for (let i = 1; i <= sets; i++) {
    let sum = 0;
    for (let j = 0; j < m; j++) sum += w[j] = -Math.log(1 - random());
    for (let j = 0; j < m; j++) w[j]! /= sum;
    let best = Number.NEGATIVE_INFINITY;
    let level: number[] = [];
    for (let o = 0; o < options.length; o++) {
      const row = scores[o]!;
      let total = 0;
      for (let j = 0; j < m; j++) total += w[j]! * row[j]!;
      if (total > best + 1e-12) {
        best = total;
        level = [o];
      } else if (total > best - 1e-12) level.push(o);
    }
    for (const o of level) wins[o]! += 1 / level.length;
    if (i % 1000 === 0 || i === sets) yield { done: i, shares: wins.map((x) => x / i) };
  }
}
