import Decimal from "decimal.js";
import { redo } from "./redo";

/** A number in a line of arithmetic: shown with as few decimals as do, at least these. */
export interface Shown {
  readonly of: Decimal.Value;
  readonly digits?: number;
}

/** Operators and brackets as they stand, and numbers. */
export type Part = string | Shown;

const text = ({ of, digits = 2 }: Shown, more: number, first: boolean): string => {
  const fixed = new Decimal(of).toDecimalPlaces(digits + more, Decimal.ROUND_HALF_UP).toFixed();
  return fixed.startsWith("-") ? (first ? fixed.replace("-", "−") : `(${fixed.replace("-", "−")})`) : fixed;
};

/**
 * Whether what a line comes to is, rounded half up to the result's last digit, the result.
 * @example reaches("10 ÷ 3", "3.33") // => true
 * @example reaches("0.003 ÷ 1e6", "3.0e-9") // => true
 */
export function reaches(left: string, result: string): boolean {
  const value = redo(left);
  const wanted = redo(result);
  if (value === null || wanted === null) return false;
  const [, decimals = "", power = "0"] = /^[^.e]*(?:\.(\d+))?(?:e([+-]?\d+))?/.exec(result) ?? [];
  const digits = decimals.length - Number(power);
  // Thirds are kept to some digits: what that leaves over must not turn an exact half into a little less.
  if (digits < 0) return value.toNearest(new Decimal(10).pow(-digits), Decimal.ROUND_HALF_UP).eq(wanted);
  return value
    .toDecimalPlaces(digits + 12, Decimal.ROUND_HALF_UP)
    .toDecimalPlaces(digits, Decimal.ROUND_HALF_UP)
    .eq(wanted);
}

/**
 * A line of arithmetic that whoever redoes it from the numbers that it shows finds right to its last digit: the numbers
 * get as many decimals as that takes.
 * @param left operators and numbers, in order
 * @param result as it is shown elsewhere
 * @example equation(["(", { of: 2 }, " + ", { of: 2.5 }, ") ÷ ", { of: 3 }], "1.5") // => "(2 + 2.5) ÷ 3 = 1.5"
 * @example equation([{ of: "0.124" }, " × ", { of: "8.3333333" }], "1.0333") // => "0.124 × 8.333 = 1.0333"
 */
export function equation(left: readonly Part[], result: string, unit = ""): string {
  const shown = (more: number) =>
    left.map((p, i) => (typeof p === "string" ? p : text(p, more, i === 0 || left[i - 1] === "("))).join("");
  let more = 0;
  while (more < 14 && !reaches(shown(more), result)) more++;
  return `${shown(more)} = ${result}${unit && ` ${unit}`}`;
}

/**
 * Numbers with an operator between them, for a line.
 * @example equation(joined([1, 2, 3], " + "), "6") // => "1 + 2 + 3 = 6"
 */
export const joined = (values: readonly Decimal.Value[], operator: string, digits?: number): Part[] =>
  values.flatMap((of, i) => (i ? [operator, { of, digits }] : [{ of, digits }]));
