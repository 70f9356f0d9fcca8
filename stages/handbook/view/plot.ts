import type { FormulaCalculator } from "@/core/handbook/calculator";
import { unitIn } from "@/core/handbook/calculator";
import type { Outcome } from "@/core/handbook/compute";
import { readGiven } from "@/core/handbook/read";
import { type Axis, axisOf } from "@/core/quantity/axis";
import { formatNumber, fromSi } from "@/core/quantity/quantity";
import type { UnitSystem } from "@/core/vocabulary/project";

/** A picture of a result over an entry: axes, labels, where it stands now, and some of it as rows. */
export interface PlotView {
  readonly title: string;
  readonly x: Axis;
  readonly y: Axis;
  readonly xLabel: string;
  readonly yLabel: string;
  readonly here: { readonly x: number; readonly y: number } | null;
  readonly rows: readonly { readonly x: number; readonly y: number }[];
  readonly words: string;
}

const labelled = (name: string, unit: string) => (unit === "1" ? name : `${name}, ${unit}`);

/** What the picture of a calculator shows; its point now only where that lies in the picture. */
export function plotView(
  c: FormulaCalculator,
  points: readonly { readonly x: number; readonly y: number }[],
  now: Extract<Outcome, { ok: true }> | null,
  typed: Readonly<Record<string, string>>,
  units: UnitSystem,
): PlotView {
  const entry = c.entries.find((e) => e.symbol === c.plot!.over)!;
  const step = c.steps.find((s) => s.symbol === c.plot!.of)!;
  const [xUnit, yUnit] = [unitIn(entry.unit, units), unitIn(step.unit, units)];
  const x = axisOf(points.map((p) => p.x));
  const y = axisOf(points.map((p) => p.y));
  const read = readGiven(typed[entry.symbol] ?? "", xUnit);
  const at = read.ok ? fromSi(read.given[0]!.si, xUnit).toNumber() : Number.NaN;
  const result = now?.results.find((r) => r.symbol === step.symbol)?.value;
  const inside = (v: number, axis: Axis) => v >= axis.ticks[0]! && v <= axis.ticks.at(-1)!;
  const here = result !== undefined && inside(at, x) && inside(result, y) ? { x: at, y: result } : null;
  const every = Math.max(1, Math.floor((points.length - 1) / 6));
  const rows = points.filter((_, i) => i % every === 0);
  const between = (of: "x" | "y") => `from ${formatNumber(rows[0]![of])} to ${formatNumber(rows.at(-1)![of])}`;
  return {
    title: `${step.name.charAt(0).toUpperCase()}${labelled(step.name, yUnit).slice(1)}`,
    x,
    y,
    xLabel: labelled(entry.name, xUnit),
    yLabel: labelled(step.name, yUnit),
    here,
    rows,
    words:
      `${step.name} ${between("y")} ${yUnit === "1" ? "" : yUnit} ` +
      `for ${entry.name} ${between("x")} ${xUnit === "1" ? "" : xUnit}; ` +
      "the table holds the same",
  };
}
