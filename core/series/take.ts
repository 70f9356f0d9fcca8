import { settled } from "../quantity/number";
import { formatNumber } from "../quantity/quantity";
import type { CrossingWay, TakeRule } from "../vocabulary/runs";
import { equation } from "../working/equation";
import { type Computed, makeWorking } from "../working/working";

/** Samples of one channel: times in seconds, rising, and what was read then. */
export interface Samples {
  readonly t: ArrayLike<number>;
  readonly v: ArrayLike<number>;
}

/** What a protocol takes from a series. Numbers are in seconds and in the series' unit. */
export interface Taking {
  readonly rule: TakeRule;
  /** Of a mean: how long the steadiest stretch is. Of a crossing: how long it has to stay beyond. */
  readonly stretch?: number;
  /** Of a crossing or a time beyond: the level, and which way it is passed. */
  readonly level?: number;
  readonly way?: CrossingWay;
  /** Of a crossing that the series does not reach: what the curve tends to, exponentially. */
  readonly towards?: number;
}

/** A part of a series, in seconds. */
export interface Window {
  readonly from: number;
  readonly to: number;
}

export interface Taken {
  /** In the series' unit; of a crossing and a time beyond in seconds, of an area in unit · s. */
  readonly value: number;
  /** The part that it was taken from, to be drawn. */
  readonly from: number;
  readonly to: number;
}

/** The first position whose time is not before `at`. */
function firstAt(t: ArrayLike<number>, at: number): number {
  let [low, high] = [0, t.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (t[middle]! < at) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The steadiest stretch of a length: the one whose samples scatter least. */
function steadiest(t: ArrayLike<number>, v: ArrayLike<number>, from: number, to: number, stretch: number) {
  // Sums of differences from the first sample: large values do not eat the digits of small ones.
  const base = v[from] ?? 0;
  let [first, sum, squares] = [from, 0, 0];
  let best: { first: number; last: number; mean: number; variance: number; n: number } | null = null;
  for (let last = from; last < to; last++) {
    const d = v[last]! - base;
    sum += d;
    squares += d * d;
    while (t[last]! - t[first]! > stretch * (1 + 1e-12)) {
      const gone = v[first++]! - base;
      sum -= gone;
      squares -= gone * gone;
    }
    const n = last - first + 1;
    // Only a stretch that fills its length, but for one sample's step, is one.
    const step = last > from ? t[last]! - t[last - 1]! : 0;
    if (n < 2 || t[last]! - t[first]! < stretch - step * 1.5) continue;
    const variance = Math.max(0, (squares - (sum * sum) / n) / (n - 1));
    if (!best || variance < best.variance) best = { first, last, mean: base + sum / n, variance, n };
  }
  return best;
}

/**
 * When a curve that tends to a value exponentially (Newton's law of cooling) reaches a level: the last third of its
 * samples is fitted by a straight line of ln|v − towards| (least squares). Null where it does not tend there.
 */
function extrapolated(
  t: ArrayLike<number>,
  v: ArrayLike<number>,
  from: number,
  to: number,
  towards: number,
  level: number,
) {
  const first = to - Math.max(2, Math.floor((to - from) / 3));
  if (first < from) return null;
  const base = t[first]!;
  let [n, st, sy, stt, sty] = [0, 0, 0, 0, 0];
  for (let i = first; i < to; i++) {
    const [x, y] = [t[i]! - base, Math.log(Math.abs(v[i]! - towards))];
    if (!Number.isFinite(y)) return null;
    n++;
    st += x;
    sy += y;
    stt += x * x;
    sty += x * y;
  }
  const slope = (n * sty - st * sy) / (n * stt - st * st);
  const at = base + (Math.log(Math.abs(level - towards)) - (sy - slope * st) / n) / slope;
  // The level lies between where the curve is and where it goes.
  const ahead = (level - v[to - 1]!) * (towards - level) > 0;
  return slope < 0 && ahead && Number.isFinite(at) && at > t[to - 1]! ? { at, tau: -1 / slope, n, first } : null;
}

/** The time at which a line between two samples meets a level. */
const meets = (t0: number, v0: number, t1: number, v1: number, level: number) =>
  v1 === v0 ? t1 : t0 + ((level - v0) / (v1 - v0)) * (t1 - t0);

/**
 * What a rule takes from a series, inside a window or from all of it: a value with its working, or null with the reason
 * where the samples do not hold it. Between two samples the curve is taken as straight; an area is the sum of trapezia.
 * @example
 * takeFrom({ rule: "peak" }, { t: [0, 1, 2], v: [3, 9, 4] }, "N").value
 * // => { value: 9, from: 1, to: 1 }
 * @example
 * takeFrom({ rule: "crossing", level: 8, way: "up" }, { t: [0, 60, 120], v: [5, 7, 9] }, "°C").value.value
 * // => 90
 * @example
 * takeFrom(
 *   { rule: "crossing", level: 8, towards: 10 },
 *   { t: [0, 60, 120, 180], v: [2, 4, 5.5, 6.625] },
 *   "°C",
 * ).value.value.toFixed(0)
 * // => "289"
 * @example
 * takeFrom({ rule: "integral" }, { t: [0, 2, 4], v: [1, 3, 3] }, "W").value.value
 * // => 10
 */
export function takeFrom(rule: Taking, { t, v }: Samples, unit: string, window?: Window): Computed<Taken | null> {
  const start = window ? firstAt(t, window.from) : 0;
  let end = t.length;
  if (window) {
    end = firstAt(t, window.to);
    if (end < t.length && t[end]! <= window.to) end++;
  }
  const n = end - start;
  const span = n > 0 ? `${formatNumber(t[start]!)} s to ${formatNumber(t[end - 1]!)} s` : "";
  const inputs = [
    { label: "samples", value: String(Math.max(0, n)) },
    ...(n > 0 ? [{ label: window ? "chosen part" : "all of the series", value: span }] : []),
  ];
  const title = "Taken from the series";
  const none = (words: string, why: string): Computed<null> => ({
    value: null,
    working: makeWorking({ title, result: "–", rule: words, inputs, warnings: [why] }),
  });
  const done = (words: string, value: Taken, shownUnit: string, steps: string[]): Computed<Taken> => ({
    value,
    working: makeWorking({
      title,
      result: formatNumber(settled(value.value)),
      unit: shownUnit,
      rule: words,
      steps,
      inputs,
    }),
  });
  const tooFew = (least: number, words: string) =>
    n < least ? none(words, n <= 0 ? "There is no sample in this part." : "One sample is no curve.") : null;
  switch (rule.rule) {
    case "peak":
    case "low": {
      const words = rule.rule === "peak" ? "The highest sample." : "The lowest sample.";
      const few = tooFew(1, words);
      if (few) return few;
      let at = start;
      for (let i = start; i < end; i++) if (rule.rule === "peak" ? v[i]! > v[at]! : v[i]! < v[at]!) at = i;
      const value = { value: v[at]!, from: t[at]!, to: t[at]! };
      return done(words, value, unit, [`at ${formatNumber(t[at]!)} s, sample ${at + 1} of ${t.length}`]);
    }
    case "mean": {
      const stretch = rule.stretch ?? 0;
      const words = `The mean over the ${formatNumber(stretch)} s in which the samples scatter least.`;
      const few = tooFew(2, words);
      if (few) return few;
      const best = steadiest(t, v, start, end, stretch);
      if (!best) return none(words, `The samples do not reach over ${formatNumber(stretch)} s.`);
      return done(words, { value: best.mean, from: t[best.first]!, to: t[best.last]! }, unit, [
        `mean of the ${best.n} samples from ${formatNumber(t[best.first]!)} s to ${formatNumber(t[best.last]!)} s; ` +
          `their standard deviation is ${formatNumber(Math.sqrt(best.variance))} ${unit}`,
      ]);
    }
    case "crossing": {
      const { level = 0, way = "up" } = rule;
      const words =
        `The first time at which ${formatNumber(level)} ${unit} is passed ` +
        `${way === "up" ? "from below" : "from above"}` +
        `${rule.stretch ? ` and it stays there for ${formatNumber(rule.stretch)} s` : ""}.`;
      const few = tooFew(2, words);
      if (few) return few;
      const before = (x: number) => (way === "up" ? x < level : x > level);
      const stay = rule.stretch ?? 0;
      /** Whether from this sample on it stays beyond for long enough; the series may end before. */
      const stays = (from: number) => {
        for (let i = from; i < end && t[i]! - t[from]! <= stay; i++) if (before(v[i]!)) return false;
        return true;
      };
      for (let i = start + 1; i < end; i++) {
        if (!before(v[i - 1]!) || before(v[i]!) || !stays(i)) continue;
        const at = meets(t[i - 1]!, v[i - 1]!, t[i]!, v[i]!, level);
        const shown = formatNumber(settled(at));
        return done(words, { value: at, from: t[i - 1]!, to: t[i]! }, "s", [
          equation(
            [
              { of: settled(t[i - 1]!), digits: 3 },
              " + (",
              { of: level },
              " − ",
              { of: settled(v[i - 1]!), digits: 4 },
              ") ÷ (",
              { of: settled(v[i]!), digits: 4 },
              " − ",
              { of: settled(v[i - 1]!), digits: 4 },
              ") × ",
              { of: settled(t[i]! - t[i - 1]!), digits: 3 },
            ],
            shown,
          ),
        ]);
      }
      const later = rule.towards === undefined ? null : extrapolated(t, v, start, end, rule.towards, level);
      if (later) {
        const taken = done(words, { value: later.at, from: t[later.first]!, to: t[end - 1]! }, "s", [
          `the last ${later.n} samples tend to ${formatNumber(rule.towards!)} ${unit} with a time constant of ` +
            `${formatNumber(later.tau)} s`,
        ]);
        const warnings = [
          `Extrapolated: the series ends at ${formatNumber(t[end - 1]!)} s, before ${formatNumber(level)} ${unit}.`,
        ];
        return { ...taken, working: { ...taken.working, warnings } };
      }
      const stayed = before(v[end - 1]!) ? "is not reached" : "is passed already at the start";
      return none(words, `${formatNumber(level)} ${unit} ${stayed}.`);
    }
    case "beyond": {
      const { level = 0, way = "up" } = rule;
      const words = `The time spent ${way === "up" ? "above" : "below"} ${formatNumber(level)} ${unit}.`;
      const few = tooFew(2, words);
      if (few) return few;
      const past = (x: number) => (way === "up" ? x > level : x < level);
      let [total, pieces] = [0, 0];
      let first: number | null = null;
      let last = t[start]!;
      for (let i = start + 1; i < end; i++) {
        const [a, b] = [past(v[i - 1]!), past(v[i]!)];
        if (!a && !b) continue;
        const at = a === b ? 0 : meets(t[i - 1]!, v[i - 1]!, t[i]!, v[i]!, level);
        const [from, to] = [a ? t[i - 1]! : at, b ? t[i]! : at];
        total += to - from;
        if (!a || first === null) pieces++;
        first ??= from;
        last = to;
      }
      return done(words, { value: total, from: first ?? t[start]!, to: last }, "s", [
        first === null
          ? "it is never passed"
          : `in ${pieces} ${pieces === 1 ? "stretch" : "stretches"} between ${formatNumber(first)} s and ` +
            `${formatNumber(last)} s`,
      ]);
    }
    case "integral": {
      const words = "The area under the curve: the sum of the trapezia between the samples.";
      const few = tooFew(2, words);
      if (few) return few;
      let area = 0;
      for (let i = start + 1; i < end; i++) area += ((v[i]! + v[i - 1]!) / 2) * (t[i]! - t[i - 1]!);
      const value = { value: area, from: t[start]!, to: t[end - 1]! };
      return done(words, value, `${unit} · s`, [`${n - 1} trapezia from ${span}`]);
    }
  }
}

/** A bucket of a curve that is drawn small: its extremes, so that no peak is lost. */
export interface Bucket {
  readonly t: number;
  readonly low: number;
  readonly high: number;
}

/**
 * A curve in at most `most` buckets of equal time, each with its lowest and highest sample: what can be drawn of it.
 * @example
 * thinned({ t: [0, 1, 2, 3], v: [1, 5, 2, 4] }, 2)
 * // => [{ t: 0, low: 1, high: 5 }, { t: 2, low: 2, high: 4 }]
 */
export function thinned({ t, v }: Samples, most: number): Bucket[] {
  const n = t.length;
  if (n === 0) return [];
  const [from, to] = [t[0]!, t[n - 1]!];
  const width = (to - from) / most || 1;
  const out: { t: number; low: number; high: number; bucket: number }[] = [];
  for (let i = 0; i < n; i++) {
    const bucket = Math.min(most - 1, Math.floor((t[i]! - from) / width));
    const last = out.at(-1);
    if (last?.bucket === bucket) {
      last.low = Math.min(last.low, v[i]!);
      last.high = Math.max(last.high, v[i]!);
    } else out.push({ t: t[i]!, low: v[i]!, high: v[i]!, bucket });
  }
  return out.map(({ bucket: _, ...b }) => b);
}
