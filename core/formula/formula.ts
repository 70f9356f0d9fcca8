import { derivative, type EvalFunction, type MathNode, parse } from "mathjs";
import {
  type Dimension,
  dimensionless,
  multiplyDimensions,
  nameDimension,
  raiseDimension,
  sameDimension,
} from "../quantity/dimension";
import { formatNumber } from "../quantity/quantity";

// Only these may stand in a formula: no assignment, no property, no index, no user function.
const functions: Record<string, "same" | "plain" | "root"> = {
  sqrt: "root",
  abs: "same",
  min: "same",
  max: "same",
  sin: "plain",
  cos: "plain",
  tan: "plain",
  exp: "plain",
  log: "plain",
};
const operators = new Set(["+", "-", "*", "/", "^"]);
/** How many quantities a function takes. */
const most = (name: string) => (name === "min" || name === "max" ? 12 : 1);
/** No honest formula of a bench is longer, or made of more parts. */
const longest = 400;
const mostParts = 200;

export type FormulaCheck = { ok: true; dimension: Dimension; symbols: string[] } | { ok: false; message: string };

interface Loose {
  type: string;
  op?: string;
  name?: string;
  value?: number;
  fn?: { name: string };
  args?: MathNode[];
  content?: MathNode;
}
const loose = (node: MathNode) => node as unknown as Loose;

class FormulaError extends Error {}

function dimensionOf(node: MathNode, known: ReadonlyMap<string, Dimension>): Dimension {
  const n = loose(node);
  if (n.type === "ParenthesisNode") return dimensionOf(n.content!, known);
  if (n.type === "ConstantNode") {
    if (typeof n.value !== "number") throw new FormulaError("Only numbers can stand in a formula.");
    return dimensionless;
  }
  if (n.type === "SymbolNode") {
    if (n.name === "pi") return dimensionless;
    const d = known.get(n.name!);
    if (!d)
      throw new FormulaError(`“${n.name}” is not one of ${[...known.keys()].join(", ") || "the declared quantities"}.`);
    return d;
  }
  if (n.type === "OperatorNode" && operators.has(n.op!)) {
    const [a, b] = n.args!.map((x) => dimensionOf(x, known)) as [Dimension, Dimension | undefined];
    if (!b) return a;
    if (n.op === "*") return multiplyDimensions(a, b);
    if (n.op === "/") return multiplyDimensions(a, raiseDimension(b, -1));
    if (n.op === "^") {
      const power = loose(n.args![1]!);
      const exponent = power.type === "ConstantNode" ? Number(power.value) : Number.NaN;
      if (sameDimension(a, {}) && sameDimension(b, {})) return dimensionless;
      if (!Number.isFinite(exponent))
        throw new FormulaError(`${nameDimension(a)} can be raised to a plain number only.`);
      return raiseDimension(a, exponent);
    }
    if (!sameDimension(a, b))
      throw new FormulaError(
        `${nameDimension(a)} and ${nameDimension(b)} cannot be ${n.op === "+" ? "added" : "subtracted"}.`,
      );
    return a;
  }
  // Names that every object inherits are no functions of a formula.
  if (n.type === "FunctionNode" && n.fn && Object.hasOwn(functions, n.fn.name)) {
    if (n.args!.length < 1 || n.args!.length > most(n.fn.name))
      throw new FormulaError(
        `${n.fn.name} takes ${most(n.fn.name) === 1 ? "one quantity" : `1 to ${most(n.fn.name)} quantities`}, ` +
          `not ${n.args!.length}.`,
      );
    const inner = n.args!.map((x) => dimensionOf(x, known));
    const kind = functions[n.fn.name];
    if (kind === "root") return raiseDimension(inner[0]!, 0.5);
    if (kind === "plain" && !sameDimension(inner[0]!, {}))
      throw new FormulaError(`${n.fn.name} takes a plain number, not ${nameDimension(inner[0]!)}.`);
    const odd = inner.find((d) => !sameDimension(d, inner[0]!));
    if (odd)
      throw new FormulaError(`${n.fn.name} cannot compare ${nameDimension(inner[0]!)} with ${nameDimension(odd)}.`);
    return kind === "same" ? inner[0]! : dimensionless;
  }
  throw new FormulaError(
    `“${node.toString()}” cannot stand in a formula. Use + − * / ^, brackets and ${Object.keys(functions).join(", ")}.`,
  );
}

/**
 * Checks a formula: only arithmetic, only declared names, dimensions that fit, and the dimension that was declared for
 * its result.
 * @example checkFormula("V / t", new Map([["V", { L: 3 }], ["t", { T: 1 }]]), { L: 3, T: -1 }).ok // => true
 * @example
 * checkFormula(
 *   "V + m",
 *   new Map([
 *     ["V", { L: 3 }],
 *     ["m", { M: 1 }],
 *   ]),
 * )
 * // => { ok: false, message: "a volume and a mass cannot be added." }
 */
export function checkFormula(
  expression: string,
  known: ReadonlyMap<string, Dimension>,
  declared?: Dimension,
): FormulaCheck {
  if (expression.length > longest)
    return { ok: false, message: `A formula has at most ${longest} characters; this one has ${expression.length}.` };
  let node: MathNode;
  try {
    node = parse(expression);
  } catch {
    return { ok: false, message: `“${expression}” cannot be read as a formula.` };
  }
  if (node.filter(() => true).length > mostParts)
    return { ok: false, message: "This formula has too many parts. Split it into several computed measures." };
  try {
    const dimension = dimensionOf(node, known);
    if (declared && !sameDimension(dimension, declared))
      return {
        ok: false,
        message: `The formula gives ${nameDimension(dimension)}, but ${nameDimension(declared)} is declared.`,
      };
    const symbols = [...new Set(node.filter((x) => loose(x).type === "SymbolNode").map((x) => loose(x).name!))].filter(
      (s) => known.has(s),
    );
    return { ok: true, dimension, symbols };
  } catch (error) {
    if (error instanceof FormulaError) return { ok: false, message: error.message };
    throw error;
  }
}

export interface FormulaInput {
  /** SI value. */
  readonly value: number;
  /** Standard uncertainty, SI; zero when it is exact. */
  readonly u: number;
}

export interface FormulaValue {
  readonly value: number;
  readonly u: number;
  /** Shares of the variance by input, largest first; empty when nothing is uncertain. */
  readonly contributions: { symbol: string; share: number }[];
  /** The formula with numbers put in. */
  readonly substituted: string;
}

interface Prepared {
  value: EvalFunction;
  used: ReadonlySet<string> /** Compiled partial derivative; null where there is no symbolic one. */;
  slope(symbol: string): EvalFunction | null;
}
const prepared = new Map<string, Prepared>();

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
    used: new Set(node.filter((x) => loose(x).type === "SymbolNode").map((x) => loose(x).name!)),
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

/**
 * The value of a checked formula in SI with its first-order uncertainty u² = Σ (∂f/∂x · u(x))² (GUM, 5.1.2).
 * Partial derivatives are symbolic where the expression allows, else central differences. What cannot be evaluated is
 * NaN.
 * @example evaluateFormula("V / t", { V: { value: 6, u: 0 }, t: { value: 2, u: 0.1 } }).value // => 3
 * @example evaluateFormula("V / t", { V: { value: 6, u: 0 }, t: { value: 2, u: 0.1 } }).u.toFixed(3) // => "0.150"
 */
export function evaluateFormula(expression: string, inputs: Readonly<Record<string, FormulaInput>>): FormulaValue {
  const scope = Object.fromEntries(Object.entries(inputs).map(([k, v]) => [k, v.value]));
  let ready: Prepared;
  let value: number;
  try {
    ready = prepare(expression);
    value = Number(ready.value.evaluate({ ...scope }));
  } catch {
    return { value: Number.NaN, u: Number.NaN, contributions: [], substituted: showFormula(expression) };
  }
  const { value: compiled, used, slope } = ready;
  const parts: { symbol: string; part: number }[] = [];
  for (const [symbol, input] of Object.entries(inputs)) {
    if (!(input.u > 0) || !used.has(symbol)) continue;
    const exact = slope(symbol);
    const h = input.u / 10;
    const change = exact
      ? Number(exact.evaluate({ ...scope }))
      : (Number(compiled.evaluate({ ...scope, [symbol]: input.value + h })) -
          Number(compiled.evaluate({ ...scope, [symbol]: input.value - h }))) /
        (2 * h);
    parts.push({ symbol, part: (change * input.u) ** 2 });
  }
  const variance = parts.reduce((sum, p) => sum + p.part, 0);
  const substituted = showFormula(expression).replace(/[A-Za-z][A-Za-z0-9_]*/g, (name) =>
    name in scope ? String(Number(scope[name]!.toPrecision(6))) : name,
  );
  return {
    value,
    u: Math.sqrt(variance),
    contributions:
      variance > 0
        ? parts.map((p) => ({ symbol: p.symbol, share: p.part / variance })).sort((a, b) => b.share - a.share)
        : [],
    substituted,
  };
}

/**
 * The names that stand in a formula, each once, functions included.
 * @example symbolsIn("m / (rho * t)") // => ["m", "rho", "t"]
 */
export function symbolsIn(expression: string): string[] {
  return [...new Set(expression.match(/[A-Za-z][A-Za-z0-9_]*/g) ?? [])];
}

/**
 * An expanded uncertainty U = 2u rounded to two significant digits, and how many decimals a value beside it takes.
 * @example expandUncertainty(0.453) // => { U: 0.91, digits: 2 }
 */
export function expandUncertainty(u: number): { U: number; digits: number } {
  const U = 2 * u;
  if (!(U > 0)) return { U: 0, digits: 2 };
  const digits = 1 - Math.floor(Math.log10(U));
  return { U: Number(U.toPrecision(2)), digits: Math.max(0, Math.min(8, digits)) };
}

/**
 * A formula as people write it: × and ÷ for * and /.
 * @example showFormula("rho * g * V / t") // => "rho × g × V ÷ t"
 */
export function showFormula(expression: string): string {
  return expression.replace(/\s*\*\s*/g, " × ").replace(/\s*\/\s*/g, " ÷ ");
}

/**
 * A value with its expanded uncertainty, as text.
 * @example showUncertain(26.476, 0.453) // => "26.48 ± 0.91"
 */
export function showUncertain(value: number, u: number): string {
  const { U, digits } = expandUncertainty(u);
  return U > 0 ? `${formatNumber(value, digits)} ± ${formatNumber(U, digits)}` : formatNumber(value);
}
