/** A piece of a formula: a name with its number, a power, or what stands between. */
export interface Piece {
  readonly kind: "name" | "power" | "plain";
  readonly text: string;
  /** The number of a name, which stands low. */
  readonly low?: string;
}

const words = new Set([
  "sin",
  "cos",
  "tan",
  "asin",
  "acos",
  "atan",
  "exp",
  "ln",
  "whole",
  "up",
  "min",
  "max",
  "Σ",
  "Π",

  "π",
]);
const piece = /\^\(([^()]*)\)|\^(-?[\p{L}\d.]+)|(\p{L}+)(\d*)|[^\p{L}^]+/gu;

const asInBooks = (formula: string): string =>
  formula
    .replace(/count\((\p{L}+)\)/gu, "(number of $1)")
    .replaceAll("sum(", "Σ(")
    .replaceAll("product(", "Π(");

/** A formula in the notation of a working, in pieces that are printed each in its own way. */
export const formulaPieces = (formula: string): Piece[] =>
  [...asInBooks(formula).matchAll(piece)].map(([all, bracketed, power, name, low]): Piece => {
    if (bracketed ?? power) return { kind: "power", text: (bracketed ?? power)! };
    if (name && !words.has(name)) return { kind: "name", text: name, ...(low && { low }) };
    return { kind: "plain", text: all };
  });
