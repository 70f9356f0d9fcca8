import { type MathNode, parse } from "mathjs";
import {
  type Dimension,
  dimensionless,
  multiplyDimensions,
  nameDimension,
  raiseDimension,
  sameDimension,
} from "../quantity/dimension";

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

/** What a part without names comes to, for example (1/2) or −1; NaN where names stand in it. */
const constantOf = (node: MathNode): number =>
  node.filter((x) => loose(x).type === "SymbolNode").length ? Number.NaN : Number(node.evaluate());

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
      const exponent = constantOf(n.args![1]!);
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
