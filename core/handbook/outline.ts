import { formatSi, fromSi } from "../quantity/quantity";
import { equation } from "../working/equation";
import { makeWorking, type Working } from "../working/working";
import type { Point } from "./points";

/** What is known of a part from its corners, SI. */
export interface Outline {
  readonly area: number;
  readonly perimeter: number;
  readonly centroid: Point;
  readonly width: number;
  readonly height: number;
  /** Two sides that cross, by the numbers of their first corners; then area and centroid mean nothing. */
  readonly crossing: readonly [number, number] | null;
}

const around = <T>(all: readonly T[]): [T, T][] => all.map((a, i) => [a, all[(i + 1) % all.length]!]);
const cross = ([ax, ay]: Point, [bx, by]: Point): number => ax * by - bx * ay;
const minus = (a: Point, b: Point): Point => [a[0] - b[0], a[1] - b[1]];
const turn = (a: Point, b: Point, c: Point) => Math.sign(Number(cross(minus(b, a), minus(c, a)).toPrecision(10)));

function crossingOf(corners: readonly Point[]): [number, number] | null {
  const sides = around(corners);
  for (const [i, [a, b]] of sides.entries())
    for (const [k, [c, d]] of sides.entries()) {
      if (k <= i + 1 || (i === 0 && k === sides.length - 1)) continue;
      if (turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0) return [i + 1, k + 1];
    }
  return null;
}

/**
 * Area, perimeter, centroid and size of a part from its corners, in whichever turn they are listed: area by the
 * shoelace formula, centroid by the first moments of the same triangles.
 * @example measureOutline([[0, 0], [4, 0], [4, 2], [0, 2]]).area // => 8
 * @example measureOutline([[0, 0], [0, 2], [4, 2], [4, 0]]).centroid // => [2, 1]
 * @example measureOutline([[0, 0], [4, 2], [4, 0], [0, 2]]).crossing // => [1, 3]
 */
export function measureOutline(corners: readonly Point[]): Outline {
  const [left, bottom] = [0, 1].map((i) => Math.min(...corners.map((c) => c[i]!)));
  const [right, top] = [0, 1].map((i) => Math.max(...corners.map((c) => c[i]!)));
  const sides = around(corners);
  const twice = sides.reduce((sum, [a, b]) => sum + cross(a, b), 0);
  const moment = (i: 0 | 1) => sides.reduce((sum, [a, b]) => sum + (a[i] + b[i]) * cross(a, b), 0) / (3 * twice);
  return {
    area: Math.abs(twice) / 2,
    perimeter: sides.reduce((sum, [a, b]) => sum + Math.hypot(b[0] - a[0], b[1] - a[1]), 0),
    centroid: [moment(0), moment(1)],
    width: right! - left!,
    height: top! - bottom!,
    crossing: crossingOf(corners),
  };
}

/**
 * Whether a part lies on a sheet, upright or turned by a quarter, with a border left at each edge.
 * @example fitsOn({ width: 0.3, height: 0.5 }, [0.6, 0.4], 0.005) // => "turned"
 * @example fitsOn({ width: 0.3, height: 0.5 }, [0.4, 0.4], 0) // => null
 */
export function fitsOn(
  { width, height }: Pick<Outline, "width" | "height">,
  [across, up]: Point,
  border: number,
): "upright" | "turned" | null {
  const within = (w: number, h: number) => w <= across - 2 * border + 1e-9 && h <= up - 2 * border + 1e-9;
  if (within(width, height)) return "upright";
  return within(height, width) ? "turned" : null;
}

/** The unit of an area over a unit of length. */
const squared = (unit: string) => `${unit}²`;

/**
 * How area and perimeter of a part come about from its corners, in a unit of length.
 * @example outlineWorking([[0, 0], [0.04, 0], [0.04, 0.02]], "mm").result // => "400.0"
 */
export function outlineWorking(corners: readonly Point[], unit: string): Working {
  const o = measureOutline(corners);
  const at = corners.map((c) => c.map((x) => fromSi(x, unit).toSignificantDigits(12)) as [never, never]);
  const products = around(at).flatMap(([a, b], i) => [
    ...(i ? [" + "] : []),
    { of: a[0] },
    " × ",
    { of: b[1] },
    " − ",
    { of: b[0] },
    " × ",
    { of: a[1] },
  ]);
  const area = formatSi(o.area, squared(unit));
  return makeWorking({
    title: "Part from its corners",
    result: area,
    unit: squared(unit),
    rule: "Twice the area is the sum over all sides of x × next y − next x × y (shoelace formula).",
    steps: corners.length > 12 ? [] : [equation(["|", ...products, "| ÷ 2"], area, squared(unit))],
    inputs: at.map((c, i) => ({ label: `corner ${i + 1}`, value: `${c[0]} ${c[1]}`, unit })),
    basis: ["Plane geometry."],
  });
}

const mm = (x: number) => Number((x * 1000).toFixed(4));

/**
 * A part as an SVG file that prints at its true size, in millimetres, y up.
 * @example outlineSvg([[0, 0], [0.04, 0], [0.04, 0.02]]).includes('width="42mm"') // => true
 */
export function outlineSvg(corners: readonly Point[]): string {
  const { width, height } = measureOutline(corners);
  const left = Math.min(...corners.map((c) => c[0]));
  const top = Math.max(...corners.map((c) => c[1]));
  const points = corners.map(([x, y]) => `${mm(x - left)},${mm(top - y)}`).join(" ");
  const [w, h] = [mm(width) + 2, mm(height) + 2];
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="-1 -1 ${w} ${h}">` +
    `<polygon points="${points}" fill="none" stroke="#000" stroke-width="0.1"/></svg>\n`
  );
}

/**
 * A part as a DXF file for a cutter: one closed line, in millimetres.
 * @example outlineDxf([[0, 0], [0.04, 0], [0.04, 0.02]]).split("\n").filter((l) => l === "VERTEX").length // => 3
 */
export function outlineDxf(corners: readonly Point[]): string {
  const vertices = corners.flatMap(([x, y]) => ["0", "VERTEX", "8", "0", "10", `${mm(x)}`, "20", `${mm(y)}`]);
  const units = ["9", "$INSUNITS", "70", "4"];
  return [
    ...["0", "SECTION", "2", "HEADER", ...units, "0", "ENDSEC"],
    ...["0", "SECTION", "2", "ENTITIES", "0", "POLYLINE", "8", "0", "66", "1", "70", "1"],
    ...vertices,
    ...["0", "SEQEND", "0", "ENDSEC", "0", "EOF", ""],
  ].join("\n");
}
