import { type Calculator, unitIn } from "@/core/handbook/calculator";
import { measureOutline } from "@/core/handbook/outline";
import { type Point, readCorners } from "@/core/handbook/points";
import { solveTruss } from "@/core/handbook/truss";
import { readTruss, trussIn } from "@/core/handbook/truss-text";
import { formatNumber, fromSi } from "@/core/quantity/quantity";
import type { UnitSystem } from "@/core/vocabulary/project";

/** A drawing in points of its own, y down. */
export interface Drawing {
  readonly width: number;
  readonly height: number;
  readonly outline: string;
  readonly dots: readonly { readonly x: number; readonly y: number; readonly name: string }[];
  readonly bars: readonly {
    readonly from: readonly [number, number];
    readonly to: readonly [number, number];
    readonly way: "pulled" | "pressed" | "idle";
    readonly text: string;
  }[];
  readonly words: string;
}

const room = { width: 560, height: 300, edge: 34 };

/** Where a point stands in the drawing. */
function scaled(points: readonly Point[]) {
  const [left, low] = [0, 1].map((i) => Math.min(...points.map((p) => p[i]!))) as [number, number];
  const [right, high] = [0, 1].map((i) => Math.max(...points.map((p) => p[i]!))) as [number, number];
  const inner = { width: room.width - 2 * room.edge, height: room.height - 2 * room.edge };
  const scale = Math.min(inner.width / (right - left || 1), inner.height / (high - low || 1));
  const height = (high - low) * scale + 2 * room.edge;
  const round = (x: number) => Number(x.toFixed(1));
  return {
    width: round((right - left) * scale + 2 * room.edge),
    height: round(height),
    at: ([x, y]: Point): [number, number] => [
      round(room.edge + (x - left) * scale),
      round(height - room.edge - (y - low) * scale),
    ],
  };
}

function outlineDrawing(text: string, unit: string): Drawing | null {
  const read = readCorners(text, unit);
  if (!read.ok) return null;
  const { width, height, at } = scaled(read.corners);
  const { centroid, crossing } = measureOutline(read.corners);
  const [x, y] = at(centroid);
  return {
    width,
    height,
    outline: read.corners.map((c) => at(c).join(",")).join(" "),
    dots: crossing ? [] : [{ x, y, name: "centre" }],
    bars: [],
    words: `a part with ${read.corners.length} corners`,
  };
}

function trussDrawing(typed: Readonly<Record<string, string>>, units: UnitSystem): Drawing | null {
  const force = unitIn("N", units);
  const read = readTruss(trussIn(typed), { length: unitIn("mm", units), force });
  if (!read.ok || read.truss.joints.length < 2) return null;
  const { joints, members } = read.truss;
  const { width, height, at } = scaled(joints.map((j) => [j.x, j.y]));
  const place = new Map(joints.map((j) => [j.name, at([j.x, j.y])]));
  const solved = solveTruss(read.truss);
  const forces = new Map(solved.ok ? solved.members.map((m) => [m.of, m.newton]) : []);
  return {
    width,
    height,
    outline: "",
    dots: joints.map((j) => ({ x: place.get(j.name)![0], y: place.get(j.name)![1], name: j.name })),
    bars: members.map(([a, b]) => {
      const f = forces.get(`${a}–${b}`) ?? 0;
      const idle = Math.abs(f) < 1e-9;
      const text = idle ? "" : formatNumber(fromSi(Number(Math.abs(f).toPrecision(10)), force));
      return { from: place.get(a)!, to: place.get(b)!, way: idle ? "idle" : f > 0 ? "pulled" : "pressed", text };
    }),
    words: `a truss of ${joints.length} joints and ${members.length} members`,
  };
}

/** A picture of what was typed into a calculator of shapes; null while it cannot be read. */
export function drawingOf(c: Calculator, typed: Readonly<Record<string, string>>, units: UnitSystem): Drawing | null {
  if (c.kind === "outline") return outlineDrawing(typed.corners ?? "", unitIn("mm", units));
  return c.kind === "truss" ? trussDrawing(typed, units) : null;
}
