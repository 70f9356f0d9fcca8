import { formatNumber, fromSi } from "../quantity/quantity";
import { equation, type Part } from "../working/equation";
import { makeWorking, type Working } from "../working/working";
import type { ReadTruss } from "./truss-text";

/** A force that was solved for: in a member (pulled is positive), or of a support to the right and up. */
export interface TrussForce {
  readonly of: string;
  readonly newton: number;
}

export type Solved =
  | { readonly ok: true; readonly members: readonly TrussForce[]; readonly reactions: readonly TrussForce[] }
  | { readonly ok: false; readonly message: string };

/** Solves A x = b by elimination with the largest pivot; null where A is singular. */
function solve(rows: readonly (readonly number[])[], right: readonly number[]): number[] | null {
  const a = rows.map((r, i) => [...r, right[i]!]);
  const n = a.length;
  for (let col = 0; col < n; col++) {
    let best = col;
    for (let r = col + 1; r < n; r++) if (Math.abs(a[r]![col]!) > Math.abs(a[best]![col]!)) best = r;
    if (Math.abs(a[best]![col]!) < 1e-9) return null;
    [a[col], a[best]] = [a[best]!, a[col]!];
    for (let r = 0; r < n; r++) {
      if (r === col) continue;
      const f = a[r]![col]! / a[col]![col]!;
      if (f !== 0) for (let k = col; k <= n; k++) a[r]![k]! -= f * a[col]![k]!;
    }
  }
  return a.map((r, i) => r[n]! / r[i]!);
}

interface Unknown {
  readonly of: string;
  /** What it puts on a joint, to the right and up, for each newton. */
  readonly at: (joint: string) => readonly [number, number];
}

function unknownsOf({ joints, members, supports }: ReadTruss): { bars: Unknown[]; holds: Unknown[] } {
  const place = new Map(joints.map((j) => [j.name, j]));
  const bars = members.map(([a, b]): Unknown => {
    const [p, q] = [place.get(a)!, place.get(b)!];
    const l = Math.hypot(q.x - p.x, q.y - p.y);
    const [x, y] = [(q.x - p.x) / l, (q.y - p.y) / l];
    return { of: `${a}–${b}`, at: (j) => (j === a ? [x, y] : j === b ? [-x, -y] : [0, 0]) };
  });
  const holds = supports.flatMap(({ joint, pin }): Unknown[] => [
    ...(pin
      ? [{ of: `${joint} to the right`, at: (j: string) => (j === joint ? ([1, 0] as const) : ([0, 0] as const)) }]
      : []),
    { of: `${joint} up`, at: (j) => (j === joint ? [0, 1] : [0, 0]) },
  ]);
  return { bars, holds };
}

/**
 * The forces in a plane truss by the equilibrium of every joint; it has to be statically determinate: members and
 * reactions together are twice the joints. A roller holds up and down only.
 * @example
 * solveTruss({
 *   joints: [{ name: "A", x: 0, y: 0 }, { name: "B", x: 1, y: 1 }, { name: "C", x: 2, y: 0 }],
 *   members: [["A", "B"], ["B", "C"], ["A", "C"]],
 *   supports: [{ joint: "A", pin: true }, { joint: "C", pin: false }],
 *   loads: [{ joint: "B", x: 0, y: -100 }],
 * }).members.map((m) => m.newton.toFixed(2))
 * // => ["-70.71", "-70.71", "50.00"]
 */
export function solveTruss(truss: ReadTruss): Solved {
  const { joints, members, loads } = truss;
  if (joints.length < 3) return { ok: false, message: "A truss has three joints or more." };
  const { bars, holds } = unknownsOf(truss);
  const all = [...bars, ...holds];
  const [has, needs] = [all.length, 2 * joints.length];
  const words =
    `${members.length} members and ${holds.length} reactions make ${has}; ` + `${joints.length} joints need ${needs}`;
  if (has < needs) return { ok: false, message: `It moves: ${words}. Add a member or a support.` };
  if (has > needs)
    return { ok: false, message: `It has more members or supports than equilibrium can tell apart: ${words}.` };
  const flat = bars.find((b) => !Number.isFinite(b.at(b.of.split("–")[0]!)[0]));
  if (flat) return { ok: false, message: `The member ${flat.of} has no length.` };
  const put = (name: string, i: 0 | 1) =>
    loads.filter((l) => l.joint === name).reduce((sum, l) => sum + (i === 0 ? l.x : l.y), 0);
  const rows = joints.flatMap((j) => ([0, 1] as const).map((i) => all.map((u) => u.at(j.name)[i])));
  const right = joints.flatMap((j) => ([0, 1] as const).map((i) => -put(j.name, i)));
  const x = solve(rows, right);
  if (!x) return { ok: false, message: "It moves though there are members enough: they lie in the wrong places." };
  const told = (of: readonly Unknown[], from: number) => of.map((u, i) => ({ of: u.of, newton: x[from + i]! }));
  return { ok: true, members: told(bars, 0), reactions: told(holds, bars.length) };
}

/**
 * The equilibrium of every joint with its numbers, in a unit of force: a line each to the right and up.
 * @example trussWorking({ joints: [], members: [], supports: [], loads: [] }, [], "N").steps // => []
 */
export function trussWorking(truss: ReadTruss, forces: readonly TrussForce[], unit: string): Working {
  const { bars, holds } = unknownsOf(truss);
  const worth = new Map(forces.map((f) => [f.of, fromSi(Number(f.newton.toPrecision(12)), unit)]));
  const lines = truss.joints.flatMap((j) =>
    ([0, 1] as const).map((i) => {
      const parts = [...bars, ...holds].flatMap((u): Part[] => {
        const share = u.at(j.name)[i];
        return Math.abs(share) < 1e-12 ? [] : [" + ", { of: worth.get(u.of)! }, " × ", { of: share, digits: 4 }];
      });
      const loads = truss.loads
        .filter((l) => l.joint === j.name)
        .flatMap((l): Part[] => [" + ", { of: fromSi(i === 0 ? l.x : l.y, unit) }]);
      const sum = [...parts, ...loads].slice(1);
      const way = i === 0 ? "to the right" : "up";
      return sum.length ? `${j.name}, ${way}: ${equation(sum, "0.0", unit)}` : `${j.name}, ${way}: nothing pulls`;
    }),
  );
  const largest = [...forces].sort((a, b) => Math.abs(b.newton) - Math.abs(a.newton))[0];
  return makeWorking({
    title: "Plane truss by joints",
    result: largest ? formatNumber(fromSi(largest.newton, unit)) : "–",
    unit,
    rule: "At every joint what pulls to the right is zero together, and what pulls up; a pulled member is positive.",
    steps: lines,
    basis: [
      "Members join at their ends without friction and carry no load between them.",
      "Hibbeler: Statics, chapter 6.",
    ],
  });
}
