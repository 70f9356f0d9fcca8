import { formatNumber, fromSi, parseQuantity, toSi } from "../quantity/quantity";
import type { UnitSystem } from "../vocabulary/project";
import { type Calculator, type OutlineCalculator, type TrussCalculator, unitIn } from "./calculator";
import { compute, evaluate, type Outcome, type Result } from "./compute";
import { fitsOn, measureOutline, outlineWorking } from "./outline";
import { readCorners } from "./points";
import { firstValue } from "./read";
import { solveTruss, trussWorking } from "./truss";
import { readTruss, trussIn } from "./truss-text";

/** A field of a calculator, whatever kind it is of. */
export interface Field {
  readonly symbol: string;
  readonly name: string;
  readonly unit: string;
  /** What stands there at first. */
  readonly value: string;
  /** It takes several lines. */
  readonly lines?: true;
}

const outlineFields = (c: OutlineCalculator, system: UnitSystem): Field[] => {
  const unit = unitIn("mm", system);
  const there = (text: string) =>
    text.replace(/-?\d+(\.\d+)?( mm)?/g, (n) =>
      system === "us" ? String(Number(fromSi(Number.parseFloat(n) / 1000, unit).toPrecision(4))) : n.replace(" mm", ""),
    );
  return [
    { symbol: "corners", name: "Corners, a line each: x y", unit, value: there(c.start.corners), lines: true },
    { symbol: "W", name: "width of the sheet", unit, value: there(c.start.sheet[0]) },
    { symbol: "H", name: "height of the sheet", unit, value: there(c.start.sheet[1]) },
    { symbol: "B", name: "border that is left at each edge", unit, value: there(c.start.border) },
  ];
};

const trussFields = (c: TrussCalculator, system: UnitSystem): Field[] => [
  { symbol: "joints", name: "Joints: name, x, y", unit: unitIn("mm", system), value: c.start.joints, lines: true },
  { symbol: "members", name: "Members: two joints", unit: "1", value: c.start.members, lines: true },
  { symbol: "supports", name: "Supports: joint, pin or roller", unit: "1", value: c.start.supports, lines: true },
  {
    symbol: "loads",
    name: "Loads: joint, force to the right, force up",
    unit: unitIn("N", system),
    value: c.start.loads,
    lines: true,
  },
];

/**
 * The fields of a calculator, with what stands in them at first in the units of a system.
 * @example fieldsOfCalculator(calculatorOf("average-speed"), "metric").map((f) => f.value) // => ["10", "4 ± 0.2"]
 */
export function fieldsOfCalculator(c: Calculator, system: UnitSystem): Field[] {
  if (c.kind === "outline") return outlineFields(c, system);
  if (c.kind === "truss") return trussFields(c, system);
  return c.entries.map((e) => ({
    symbol: e.symbol,
    name: e.list ? `${e.name}, with semicolons between` : e.name,
    unit: unitIn(e.unit, system),
    value: firstValue(e, system),
  }));
}

const result = (symbol: string, name: string, si: number, unit: string): Result => {
  const value = fromSi(Number(si.toPrecision(12)), unit).toNumber();
  return { symbol, name, unit, value, u: 0, text: formatNumber(value) };
};

function outlineOutcome(typed: Readonly<Record<string, string>>, system: UnitSystem): Outcome {
  const unit = unitIn("mm", system);
  const read = readCorners(typed.corners!, unit);
  const wrong = read.ok ? [] : [{ symbol: "corners", message: read.message }];
  const sizes = ["W", "H", "B"].map((symbol) => {
    const q = parseQuantity(typed[symbol]!, unit);
    if (!q.ok) wrong.push({ symbol, message: q.message });
    else if (Number(q.quantity.si) < 0) wrong.push({ symbol, message: "This is at least 0." });
    return q.ok ? Number(q.quantity.si) : 0;
  });
  if (!read.ok || wrong.length) return { ok: false, wrong };
  const o = measureOutline(read.corners);
  const no = (message: string): Outcome => ({ ok: false, wrong: [{ symbol: "corners", message }] });
  if (o.crossing) return no(`Side ${o.crossing[0]} crosses side ${o.crossing[1]}: look at the order of the corners.`);
  if (!(o.area > 0)) return no("The corners lie in one line.");
  const fits = fitsOn(o, [sizes[0]!, sizes[1]!], sizes[2]!);
  const made = outlineWorking(read.corners, unit);
  const laid = { upright: [], turned: ["It fits on the sheet turned by a quarter only."] };
  const warnings = fits ? laid[fits] : ["It does not fit on the sheet."];
  return {
    ok: true,
    results: [
      result("A", "area", o.area, `${unit}²`),
      result("U", "edge", o.perimeter, unit),
      result("x", "centre, x", o.centroid[0], unit),
      result("y", "centre, y", o.centroid[1], unit),
      result("w", "width", o.width, unit),
      result("h", "height", o.height, unit),
    ],
    warnings,
    working: { ...made, warnings },
  };
}

function trussOutcome(typed: Readonly<Record<string, string>>, system: UnitSystem): Outcome {
  const force = unitIn("N", system);
  const read = readTruss(trussIn(typed), { length: unitIn("mm", system), force });
  if (!read.ok) return { ok: false, wrong: [{ symbol: read.field, message: read.message }] };
  const solved = solveTruss(read.truss);
  if (!solved.ok) return { ok: false, wrong: [{ symbol: "members", message: solved.message }] };
  const way = (newton: number) => (Math.abs(newton) < 1e-9 ? "carries nothing" : newton > 0 ? "pulled" : "pressed");
  const all = [...solved.members, ...solved.reactions];
  const tiny = (x: number) => (Math.abs(x) < 1e-9 ? 0 : x);
  return {
    ok: true,
    results: [
      ...solved.members.map((m) => result(m.of, `member ${m.of}, ${way(m.newton)}`, tiny(m.newton), force)),
      ...solved.reactions.map((r) => result(r.of, `support ${r.of}`, tiny(r.newton), force)),
    ],
    warnings: [],
    working: trussWorking(read.truss, all, force),
  };
}

/**
 * What a calculator of any kind makes of what was typed; what is left out has its first value.
 * @example outcomeOf(calculatorOf("outline"), {}, "metric").results[0].text // => "7200"
 * @example outcomeOf(calculatorOf("truss"), {}, "metric").results[0].text // => "20.00"
 */
export function outcomeOf(c: Calculator, typed: Readonly<Record<string, string>>, system: UnitSystem): Outcome {
  const all = Object.fromEntries(fieldsOfCalculator(c, system).map((f) => [f.symbol, typed[f.symbol] ?? f.value]));
  if (c.kind === "formulas") return compute(c, all, system);
  return c.kind === "outline" ? outlineOutcome(all, system) : trussOutcome(all, system);
}

/**
 * A result drawn over one entry while the others stay as typed: points of the entry's and the result's unit; null where
 * the calculator has no such picture, or nothing comes out.
 * @example plotOf(calculatorOf("average-speed"), {}, "metric", 3).map((p) => p.x) // => [1, 5.5, 10]
 */
export function plotOf(
  c: Calculator,
  typed: Readonly<Record<string, string>>,
  system: UnitSystem,
  points = 60,
): { x: number; y: number }[] | null {
  if (c.kind !== "formulas" || !c.plot) return null;
  const { over, of, from, to } = c.plot;
  const entry = c.entries.find((e) => e.symbol === over)!;
  const unit = unitIn(entry.unit, system);
  const first = Object.fromEntries(c.entries.map((e) => [e.symbol, typed[e.symbol] ?? firstValue(e, system)]));
  const ofUnit = unitIn(c.steps.find((s) => s.symbol === of)!.unit, system);
  const drawn = Array.from({ length: points }, (_, i) => {
    const x = from + ((to - from) * i) / (points - 1);
    const shown = Number(fromSi(toSi(x, entry.unit), unit).toPrecision(9));
    const found = evaluate(c, { ...first, [over]: `${shown} ${unit === "1" ? "" : unit}`.trim() }, system);
    return found.ok ? [{ x: shown, y: fromSi(found.values[of]!, ofUnit).toNumber() }] : [];
  }).flat();
  return drawn.length > 1 ? drawn : null;
}
