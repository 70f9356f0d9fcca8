import { expandUncertainty, inUnit, showUncertain } from "../formula/show";
import { formatNumber, fromSi, knownUnit, toSi } from "../quantity/quantity";
import type { UnitSystem } from "../vocabulary/project";
import { comesTo, plainNumbers, type Read, readArithmetic } from "../working/arithmetic";
import { equation, reaches } from "../working/equation";
import { makeWorking, type Working } from "../working/working";
import { type Bound, type FormulaCalculator, type Step, unitIn } from "./calculator";
import { type Given, readEntry } from "./read";

/** A result as it is shown: value and standard uncertainty in its unit. */
export interface Result {
  readonly symbol: string;
  readonly name: string;
  readonly unit: string;
  readonly value: number;
  readonly u: number;
  /** The value, with its ± where what was put in has one. */
  readonly text: string;
}

export type Outcome =
  | {
      readonly ok: true;
      readonly results: readonly Result[];
      readonly working: Working;
      readonly warnings: readonly string[];
    }
  | { readonly ok: false; readonly wrong: readonly { readonly symbol: string; readonly message: string }[] };

const named = /\p{L}[\p{L}\p{N}_]*/gu;
const digits = 5;
const known = new Map<string, Read>();

function readLine(line: string): Read {
  const read = known.get(line) ?? readArithmetic(line);
  if (!read) throw new SyntaxError(`“${line}” is no line of arithmetic`);
  known.set(line, read);
  return read;
}

/**
 * A line over lists, written out: sum( ), product( ) and count( ) of a list of so many.
 * @example writtenOut("P × product(η)", { η: 2 }) // => "P × (η_1 × η_2)"
 * @example writtenOut("1 ÷ sum(1 ÷ R)", { R: 2 }) // => "1 ÷ (1 ÷ R_1 + 1 ÷ R_2)"
 */
export function writtenOut(line: string, lists: Readonly<Record<string, number>>): string {
  return line
    .replace(/count\((\p{L}+)\)/gu, (_, name: string) => String(lists[name] ?? 1))
    .replace(/(sum|product)\(([^()]*)\)/g, (_, what: string, inner: string) => {
      const name = (inner.match(named) ?? []).find((n) => Object.hasOwn(lists, n));
      if (!name) return `(${inner})`;
      const each = Array.from({ length: lists[name]! }, (_x, i) =>
        inner.replace(named, (n) => (n === name ? `${n}_${i + 1}` : n)),
      );
      return `(${each.join(what === "sum" ? " + " : " × ")})`;
    });
}

const shown = (x: number, places: number): string => {
  const text = String(Number(x.toPrecision(places)));
  return text.startsWith("-") ? `(${text.replace("-", "−")})` : text;
};

/** A line with its numbers, with as many digits as redoing it takes. */
function withNumbers(line: string, values: Readonly<Record<string, number>>, result: string): string {
  const at = (places: number) =>
    line.replace(named, (name) => (Object.hasOwn(values, name) ? shown(values[name]!, places) : name));
  let places = 4;
  while (places < 16 && !reaches(at(places).replaceAll("−", "-"), result)) places++;
  return at(places);
}

/** A number to so many significant digits; very small and very large ones with a power of ten. */
const plain = (x: number): string => {
  const size = Math.abs(x);
  if (size !== 0 && (size < 1e-4 || size >= 1e9)) return x.toExponential(digits - 1).replace("e+", "e");
  return formatNumber(x, Math.max(0, digits - 1 - Math.floor(Math.log10(size || 1))));
};

const isWhole = (is: string) => /\b(whole|up)\(/.test(is);

/** Every step of a calculator at some values, in their order; names of the steps are added to the names given. */
function follow(steps: readonly Step[], lines: readonly string[], given: Readonly<Record<string, number>>) {
  const values: Record<string, number> = { ...given };
  for (const [i, s] of steps.entries()) values[s.symbol] = comesTo(readLine(lines[i]!), plainNumbers, values);
  return values;
}

const isOver = (b: Bound, value: number, unit: string, values: Readonly<Record<string, number>>): boolean => {
  const limit = (x: number | string) =>
    typeof x === "string" ? comesTo(readLine(x), plainNumbers, values) : toSi(x, unit).toNumber();
  return (b.above !== undefined && value > limit(b.above)) || (b.below !== undefined && value < limit(b.below));
};

/** From an SI value to its unit: a line, or nothing where the unit is SI and nothing is rounded. */
function turned(si: number, unit: string, result: Result): string[] {
  const { factor, offset } = knownUnit(unit);
  const U = expandUncertainty(result.u);
  if (!offset.isZero())
    return [
      equation(
        ["(", { of: si }, ` − ${offset.toSignificantDigits(8)}) ÷ ${factor.toSignificantDigits(8)}`],
        formatNumber(result.value),
        unit,
      ),
    ];
  if (factor.eq(1) && !U.U) return [];
  return [inUnit(si, factor.toNumber(), U.U ? { ...U, value: result.value } : formatNumber(result.value), unit)];
}

/** What was put in, by name: a list's values have names of their own. */
function entered(c: FormulaCalculator, typed: Readonly<Record<string, string>>, system: UnitSystem) {
  const given: Record<string, Given> = {};
  const lists: Record<string, number> = {};
  const wrong: { symbol: string; message: string }[] = [];
  for (const e of c.entries) {
    const read = readEntry(e, typed[e.symbol] ?? e.value, system);
    if (!read.ok) wrong.push({ symbol: e.symbol, message: read.message });
    else if (e.list) {
      lists[e.symbol] = read.given.length;
      for (const [i, g] of read.given.entries()) given[`${e.symbol}_${i + 1}`] = g;
    } else given[e.symbol] = read.given[0]!;
  }
  return { given, lists, wrong };
}

/**
 * The steps of a calculator at what was typed, SI, without telling how: what a curve of many points takes. `over` are
 * the limits that it leaves.
 * @example evaluate(calculatorOf("average-speed"), { d: "10", t: "4" }, "metric").values.v // => 2.5
 */
export function evaluate(c: FormulaCalculator, typed: Readonly<Record<string, string>>, system: UnitSystem) {
  const { given, lists, wrong } = entered(c, typed, system);
  if (wrong.length) return { ok: false, wrong } as const;
  const lines = c.steps.map((s) => writtenOut(s.is, lists));
  const si = Object.fromEntries(Object.entries(given).map(([k, g]) => [k, g.si]));
  const values = follow(c.steps, lines, si);
  const unitOf = (symbol: string) => [...c.entries, ...c.steps].find((x) => x.symbol === symbol)!.unit;
  const over = (c.bounds ?? []).filter((b) =>
    Object.keys(values).some(
      (k) => (k === b.of || k.startsWith(`${b.of}_`)) && isOver(b, values[k]!, unitOf(b.of), values),
    ),
  );
  const refused = over.filter((b) => b.refuse).map((b) => ({ symbol: b.of, message: b.says }));
  if (refused.length) return { ok: false, wrong: refused } as const;
  const lost = c.steps.find((s) => !Number.isFinite(values[s.symbol]!));
  if (lost) {
    const message = `The ${lost.name} comes to no number here.`;
    return { ok: false, wrong: [{ symbol: lost.symbol, message }] } as const;
  }
  return { ok: true, given, lines, si, values, over } as const;
}

/**
 * What a calculator makes of what was typed: its results with their ±, the working line by line, and where the formula
 * leaves what it holds for. ± by the first order (GUM 5.1.2), slopes by central differences; entries are independent.
 * @param typed by entry, as typed, ± allowed; what is left out has its first value
 * @example compute(calculatorOf("lever"), { F1: "50 ± 5" }).results[1].text // => "200 ± 20"
 */
export function compute(
  c: FormulaCalculator,
  typed: Readonly<Record<string, string>>,
  system: UnitSystem = "metric",
): Outcome {
  const found = evaluate(c, typed, system);
  if (!found.ok) return found;
  const { given, lines, si, values, over } = found;
  const uncertain = Object.entries(given).filter(([, g]) => g.u > 0);
  const moved = uncertain.map(([name, g]) => {
    const h = g.u / 1000;
    const [up, down] = [
      follow(c.steps, lines, { ...si, [name]: g.si + h }),
      follow(c.steps, lines, { ...si, [name]: g.si - h }),
    ];
    const far = [-2, 2].map((k) => follow(c.steps, lines, { ...si, [name]: g.si + k * g.u }));
    return { name, far, part: (s: string) => ((up[s]! - down[s]!) / (2 * h)) * g.u };
  });
  const warnings = over.map((b) => b.says);
  const results: Result[] = c.steps.map((s) => {
    const unit = unitIn(s.unit, system);
    const value = fromSi(values[s.symbol]!, unit).toNumber();
    if (isWhole(s.is)) {
      const others = new Set(
        moved.flatMap((m) => m.far.map((v) => v[s.symbol]!)).filter((v) => v !== values[s.symbol]),
      );
      for (const o of others)
        warnings.push(
          `${s.name}: ${formatNumber(o, 0)} instead of ${formatNumber(value, 0)} lies within the ± of what was put in.`,
        );
      return { ...s, unit, value, u: 0, text: formatNumber(value, 0) };
    }
    const u = Math.hypot(...moved.map((m) => m.part(s.symbol))) / knownUnit(unit).factor.toNumber();
    return { ...s, unit, value, u, text: showUncertain(value, u) };
  });
  const told = results.filter((_, i) => !c.steps[i]!.between);
  const last = told.at(-1)!;
  const lineOf = (s: Step, i: number): string[] => {
    const r = results[i]!;
    const value = values[s.symbol]!;
    const result = isWhole(s.is) ? formatNumber(value, 0) : plain(value);
    const unit =
      knownUnit(r.unit).factor.eq(1) && knownUnit(r.unit).offset.isZero() && r.unit !== "1" ? ` ${r.unit}` : "";
    return [
      `${s.name}: ${s.symbol} = ${s.is}`,
      `${unit || r.unit === "1" ? "" : "in SI: "}${withNumbers(lines[i]!, values, result)} = ${result}${unit}`,
      ...turned(Number(value.toPrecision(12)), r.unit, r).map((t) => `in ${r.unit}: ${t}`),
    ];
  };
  const variance = moved.reduce((sum, m) => sum + m.part(last.symbol) ** 2, 0);
  const U = expandUncertainty(last.u);
  return {
    ok: true,
    results: told,
    warnings,
    working: makeWorking({
      title: c.name,
      result: U.U ? formatNumber(last.value, U.digits) : last.text,
      unit: last.unit === "1" ? undefined : last.unit,
      plusMinus: U.U ? formatNumber(U.U, U.digits) : undefined,
      rule: c.use,
      steps: c.steps.flatMap(lineOf),
      inputs: c.entries.map((e) => ({
        label: `${e.name} (${e.symbol})`,
        value: typed[e.symbol] ?? e.value,
        unit: unitIn(e.unit, system) === "1" ? undefined : unitIn(e.unit, system),
      })),
      contributions: variance
        ? moved
            .map((m) => ({ label: m.name, share: m.part(last.symbol) ** 2 / variance, note: "" }))
            .filter((x) => x.share > 0)
            .sort((a, b) => b.share - a.share)
        : undefined,
      warnings,
      basis: [c.valid, c.source],
    }),
  };
}
