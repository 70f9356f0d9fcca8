import type { UnitSystem } from "../vocabulary/project";
import { formatNumber, fromSi } from "./quantity";

/** The units of a project: what a mass and a side are shown in, and what a bare number means. */
export interface ProjectUnits {
  readonly mass: "kg" | "lb";
  readonly side: "mm" | "in";
}

/**
 * The units of a system.
 * @example unitsOf("us") // => { mass: "lb", side: "in" }
 */
export function unitsOf(system: UnitSystem): ProjectUnits {
  return { metric: { mass: "kg", side: "mm" } as const, us: { mass: "lb", side: "in" } as const }[system];
}

/**
 * A side or another length of a part, SI, in the project's unit: whole millimetres, inches to a hundredth.
 * @example showSide("0.4572", unitsOf("us")) // => "18"
 * @example showSide("0.3619", unitsOf("us")) // => "14.25"
 * @example showSide("0.3619", unitsOf("metric")) // => "362"
 */
export function showSide(si: string | number, units: ProjectUnits): string {
  const value = fromSi(String(si), units.side);
  return formatNumber(value, units.side === "mm" ? 0 : Math.min(2, value.toDecimalPlaces(2).decimalPlaces()));
}

/**
 * Three sides, SI, in the project's unit, without it.
 * @example showSides(["0.4572", "0.3048", "0.3556"], unitsOf("us")) // => "18 × 12 × 14"
 */
export function showSides(sides: readonly (string | number)[], units: ProjectUnits): string {
  return sides.map((s) => showSide(s, units)).join(" × ");
}
