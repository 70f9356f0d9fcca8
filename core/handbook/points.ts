import { parseQuantity } from "../quantity/quantity";

/** A corner, x to the right and y up, SI. */
export type Point = readonly [x: number, y: number];

export type ReadCorners =
  | { readonly ok: true; readonly corners: readonly Point[] }
  | { readonly ok: false; readonly message: string };

const mostCorners = 400;

/**
 * Corners of a part as they are listed: a line each, x and y with a comma, semicolon or space between, in the unit that
 * is given or one behind a number. A first corner that stands again at the end is left out.
 * @example readCorners("0 0\n40 0\n40, 20", "mm") // => { ok: true, corners: [[0, 0], [0.04, 0], [0.04, 0.02]] }
 * @example readCorners("0 0\n40", "mm")
 * // => { ok: false, message: "Line 2: “40” is no corner. Write two numbers, x and y, for example 40 20." }
 */
export function readCorners(text: string, unit: string): ReadCorners {
  const lines = text.split("\n").flatMap((line, i) => (line.trim() ? [{ line: line.trim(), number: i + 1 }] : []));
  const corners: Point[] = [];
  for (const { line, number } of lines) {
    const parts = line.split(/\s*[;,]\s+|\s*;\s*|\s+/);
    const [x, y] = parts.map((p) => parseQuantity(p, unit));
    if (parts.length !== 2 || !x?.ok || !y?.ok)
      return {
        ok: false,
        message: `Line ${number}: “${line.slice(0, 40)}” is no corner. Write two numbers, x and y, for example 40 20.`,
      };
    corners.push([Number(x.quantity.si), Number(y.quantity.si)]);
  }
  const [first, last] = [corners[0], corners.at(-1)];
  if (corners.length > 1 && first![0] === last![0] && first![1] === last![1]) corners.pop();
  if (corners.length > mostCorners) return { ok: false, message: `At most ${mostCorners} corners are taken.` };
  if (corners.length < 3) return { ok: false, message: "A part has three corners or more, a line each." };
  return { ok: true, corners };
}
