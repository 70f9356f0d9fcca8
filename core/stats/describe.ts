import { insideT } from "./distributions";

export interface Description {
  readonly n: number;
  readonly mean: number;
  readonly median: number;
  /** Sample standard deviation; null for fewer than two values. */
  readonly sd: number | null;
  /** 95 % interval of the mean by Student's t; null for fewer than two values. */
  readonly interval: readonly [number, number] | null;
  readonly min: number;
  readonly max: number;
}

/**
 * The arithmetic mean. Throws on an empty list.
 * @example mean([7, 8, 9]) // => 8
 */
export function mean(values: readonly number[]): number {
  if (values.length === 0) throw new RangeError("The mean of no values is not defined");
  return values.reduce((a, b) => a + b, 0) / values.length;
}

/**
 * The median; of an even count the mean of the middle two. Throws on an empty list.
 * @example median([3, 1, 2, 10]) // => 2.5
 */
export function median(values: readonly number[]): number {
  if (values.length === 0) throw new RangeError("The median of no values is not defined");
  const s = [...values].sort((a, b) => a - b);
  const half = Math.floor(s.length / 2);
  return s.length % 2 ? s[half]! : (s[half - 1]! + s[half]!) / 2;
}

/**
 * The sample variance (n − 1 below). Throws for fewer than two values.
 * @example variance([1, 2, 3]) // => 1
 */
export function variance(values: readonly number[]): number {
  if (values.length < 2) throw new RangeError("The variance takes two values or more");
  const m = mean(values);
  return values.reduce((sum, v) => sum + (v - m) ** 2, 0) / (values.length - 1);
}

/**
 * n, mean, median, sample standard deviation, 95 % t interval and range; null for an empty list.
 * @example describe([7.8, 8.1, 7.6, 8.0])?.mean // => 7.875
 */
export function describe(values: readonly number[]): Description | null {
  if (values.length === 0) return null;
  const m = mean(values);
  const sd = values.length > 1 ? Math.sqrt(variance(values)) : null;
  const half = sd === null ? 0 : (insideT(0.95, values.length - 1) * sd) / Math.sqrt(values.length);
  return {
    n: values.length,
    mean: m,
    median: median(values),
    sd,
    interval: sd === null ? null : [m - half, m + half],
    min: values.reduce((a, b) => Math.min(a, b)),
    max: values.reduce((a, b) => Math.max(a, b)),
  };
}

/**
 * Positions of values that stand far out: modified z score 0.6745 |x − median| / MAD above 3.5 (Iglewicz and Hoaglin,
 * 1993).
 * They are pointed at, never removed. Nothing is said of fewer than four values or a zero MAD.
 * @example outliers([8.1, 8.2, 8.0, 8.1, 4.0]) // => [4]
 */
export function outliers(values: readonly number[]): number[] {
  if (values.length < 4) return [];
  const m = median(values);
  const mad = median(values.map((v) => Math.abs(v - m)));
  if (mad === 0) return [];
  return values.flatMap((v, i) => ((0.6745 * Math.abs(v - m)) / mad > 3.5 ? [i] : []));
}
