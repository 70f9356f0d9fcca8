import { formatNumber } from "../quantity/quantity";
import type { Better } from "../vocabulary/runs";
import { equation } from "../working/equation";
import { type Computed, makeWorking } from "../working/working";
import { type Comparison, compareMeans, type Side, welch } from "./compare";
import { compareLevels, rankSum } from "./ranks";

/**
 * p values of several comparisons made at once, corrected so that one false alarm in twenty is the most for all of them
 * together (Holm, 1979); in the order given, none above 1.
 * @example holm([0.012, 0.034, 0.021, 0.3]) // => [0.048, 0.068, 0.063, 0.3]
 */
export function holm(p: readonly number[]): number[] {
  const order = p.map((_, i) => i).sort((a, b) => p[a]! - p[b]!);
  const out = p.map(() => 0);
  let least = 0;
  order.forEach((i, rank) => {
    least = Math.max(least, Math.min(1, Number(((p.length - rank) * p[i]!).toPrecision(15))));
    out[i] = least;
  });
  return out;
}

export interface Pair {
  readonly a: string;
  readonly b: string;
  readonly comparison: Computed<Comparison>;
  /** p after Holm's correction over all pairs that could be compared; null where one side has too few runs. */
  readonly p: number | null;
  /** Larger than the scatter, also when it is one of so many comparisons. */
  readonly distinct: boolean;
  readonly sentence: string;
}

/**
 * Every two of several groups of runs compared, with Holm's correction over those that can be compared. A pair is
 * distinct when it is by itself (`compareMeans`) and its corrected p lies below 5 %. All pairs are corrected for; those
 * that are `wanted` are given, with what it takes to say something of them. Levels, which are named, are compared by
 * their ranks.
 * @example
 * compareSeveral([
 *   { name: "A", values: [7.8, 8.1, 7.6, 8] },
 *   { name: "B", values: [8.6, 8.9, 8.3, 8.8, 8.5] },
 *   { name: "C", values: [7.9] },
 * ]).map((x) => `${x.a} ${x.b} ${x.distinct}`)
 * // => ["A B true", "A C false", "B C false"]
 */
export function compareSeveral(
  sides: readonly Side[],
  options: {
    verb?: string;
    unit?: string;
    resolution?: number;
    levels?: { levels: readonly string[]; better: Better };
  } = {},
  wanted: (a: Side, b: Side) => boolean = () => true,
): Pair[] {
  const pairs = sides.flatMap((a, i) => sides.slice(i + 1).map((b) => ({ a, b })));
  const { levels } = options;
  const least = levels ? 1 : 2;
  const able = pairs.filter(({ a, b }) => a.values.length >= least && b.values.length >= least);
  const own = able.map(({ a, b }) =>
    levels ? rankSum(a.values, b.values).p : welch(a.values, b.values, options.resolution ?? 0).p,
  );
  const corrected = new Map(holm(own).map((p, k) => [able[k]!, p]));
  const smaller = [...own].sort((a, b) => a - b);
  /** How the corrected p came about. */
  const line = (mine: number, p: number): string => {
    const times = able.length - smaller.indexOf(mine);
    if (p > Math.min(1, times * mine) + 1e-12) return `p is not below that of a clearer one: ${p.toPrecision(3)}`;
    if (p === 1) return "p is at most 1";
    const digits = Math.min(12, Math.max(4, 2 - Math.floor(Math.log10(p || 1))));
    return equation([`${times} × `, { of: mine, digits: 6 }], formatNumber(p, digits));
  };
  return pairs
    .filter(({ a, b }) => wanted(a, b))
    .map((pair) => {
      const { value, working } = levels ? compareLevels(pair.a, pair.b, levels) : compareMeans(pair.a, pair.b, options);
      const p = corrected.get(pair) ?? null;
      const compared = value.kind === "too-few" ? null : value;
      const lost = compared?.distinct === true && p! >= 0.05;
      const steps =
        compared && able.length > 1 ? [`Holm's correction, ${able.length} comparisons: ${line(compared.p, p!)}`] : [];
      return {
        a: pair.a.name,
        b: pair.b.name,
        p,
        comparison: { value, working: makeWorking({ ...working, steps: [...working.steps, ...steps] }) },
        distinct: compared?.distinct === true && !lost,
        sentence: lost
          ? `No difference can be told: one of ${able.length} comparisons may look like this by chance.`
          : value.sentence,
      };
    });
}
