import { derivative, type EvalFunction, type MathNode, parse } from "mathjs";
import { seededRandom } from "../draw/draw";
import { normalDeviate } from "../draw/normal";
import { showFormula } from "./show";

export interface FormulaInput {
  /** SI value. */
  readonly value: number;
  /** Standard uncertainty, SI; zero when it is exact. */
  readonly u: number;
  /** Of a computed value: what each reading behind it adds to its uncertainty, with its sign, SI. */
  readonly parts?: Readonly<Record<string, number>>;
  /** Of a computed value: what it comes to in each simulated reading of the instruments. */
  readonly draws?: () => readonly number[];
  /** Its ± comes from the simulation, and so does that of whatever is computed from it. */
  readonly simulated?: boolean;
}

export interface FormulaValue extends FormulaInput {
  readonly parts: Readonly<Record<string, number>>;
  readonly draws: () => readonly number[];
  readonly simulated: boolean;
  /** Shares of the variance by reading, largest first; empty when nothing is uncertain or it was simulated. */
  readonly contributions: { symbol: string; share: number }[];
  /** The formula with numbers put in. */
  readonly substituted: string;
}

interface Prepared {
  value: EvalFunction;
  used: ReadonlySet<string>;
  /** Compiled partial derivative; null where there is no symbolic one. */
  slope(symbol: string): EvalFunction | null;
}
const prepared = new Map<string, Prepared>();

const isSymbol = (node: MathNode) => node.type === "SymbolNode";
const nameOf = (node: MathNode) => (node as unknown as { name: string }).name;

/**
 * Parses, compiles and differentiates an expression once: a class's runs evaluate the same few formulas thousands of
 * times.
 */
function prepare(expression: string): Prepared {
  const known = prepared.get(expression);
  if (known) return known;
  const node = parse(expression);
  const slopes = new Map<string, EvalFunction | null>();
  const made: Prepared = {
    value: node.compile(),
    used: new Set(node.filter(isSymbol).map(nameOf)),
    slope(symbol) {
      if (!slopes.has(symbol)) {
        try {
          slopes.set(symbol, derivative(node, symbol).compile());
        } catch {
          slopes.set(symbol, null);
        }
      }
      return slopes.get(symbol)!;
    },
  };
  if (prepared.size > 500) prepared.clear();
  prepared.set(expression, made);
  return made;
}

const simulations = 2000;

/** Normal deviates of a reading, the same for the same symbol: what shares a reading shares them. */
function deviates(symbol: string): number[] {
  const random = seededRandom(`reading ${symbol}`);
  return Array.from({ length: simulations }, () => normalDeviate(random(), random()));
}

function once<T>(make: () => T): () => T {
  let made: T | undefined;
  return () => (made ??= make());
}

const drawsOf = (symbol: string, x: FormulaInput) =>
  x.draws ?? once(() => (x.u > 0 ? deviates(symbol).map((d) => x.value + d * x.u) : Array(simulations).fill(x.value)));

/**
 * Whether the result leaves its tangent by more than the tangent rises within two standard uncertainties of an input:
 * at a kink, a peak, a pole its slope says nothing.
 */
function bends(at: (value: number) => number, x: FormulaInput, here: number, slope: number): boolean {
  return [-2, -1, 1, 2].some((k) => {
    const off = Math.abs(at(x.value + k * x.u) - here - k * slope * x.u);
    return !Number.isFinite(off) || (off > Math.abs(k * slope * x.u) * 0.9999 && off > 1e-9 * Math.abs(here));
  });
}

/** Twice what is given holds 95 % of the simulated values. */
function spreadOf(draws: readonly number[], value: number): number {
  const far = draws
    .map((d) => (Number.isFinite(d) ? Math.abs(d - value) : Number.POSITIVE_INFINITY))
    .sort((a, b) => a - b);
  return far[Math.ceil(0.95 * far.length) - 1]! / 2;
}

/**
 * The value of a checked formula in SI with its uncertainty. First order: u² = Σ (Σ ∂f/∂x · ∂x/∂r · u(r))² over the
 * readings r behind the inputs, so that a reading that several inputs share is counted once (GUM, 5.1.2 and 5.2).
 * Where the first order says nothing (a kink, no slope, a division by what may be zero), half of what holds 95 % of
 * 2000 seeded simulated readings. Partial derivatives are symbolic where the expression allows, else central
 * differences. What cannot be evaluated is NaN.
 * @example evaluateFormula("V / t", { V: { value: 6, u: 0 }, t: { value: 2, u: 0.1 } }).value // => 3
 * @example evaluateFormula("V / t", { V: { value: 6, u: 0 }, t: { value: 2, u: 0.1 } }).u.toFixed(3) // => "0.150"
 * @example evaluateFormula("abs(a - b)", { a: { value: 2, u: 0.1 }, b: { value: 2, u: 0.1 } }).simulated // => true
 */
export function evaluateFormula(expression: string, inputs: Readonly<Record<string, FormulaInput>>): FormulaValue {
  const scope = Object.fromEntries(Object.entries(inputs).map(([k, v]) => [k, v.value]));
  const broken = () => ({
    value: Number.NaN,
    u: Number.NaN,
    parts: {},
    draws: () => [],
    simulated: false,
    contributions: [],
    substituted: showFormula(expression),
  });
  let ready: Prepared;
  let value: number;
  try {
    ready = prepare(expression);
    value = Number(ready.value.evaluate({ ...scope }));
  } catch {
    return broken();
  }
  const uncertain = Object.entries(inputs).filter(([symbol, x]) => x.u > 0 && ready.used.has(symbol));
  const parts: Record<string, number> = {};
  let simulated = false;
  for (const [symbol, x] of uncertain) {
    const at = (v: number) => Number(ready.value.evaluate({ ...scope, [symbol]: v }));
    const exact = ready.slope(symbol);
    const h = x.u / 10;
    const slope = exact ? Number(exact.evaluate({ ...scope })) : (at(x.value + h) - at(x.value - h)) / (2 * h);
    if (x.simulated || !Number.isFinite(slope) || bends(at, x, value, slope)) simulated = true;
    for (const [reading, part] of Object.entries(x.parts ?? { [symbol]: x.u }))
      parts[reading] = (parts[reading] ?? 0) + slope * part;
  }
  const draws = once(() => {
    const each = Object.entries(inputs).flatMap(([k, x]) => (ready.used.has(k) ? [[k, drawsOf(k, x)()] as const] : []));
    return Array.from({ length: simulations }, (_, i) =>
      Number(ready.value.evaluate({ ...scope, ...Object.fromEntries(each.map(([k, d]) => [k, d[i]!])) })),
    );
  });
  const variance = Object.values(parts).reduce((sum, p) => sum + p * p, 0);
  const contributions = simulated
    ? []
    : Object.entries(parts)
        .map(([symbol, p]) => ({ symbol, share: (p * p) / variance }))
        .filter((c) => c.share > 0)
        .sort((a, b) => b.share - a.share);
  return {
    value,
    u: !Number.isFinite(value) ? Number.NaN : simulated ? spreadOf(draws(), value) : Math.sqrt(variance),
    parts,
    draws,
    simulated,
    contributions,
    substituted: substitute(expression, scope, (at) => Number(ready.value.evaluate(at))),
  };
}

/** Significant digits that are shown of what a formula comes to. */
export const shownDigits = 5;

/**
 * The formula with its numbers, with as many digits as redoing it takes; negative ones in brackets, so that signs bind
 * as in the formula.
 */
function substitute(
  expression: string,
  scope: Readonly<Record<string, number>>,
  evaluate: (scope: Record<string, number>) => number,
): string {
  const shown = (x: number) => Number(x.toPrecision(shownDigits));
  const wanted = shown(evaluate({ ...scope }));
  const rounded = (digits: number) =>
    Object.fromEntries(Object.entries(scope).map(([k, v]) => [k, Number(v.toPrecision(digits))]));
  let digits = 6;
  while (digits < 17 && shown(evaluate(rounded(digits))) !== wanted) digits++;
  const at = rounded(digits);
  return showFormula(expression).replace(/[A-Za-z][A-Za-z0-9_]*/g, (name) => {
    if (!Object.hasOwn(scope, name)) return name;
    const text = String(at[name]);
    return text.startsWith("-") ? `(${text})` : text;
  });
}
