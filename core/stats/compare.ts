import Decimal from "decimal.js";
import { jStat } from "jstat";
import { settled } from "../quantity/number";
import { decimalsFor, formatNumber } from "../quantity/quantity";
import { equation } from "../working/equation";
import { type Computed, makeWorking } from "../working/working";
import { mean, variance } from "./describe";
import { insideT, logGamma, twoSidedT } from "./distributions";

export type Comparison =
  | { kind: "too-few"; sentence: string }
  | {
      kind: "compared";
      /** Mean of b minus mean of a. */
      difference: number;
      interval: readonly [number, number];
      df: number;
      p: number;
      /** Hedges' g: the difference over the pooled sd, corrected for small samples. */
      g: number;
      distinct: boolean;
      /** No side varies by more than the last digit that can be read: nothing can be told of the scatter. */
      coarse: boolean;
      /** Runs a side that would show this difference at 80 % power; only when it is not distinct. */
      runsNeeded: number | null;
      sentence: string;
    }
  | {
      /** Of levels, which have an order and no distance. */
      kind: "levels";
      p: number;
      /** Share of the pairs of runs in which b does better, the equal ones halved. */
      share: number;
      /** The medians of a and b. */
      middle: readonly [number, number];
      distinct: boolean;
      sentence: string;
    };

export interface Side {
  readonly name: string;
  readonly values: readonly number[];
}

/**
 * The numbers of two groups of two values or more: means, variances (none below that of the instrument), difference of
 * the means with its standard error, Welch's degrees of freedom and p. `coarse`: no side varies by more than the last
 * digit that can be read.
 * @example welch([7.8, 8.1, 7.6, 8], [8.6, 8.9, 8.3, 8.8, 8.5], 0).p.toFixed(5) // => "0.00206"
 */
export function welch(a: readonly number[], b: readonly number[], resolution: number) {
  const means = [mean(a), mean(b)] as const;
  // Without a resolution, what the last digits of the arithmetic leave.
  const least = Math.max(resolution / Math.sqrt(12), 1e-12 * Math.max(...means.map(Math.abs))) ** 2;
  const variances = [Math.max(variance(a), least), Math.max(variance(b), least)] as const;
  const [ea, eb] = [variances[0] / a.length, variances[1] / b.length];
  const se = Math.sqrt(ea + eb);
  const difference = means[1] - means[0];
  const df =
    se === 0 ? a.length + b.length - 2 : (ea + eb) ** 2 / (ea ** 2 / (a.length - 1) + eb ** 2 / (b.length - 1));
  const t = se === 0 ? (difference === 0 ? 0 : Number.POSITIVE_INFINITY) : difference / se;
  return { means, variances, coarse: variances.every((v) => v <= least), se, difference, df, p: twoSidedT(t, df) };
}

/**
 * Two groups of runs: difference of means with Welch's 95 % interval and p, Hedges' g and one sentence (Welch, 1947;
 * Hedges, 1981).
 * `verb` says what the larger side does, for example "pumps more". `resolution` is what the readings are read to, in
 * their unit: no spread is taken for less than that of the instrument (r/√12), and means that agree when they are shown
 * to it are never called different.
 * @example
 * compareMeans(
 *   { name: "A", values: [7.8, 8.1, 7.6, 8.0] },
 *   { name: "B", values: [8.6, 8.9, 8.3, 8.8, 8.5] },
 *   { verb: "pumps more" },
 * ).value.sentence
 * // => "B pumps more: the difference is larger than the scatter between runs."
 */
export function compareMeans(
  a: Side,
  b: Side,
  { verb = "is higher", unit = "", resolution = 0 }: { verb?: string; unit?: string; resolution?: number } = {},
): Computed<Comparison> {
  const title = `${b.name} against ${a.name}`;
  const rule =
    "Difference of the two means with Welch's 95 % interval: larger than the scatter when the interval " +
    "leaves out zero.";
  if (a.values.length < 2 || b.values.length < 2) {
    const side = a.values.length < 2 ? a : b;
    const sentence =
      side.values.length === 0
        ? `${side.name} has no run that counts yet.`
        : `One run of ${side.name} cannot tell: it says nothing of the scatter.`;
    return {
      value: { kind: "too-few", sentence },
      working: makeWorking({ title, result: "–", rule, warnings: [sentence] }),
    };
  }
  const { means, variances, coarse, se, difference, df, p } = welch(a.values, b.values, resolution);
  const [ma, mb] = means;
  const [va, vb] = variances;
  const [na, nb] = [a.values.length, b.values.length];
  const inPrint = (x: number) =>
    resolution > 0 ? new Decimal(x).div(resolution).toDecimalPlaces(0).toNumber() : settled(x);
  const quantile = insideT(0.95, df);
  const half = quantile * se;
  const pooled = Math.sqrt(((na - 1) * va + (nb - 1) * vb) / (na + nb - 2));
  const g = pooled === 0 ? 0 : (difference / pooled) * (1 - 3 / (4 * (na + nb) - 9));
  const interval: [number, number] = [difference - half, difference + half];
  const distinct = !(coarse && resolution === 0) && inPrint(ma) !== inPrint(mb) && (interval[0] > 0 || interval[1] < 0);
  const winner = difference > 0 ? b.name : a.name;
  const runsNeeded = distinct || coarse || difference === 0 ? null : runsPerSide(Math.abs(difference), pooled);
  const readTo = resolution > 0 ? ` to ${formatNumber(resolution, decimalsFor(resolution))}${unit && ` ${unit}`}` : "";
  const sentence = distinct
    ? `${winner} ${verb}: the difference is larger than the scatter between runs.`
    : coarse
      ? "No difference can be told: all runs of a side read the same" +
        `${readTo}, so the instrument is too coarse to show the scatter.`
      : "No difference can be told from the scatter" +
        `${runsNeeded ? `; about ${runsNeeded} runs a side would show one of this size` : ""}.`;
  // Three significant digits of the standard error, so that small values are not shown as nothing.
  const scale = se || Math.abs(difference) || 1;
  const digits = Math.min(8, Math.max(3, 2 - Math.floor(Math.log10(scale))));
  const f = (v: number) => formatNumber(settled(v), digits);
  const end = (sign: "−" | "+", v: number) =>
    equation(
      [{ of: settled(difference), digits }, ` ${sign} `, { of: quantile }, " × ", { of: settled(se), digits }],
      f(v),
    );
  return {
    value: { kind: "compared", difference, interval, df, p, g, distinct, coarse, runsNeeded, sentence },
    working: makeWorking({
      title,
      result: f(difference),
      unit,
      rule,
      steps: [
        `mean of ${b.name} − mean of ${a.name}: ` +
          equation([{ of: settled(mb), digits }, " − ", { of: settled(ma), digits }], f(difference)),
        "standard error: " +
          equation(["√(", { of: settled(va), digits }, ` ÷ ${na} + `, { of: settled(vb), digits }, ` ÷ ${nb})`], f(se)),
        `degrees of freedom (Welch): ${formatNumber(df, 3)}; ` +
          `95 % lie within ${formatNumber(quantile, 3)} standard errors`,
        `lower end of the 95 % interval: ${end("−", interval[0])}`,
        `upper end: ${end("+", interval[1])}`,
        `p: ${p.toPrecision(3)}; Hedges' g: ${formatNumber(g, 2)}`,
      ],
      inputs: [a, b].map((s) => ({
        label: s.name,
        value: s.values.map((v) => formatNumber(v, digits)).join(", "),
        unit,
      })),
    }),
  };
}

/**
 * Upper tail of the noncentral t distribution: the normal tail averaged over the estimated spread, by Simpson's rule in
 * 800 steps over where that spread can lie.
 */
function noncentralUpper(t: number, df: number, shift: number): number {
  const height = Math.LN2 + (df / 2) * Math.log(df / 2) - logGamma(df / 2);
  const part = (s: number) =>
    s === 0 ? 0 : jStat.normal.cdf(shift - t * s, 0, 1) * Math.exp(height + (df - 1) * Math.log(s) - (df * s * s) / 2);
  const reach = 12 / Math.sqrt(2 * df);
  const [from, steps] = [Math.max(0, 1 - reach), 800];
  const h = (1 + reach - from) / steps;
  let sum = part(from) + part(from + steps * h);
  for (let i = 1; i < steps; i++) sum += part(from + i * h) * (i % 2 ? 4 : 2);
  return (sum * h) / 3;
}

/**
 * The chance that a two-sided t test at 5 % shows a difference with `n` runs a side, 0 to 1; sd must be positive.
 * @example powerOf(0.5, 0.3, 7).toFixed(4) // => "0.8163"
 */
export function powerOf(difference: number, sd: number, n: number): number {
  const df = 2 * n - 2;
  return noncentralUpper(insideT(0.95, df), df, (difference / sd) * Math.sqrt(n / 2));
}

/**
 * Runs a side at which a two-sided t test at 5 % shows a difference with 80 % power, at most 1000; sd must be positive.
 * @example runsPerSide(0.5, 0.3) // => 7
 */
export function runsPerSide(difference: number, sd: number): number | null {
  if (!(sd > 0) || !(difference > 0)) return null;
  const start = Math.max(2, Math.floor(2 * ((1.96 + 0.84) * (sd / difference)) ** 2) - 1);
  for (let n = start; n <= 1000; n++) if (powerOf(difference, sd, n) >= 0.8) return n;
  return null;
}

/**
 * The smallest difference that `n` runs a side show with 80 % power, in the unit of `sd`; null for fewer
 * than two runs a side or no scatter.
 * @example shownBy(7, 0.3)?.toFixed(3) // => "0.490"
 */
export function shownBy(n: number, sd: number): number | null {
  if (n < 2 || !(sd > 0)) return null;
  let [low, high] = [0, sd];
  while (powerOf(high, sd, n) < 0.8) high *= 2;
  while (high - low > 1e-10 * high) {
    const middle = (low + high) / 2;
    if (powerOf(middle, sd, n) < 0.8) low = middle;
    else high = middle;
  }
  return high;
}
