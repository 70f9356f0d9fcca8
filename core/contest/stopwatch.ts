import Decimal from "decimal.js";
import { twoReadings } from "./attempt";

/** A watch: how long it has run before, since when it runs, and what was read while it ran, in milliseconds. */
export interface Watch {
  readonly before: number;
  /** null while it stands. */
  readonly since: number | null;
  readonly splits: readonly number[];
}

/** A watch that was never started. */
export const fresh: Watch = { before: 0, since: null, splits: [] };

/**
 * How long a watch has run by now, in milliseconds.
 * @example elapsed({ before: 1500, since: 10_000, splits: [] }, 10_250) // => 1750
 */
export const elapsed = (watch: Watch, now: number): number =>
  watch.before + (watch.since === null ? 0 : Math.max(0, now - watch.since));

/**
 * Starts a watch that stands, stops one that runs.
 * @example toggled({ before: 0, since: 100, splits: [] }, 350) // => { before: 250, since: null, splits: [] }
 */
export const toggled = (watch: Watch, now: number): Watch =>
  watch.since === null ? { ...watch, since: now } : { ...watch, before: elapsed(watch, now), since: null };

/**
 * Reads a watch while it runs, without stopping it; one that stands is left alone.
 * @example split({ before: 0, since: 100, splits: [] }, 350).splits // => [250]
 */
export const split = (watch: Watch, now: number): Watch =>
  watch.since === null ? watch : { ...watch, splits: [...watch.splits, elapsed(watch, now)] };

/**
 * A time as it is read from a watch, in seconds to hundredths: cut off, as watches do.
 * @example watchText(83_459) // => "83.45"
 */
export const watchText = (ms: number): string => {
  const hundredths = Math.floor(ms / 10);
  return `${Math.floor(hundredths / 100)}.${String(hundredths % 100).padStart(2, "0")}`;
};

/**
 * Two watches on the same run: how far they are apart, their mean, and whether that is further than hands usually
 * differ.
 * @param apart in seconds; hands differ by about two tenths
 * @example compareWatches(8_400, 8_500, "0.2") // => { difference: "0.10", mean: "8.45", apart: false }
 */
export function compareWatches(
  a: number,
  b: number,
  apart: string,
): { difference: string; mean: string; apart: boolean } {
  const of = twoReadings("mean", [watchText(a), watchText(b)], apart);
  return {
    difference: watchText(Math.abs(a - b)),
    mean: new Decimal(of.value).toFixed(2, Decimal.ROUND_HALF_UP),
    apart: of.apart,
  };
}
