/** A part of a series in which nothing came, in seconds. */
export interface Silence {
  readonly from: number;
  readonly to: number;
}

/**
 * Where nothing came for more than ten times what usually lies between two samples (the median of a thousand steps all
 * over the series): the instrument was silent, or nobody listened. The longest first, at most five.
 * @example silences([0, 1, 2, 3, 4, 30, 31]) // => [{ from: 4, to: 30 }]
 * @example silences([0, 10, 25]) // => []
 */
export function silences(t: ArrayLike<number>): Silence[] {
  const n = t.length - 1;
  const stride = Math.max(1, Math.floor(n / 1000));
  const steps: number[] = [];
  for (let i = 0; i < n; i += stride) steps.push(t[i + 1]! - t[i]!);
  const usual = steps.sort((a, b) => a - b)[Math.floor(steps.length / 2)] ?? 0;
  const found: Silence[] = [];
  for (let i = 0; i < n; i++) if (t[i + 1]! - t[i]! > 10 * usual) found.push({ from: t[i]!, to: t[i + 1]! });
  return found.sort((a, b) => b.to - b.from - (a.to - a.from)).slice(0, 5);
}
