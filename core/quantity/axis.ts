/** Where the figures of an axis stand, and how they are written. */
export interface Axis {
  readonly ticks: readonly number[];
  readonly labels: readonly string[];
}

/**
 * An axis over values: from zero (or below the least negative one) to above the greatest, in steps of 1, 2 or 5 times a
 * power of ten, about five of them, all written with the same decimals and none cut off.
 * @param values in any unit; what is not finite is left out
 * @param fromZero whether zero is on it too; of a curve only its range is wanted
 * @example axisOf([6.2, 8.967]).labels // => ["0", "2", "4", "6", "8", "10"]
 * @example axisOf([8967]).labels // => ["0", "2000", "4000", "6000", "8000", "10000"]
 * @example axisOf([0.0132]).labels // => ["0.000", "0.005", "0.010", "0.015"]
 * @example axisOf([36.2, 37.9], false).labels // => ["36.0", "36.5", "37.0", "37.5", "38.0"]
 * @example axisOf([-3, 4]).labels // => ["−4", "−2", "0", "2", "4", "6"]
 */
export function axisOf(values: readonly number[], fromZero = true): Axis {
  const finite = values.filter(Number.isFinite);
  const start = fromZero || !finite.length ? 0 : finite[0]!;
  const low = finite.reduce((a, b) => Math.min(a, b), start);
  const high = finite.reduce((a, b) => Math.max(a, b), start);
  const span = high - low || 1;
  const rough = span / 5;
  const power = 10 ** Math.floor(Math.log10(rough));
  const factor = [1, 2, 5].find((f) => f * power >= rough * 0.999) ?? 10;
  const step = factor * power;
  // Room above the highest and below the lowest, so that no point lies on the edge.
  const from = low < 0 || !fromZero ? Math.floor((low - span * 0.04) / step) : 0;
  const to = Math.max(from + 1, Math.ceil((high + span * 0.04) / step));
  const decimals = Math.max(0, -Math.floor(Math.log10(step) + 1e-9));
  const ticks = Array.from({ length: to - from + 1 }, (_, i) => Number(((from + i) * step).toFixed(decimals)));
  return { ticks, labels: ticks.map((t) => t.toFixed(decimals).replace("-", "−")) };
}
