/** One grade as a dot: where it stands, rounded to a whole percent, and how many lie below it. */
export interface Dot {
  readonly value: number;
  readonly nth: number;
}

const LARGEST = 7;

/** Rows of grades as stacks of dots on one scale by tens, as large as the tallest stack lets them be. */
export function dotsOf(
  rows: readonly (readonly number[])[],
  room: { readonly width: number; readonly height: number },
): { from: number; to: number; rows: Dot[][]; size: number } {
  const all = rows.flat();
  const from = Math.max(0, Math.floor(Math.min(100, ...all) / 10) * 10 - (Math.min(100, ...all) % 10 ? 0 : 10));
  const to = Math.max(from + 10, Math.ceil(Math.max(0, ...all) / 10) * 10);
  const dots = rows.map((values) => {
    const height = new Map<number, number>();
    return values
      .toSorted((a, b) => a - b)
      .map((v): Dot => {
        const value = Math.round(v);
        const nth = height.get(value) ?? 0;
        height.set(value, nth + 1);
        return { value, nth };
      });
  });
  const tallest = 1 + Math.max(0, ...dots.flat().map((d) => d.nth));
  return { from, to, rows: dots, size: Math.min(LARGEST, room.height / tallest, room.width / (to - from)) };
}
