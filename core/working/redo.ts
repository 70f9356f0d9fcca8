import Decimal from "decimal.js";
import { type Arithmetic, comesTo, readArithmetic } from "./arithmetic";

const exactly: Arithmetic<Decimal> = {
  number: (text) => new Decimal(text),
  does: {
    "+": (a, b) => a.plus(b),
    "−": (a, b) => a.minus(b),
    "×": (a, b) => a.times(b),
    "÷": (a, b) => a.div(b),
    "^": (a, b) => a.pow(b),
    negative: (a) => a.neg(),
    "%": (a) => a.div(100),
    "√": (a) => a.sqrt(),
    "|": (a) => a.abs(),
    sin: (a) => a.sin(),
    cos: (a) => a.cos(),
    tan: (a) => a.tan(),
    asin: (a) => a.asin(),
    acos: (a) => a.acos(),
    atan: (a) => a.atan(),
    exp: (a) => a.exp(),
    ln: (a) => a.ln(),
    whole: (a) => a.toSignificantDigits(12).floor(),
    up: (a) => a.toSignificantDigits(12).ceil(),
    min: (...of) => Decimal.min(...of),
    max: (...of) => Decimal.max(...of),
  },
};

/**
 * What a line of arithmetic comes to, as people write it: + − × ÷ ^, brackets, √( ), | |, % for hundredths, and
 * functions such as sin( ). Null where it is none.
 * @example redo("(8.6 + 8.9) ÷ 2")?.toString() // => "8.75"
 * @example redo("33 × 66.67 %")?.toString() // => "22.0011"
 * @example redo("−3^2")?.toString() // => "-9"
 * @example redo("best of 3")
 * // => null
 */
export function redo(line: string): Decimal | null {
  const read = readArithmetic(line);
  if (!read) return null;
  try {
    const value = comesTo(read, exactly);
    return value.isFinite() ? value : null;
  } catch (error) {
    if (error instanceof SyntaxError) return null;
    throw error;
  }
}
