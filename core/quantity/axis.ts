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

/**
 * Where labels stand beside the points that they name: each as near to its own place as it can be, none nearer than a
 * gap to another, in the order of the places.
 * @param places in the chart's points, from the top; in any order
 * @param gap the least distance, in the same points
 * @param end no label lies beyond it, as long as all of them find room before it
 * @example spread([10, 12, 40], 8, 100) // => [7, 15, 40]
 * @example spread([99, 98], 10, 100) // => [100, 90]
 */
export function spread(places: readonly number[], gap: number, end: number): number[] {
  const order = places.map((_, i) => i).sort((a, b) => places[a]! - places[b]! || a - b);
  // Neighbours that would touch stand as one block about the mean of their places.
  const blocks: { at: number[]; mid: number }[] = [];
  const half = (b: { at: number[] }) => ((b.at.length - 1) * gap) / 2;
  for (const i of order) {
    let block = { at: [i], mid: Math.min(places[i]!, end) };
    for (
      let last = blocks.at(-1);
      last && block.mid - half(block) < last.mid + half(last) + gap;
      last = blocks.at(-1)
    ) {
      blocks.pop();
      const at = [...last.at, ...block.at];
      const mean = at.reduce((sum, k) => sum + places[k]!, 0) / at.length;
      block = { at, mid: Math.min(mean, end - half({ at })) };
    }
    blocks.push(block);
  }
  const found = places.slice();
  for (const b of blocks) for (const [k, i] of b.at.entries()) found[i] = b.mid - half(b) + k * gap;
  return found;
}
