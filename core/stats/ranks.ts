import { formatNumber } from "../quantity/quantity";
import { countLevels, levelName } from "../run/reading";
import type { Better } from "../vocabulary/runs";
import { equation } from "../working/equation";
import { type Computed, makeWorking } from "../working/working";
import type { Comparison, Side } from "./compare";
import { median } from "./describe";
import { normalTail } from "./distributions";

/** Beyond so many values the normal distribution stands in for all the ways to deal them out. */
const most = 60;

export interface RankSum {
  /** Two-sided p. */
  readonly p: number;
  /** The smallest p that so many values could give, ties as they are. */
  readonly least: number;
  /** Pairs of one value from each side: in how many b lies above, level, below. */
  readonly above: number;
  readonly level: number;
  readonly below: number;
}

/** Ranks of the values, those that agree sharing the mean of theirs; doubled, so that they are whole. */
function doubledRanks(values: readonly number[]): number[] {
  const sorted = [...values].sort((x, y) => x - y);
  const first = new Map<number, number>();
  const last = new Map<number, number>();
  sorted.forEach((v, i) => {
    if (!first.has(v)) first.set(v, i + 1);
    last.set(v, i + 1);
  });
  return values.map((v) => first.get(v)! + last.get(v)!);
}

/** Of all ways to deal the ranks out, the share that gives each sum to the first `k`. */
function sharesOf(ranks: readonly number[], k: number): Map<number, number> {
  const ways: Map<number, number>[] = Array.from({ length: k + 1 }, () => new Map());
  ways[0]!.set(0, 1);
  ranks.forEach((r, i) => {
    for (let taken = Math.min(k, i + 1); taken > 0; taken--)
      for (const [sum, n] of ways[taken - 1]!) ways[taken]!.set(sum + r, (ways[taken]!.get(sum + r) ?? 0) + n);
  });
  const all = [...ways[k]!.values()].reduce((s, n) => s + n, 0);
  return new Map([...ways[k]!].map(([sum, n]) => [sum, n / all]));
}

/**
 * The rank sum test of two groups (Wilcoxon, 1945; Mann and Whitney, 1947), for values that have an order and no
 * distance. Up to sixty values p is exact, also where values agree: twice the smaller tail over all ways to deal the
 * ranks out. Beyond, the normal distribution with the correction for ties and for continuity. Throws where a side is
 * empty.
 * @example rankSum([0, 0, 1, 0], [2, 2, 1, 2]).p.toFixed(5) // => "0.05714"
 * @example rankSum([0, 0, 1, 0], [2, 2, 1, 2]).above // => 15
 */
export function rankSum(a: readonly number[], b: readonly number[]): RankSum {
  if (!a.length || !b.length) throw new RangeError("The rank sum test takes a value on each side");
  const count = (sign: number) => a.reduce((n, x) => n + b.filter((y) => Math.sign(y - x) === sign).length, 0);
  const [above, level, below] = [count(1), count(0), count(-1)];
  const ranks = doubledRanks([...a, ...b]);
  const n = ranks.length;
  const got = ranks.slice(0, a.length).reduce((s, r) => s + r, 0);
  const both = (lower: number, upper: number) => Math.min(1, 2 * Math.min(lower, upper));
  if (n > most) {
    const groups = new Map<number, number>();
    for (const r of ranks) groups.set(r, (groups.get(r) ?? 0) + 1);
    const ties = [...groups.values()].reduce((s, t) => s + t ** 3 - t, 0);
    const sd = Math.sqrt(((a.length * b.length) / 12) * (n + 1 - ties / (n * (n - 1))));
    const away = Math.max(0, Math.abs(above + level / 2 - (a.length * b.length) / 2) - 0.5);
    return { p: sd === 0 ? 1 : Math.min(1, 2 * normalTail(away / sd)), least: 0, above, level, below };
  }
  const shares = [...sharesOf(ranks, a.length)].sort(([x], [y]) => x - y);
  const sum = (keep: (s: number) => boolean) => shares.reduce((t, [s, share]) => (keep(s) ? t + share : t), 0);
  return {
    p: both(
      sum((s) => s <= got),
      sum((s) => s >= got),
    ),
    least: both(shares[0]![1], shares.at(-1)![1]),
    above,
    level,
    below,
  };
}

/**
 * Two groups of runs whose result is a level: the rank sum test, in how many pairs of runs the second does better, and
 * one sentence. A level has no mean, so none is formed.
 * @example
 * compareLevels(
 *   { name: "G1", values: [2, 2, 1, 2, 2] },
 *   { name: "G2", values: [0, 0, 1, 0, 0] },
 *   { levels: ["intact", "cracked", "broken"], better: "less" },
 * ).value.sentence
 * // => "G2 does better: levels so far apart seldom come about by chance."
 */
export function compareLevels(
  a: Side,
  b: Side,
  { levels, better }: { levels: readonly string[]; better: Better },
): Computed<Comparison> {
  const title = `${b.name} against ${a.name}`;
  const rule =
    "Rank sum test: of all ways to deal these levels out between the two, how many set them at least so far apart. " +
    `${better === "more" ? "The later level" : "The earlier level"} is the better one.`;
  const empty = [a, b].find((s) => !s.values.length);
  if (empty) {
    const sentence = `${empty.name} has no run that counts yet.`;
    return {
      value: { kind: "too-few", sentence },
      working: makeWorking({ title, result: "–", rule, warnings: [sentence] }),
    };
  }
  const r = rankSum(a.values, b.values);
  const [wins, loses] = better === "more" ? [r.above, r.below] : [r.below, r.above];
  const pairs = a.values.length * b.values.length;
  const share = (wins + r.level / 2) / pairs;
  const distinct = r.p < 0.05;
  const winner = share > 0.5 ? b.name : a.name;
  const sentence = distinct
    ? `${winner} does better: levels so far apart seldom come about by chance.`
    : r.least >= 0.05
      ? `No difference can be told: ${a.values.length} and ${b.values.length} runs are too few to show any.`
      : "No difference can be told: levels so far apart come about by chance too.";
  const spread = (s: Side) =>
    countLevels(levels, s.values)
      .map((n, i) => `${n} ${levels[i]}`)
      .join(", ");
  return {
    value: { kind: "levels", p: r.p, share, middle: [median(a.values), median(b.values)], distinct, sentence },
    working: makeWorking({
      title,
      result: `p ${r.p.toPrecision(3)}`,
      rule,
      steps: [
        ...[a, b].map((s) => `${s.name}: ${spread(s)}; median ${levelName(levels, median(s.values))}`),
        `pairs of one run each: ${equation([{ of: a.values.length }, " × ", { of: b.values.length }], String(pairs))}`,
        `${b.name} does better in ${wins}, as well in ${r.level}, worse in ${loses} of them`,
        "its share, the equal ones halved: " +
          equation(
            ["(", { of: wins }, " + ", { of: r.level }, " ÷ ", { of: 2 }, ") ÷ ", { of: pairs }],
            formatNumber(share, 3),
          ),
      ],
      inputs: [a, b].map((s) => ({ label: s.name, value: s.values.map((v) => levelName(levels, v)).join(", ") })),
    }),
  };
}
