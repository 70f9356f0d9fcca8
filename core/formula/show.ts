import { formatNumber } from "../quantity/quantity";
import { equation } from "../working/equation";

/**
 * The names that stand in a formula, each once, functions included.
 * @example symbolsIn("m / (rho * t)") // => ["m", "rho", "t"]
 */
export function symbolsIn(expression: string): string[] {
  return [...new Set(expression.match(/[A-Za-z][A-Za-z0-9_]*/g) ?? [])];
}

/**
 * A formula as people write it: × and ÷ for * and /.
 * @example showFormula("rho * g * V / t") // => "rho × g × V ÷ t"
 */
export function showFormula(expression: string): string {
  return expression.replace(/\s*\*\s*/g, " × ").replace(/\s*\/\s*/g, " ÷ ");
}

/** What is said of a value of which a simulation has told how far off it may be. */
export interface Uncertain {
  readonly U: number;
  /** Decimals that a value beside it takes; negative where tens or hundreds are rounded. */
  readonly digits: number;
}

/**
 * An expanded uncertainty U = 2u rounded to two significant digits, and how many decimals a value beside it takes:
 * negative ones round tens and hundreds. Of no uncertainty, 0 and two decimals.
 * @example expandUncertainty(0.453) // => { U: 0.91, digits: 2 }
 * @example expandUncertainty(0.498) // => { U: 1, digits: 1 }
 * @example expandUncertainty(60) // => { U: 120, digits: -1 }
 */
export function expandUncertainty(u: number): Uncertain {
  const U = Number((2 * u).toPrecision(2));
  if (!(U > 0)) return { U: 0, digits: 2 };
  if (!Number.isFinite(U)) return { U, digits: 2 };
  return { U, digits: Math.min(8, 1 - Math.floor(Math.log10(U) + 1e-9)) };
}

/**
 * A value with its expanded uncertainty, as text.
 * @example showUncertain(26.476, 0.453) // => "26.48 ± 0.91"
 * @example showUncertain(1234, 60) // => "1230 ± 120"
 */
export function showUncertain(value: number, u: number): string {
  const { U, digits } = expandUncertainty(u);
  return U > 0 ? `${formatNumber(value, digits)} ± ${formatNumber(U, digits)}` : formatNumber(value);
}

/**
 * The line in which an SI value becomes one in a unit: as it is shown, or with its uncertainty.
 * @param factor SI per unit
 * @example inUnit(0.0001, 1 / 60000, "6.0", "L/min") // => "0.0001 × 60000 = 6.0 L/min"
 * @example inUnit(0.05, 1, { value: 0.05, U: 0.01, digits: 2 }, "kg") // => "0.05 = 0.05 ± 0.01 kg"
 */
export function inUnit(
  si: number,
  factor: number,
  result: string | (Uncertain & { value: number }),
  unit: string,
): string {
  const times = Math.round(1 / factor);
  const per =
    factor === 1
      ? ""
      : times > 1 && Math.abs(times * factor - 1) < 1e-12
        ? ` × ${times}`
        : ` ÷ ${Number(factor.toPrecision(12))}`;
  const left = [{ of: si, digits: 4 }, per];
  if (typeof result === "string") return equation(left, result, unit);
  const { value, U, digits } = result;
  const known = `± ${formatNumber(U, digits)} ${unit}`;
  // Where tens or hundreds are rounded, the rounding is a step of its own.
  return digits < 0
    ? `${equation(left, formatNumber(value, 0))}, rounded ${formatNumber(value, digits)} ${known}`
    : equation(left, formatNumber(value, digits), known);
}
