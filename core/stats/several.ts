import { formatNumber } from "../quantity/quantity";
import { equation } from "../working/equation";
import { type Computed, makeWorking } from "../working/working";
import { type Comparison, compareMeans, type Side } from "./compare";

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
 * distinct when it is by itself (`compareMeans`) and its corrected p lies below 5 %.
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
  options: { verb?: string; unit?: string; resolution?: number } = {},
): Pair[] {
  const pairs = sides.flatMap((a, i) => sides.slice(i + 1).map((b) => ({ a, b, ...compareMeans(a, b, options) })));
  const able = pairs.flatMap((x, i) => (x.value.kind === "compared" ? [{ i, p: x.value.p }] : []));
  const corrected = new Map(holm(able.map((x) => x.p)).map((p, k) => [able[k]!.i, p]));
  const smaller = able.map((x) => x.p).sort((a, b) => a - b);
  return pairs.map(({ a, b, value, working }, i) => {
    const p = corrected.get(i) ?? null;
    const lost = value.kind === "compared" && value.distinct && p! >= 0.05;
    const steps =
      value.kind === "compared" && able.length > 1
        ? [
            `Holm's correction, ${able.length} comparisons: ` +
              (p! > Math.min(1, (able.length - smaller.indexOf(value.p)) * value.p) + 1e-12
                ? `p is not below that of a clearer one: ${p!.toPrecision(3)}`
                : p === 1
                  ? "p is at most 1"
                  : equation(
                      [`${able.length - smaller.indexOf(value.p)} × `, { of: value.p, digits: 6 }],
                      formatNumber(p!, Math.min(12, Math.max(4, 2 - Math.floor(Math.log10(p! || 1))))),
                    )),
          ]
        : [];
    return {
      a: a.name,
      b: b.name,
      p,
      comparison: { value, working: makeWorking({ ...working, steps: [...working.steps, ...steps] }) },
      distinct: value.kind === "compared" && value.distinct && !lost,
      sentence: lost
        ? `No difference can be told: one of ${able.length} comparisons may look like this by chance.`
        : value.sentence,
    };
  });
}
