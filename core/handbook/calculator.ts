import type { HandbookSubject } from "../vocabulary/handbook";
import type { UnitSystem } from "../vocabulary/project";
import type { Truss } from "./truss-text";

/** Something that a calculator is given. */
export interface Entry {
  /** One letter or word, as it stands in the formulas. */
  readonly symbol: string;
  readonly name: string;
  /** The unit that a bare number has, and that the value is shown in. */
  readonly unit: string;
  /** What stands there at first, in this unit. */
  readonly value: string;
  /** Several values of one kind, with commas between. */
  readonly list?: true;
  /** The least and the most that the formula takes, in the unit; without them, more than zero. */
  readonly least?: number;
  readonly most?: number;
}

/** A line of the computation: what it gives, and from what, in SI. */
export interface Step {
  readonly symbol: string;
  readonly name: string;
  /** In the notation of a working; sum( ), product( ) and count( ) go over a list. */
  readonly is: string;
  readonly unit: string;
  /** It is on the way to a result, and none itself. */
  readonly between?: true;
}

/** Where a value is outside of what the formula holds for. */
export interface Bound {
  /** An entry or a step. */
  readonly of: string;
  /** In its unit, or a line of arithmetic in SI. */
  readonly above?: number | string;
  readonly below?: number | string;
  readonly says: string;
  /** It is no result at all: nothing is computed. */
  readonly refuse?: true;
}

/** What every calculator says of itself. */
interface About {
  readonly id: string;
  readonly name: string;
  readonly subject: HandbookSubject;
  /** What it is for, in a sentence. */
  readonly use: string;
  /** What it holds for. */
  readonly valid: string;
  /** Where the formula stands in the standard literature. */
  readonly source: string;
  readonly mistakes: readonly string[];
  /** What to do before somebody gets hurt, where that is near. */
  readonly caution?: string;
}

/** A calculator made of formulas. */
export interface FormulaCalculator extends About {
  readonly kind: "formulas";
  readonly entries: readonly Entry[];
  readonly steps: readonly Step[];
  readonly bounds?: readonly Bound[];
  /** A result drawn over an entry, from and to in the entry's unit. */
  readonly plot?: { readonly over: string; readonly of: string; readonly from: number; readonly to: number };
}

/** A part that is drawn from its corners. */
export interface OutlineCalculator extends About {
  readonly kind: "outline";
  /** As it is typed at first. */
  readonly start: { readonly corners: string; readonly sheet: readonly [string, string]; readonly border: string };
}

/** A plane truss. */
export interface TrussCalculator extends About {
  readonly kind: "truss";
  readonly start: Truss;
}

export type Calculator = FormulaCalculator | OutlineCalculator | TrussCalculator;

const american: Readonly<Record<string, string>> = {
  m: "ft",
  mm: "in",
  cm: "in",
  kg: "lb",
  g: "oz",
  N: "lbf",
  "N/m": "lbf/ft",
  "N/mm": "lbf/in",
  N·m: "lb-ft",
  "m/s": "ft/s",
  "m/s²": "ft/s²",
  "m²": "ft²",
  "cm²": "in²",
  "mm²": "in²",
  "L/min": "gpm",
  L: "gal",
  mL: "floz",
  MPa: "psi",
  kPa: "psi",
  "°C": "°F",
};

/**
 * The unit that people of a system write instead of a metric one; the same where they use it too.
 * @example unitIn("mm", "us") // => "in"
 * @example unitIn("W", "us") // => "W"
 */
export const unitIn = (unit: string, system: UnitSystem): string =>
  system === "us" && Object.hasOwn(american, unit) ? american[unit]! : unit;
