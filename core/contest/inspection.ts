import Decimal from "decimal.js";
import { type Limit, marginOf, type Observation } from "../needs/requirement";
import { compareEnvelope } from "../quantity/envelope";
import type { Verdict } from "../vocabulary/needs";

/**
 * How far what was measured at an inspection lies inside its limit, SI text; negative outside; of an envelope the side
 * that has the least room; null for what has no margin (a word, a limit without a number).
 * @param limit the limit, numbers in SI
 * @param seen what was measured
 * @example
 * inspectionMargin(
 *   { comparator: "≤", target: "5", second: null, sides: null, unit: "kg" },
 *   { kind: "value", value: "4.62", U: 0 },
 * )
 * // => "0.38"
 * @example
 * inspectionMargin(
 *   { comparator: "fits", target: null, second: null, sides: ["0.6", "0.4", "0.4"], unit: "mm" },
 *   { kind: "sides", sides: ["0.38", "0.59", "0.41"] },
 * )
 * // => "-0.01"
 */
export function inspectionMargin(limit: Limit, seen: Observation): string | null {
  if (seen.kind === "finding") return null;
  if (seen.kind === "value") return marginOf(limit, seen.value)?.toString() ?? null;
  return Decimal.min(...compareEnvelope(seen.sides, limit.sides ?? []).map((s) => s.margin)).toString();
}

/** One line of an inspection as far as passing goes. */
export interface InspectedLine {
  readonly label: string;
  readonly must: boolean;
  /** Untested: it was not looked at. */
  readonly verdict: Verdict;
}

/**
 * What stands between a build and passing its inspection: musts that it does not keep, and musts that nobody looked at.
 * Both empty, it passes; else it passes with a reason only. What is no must is recorded and holds nobody up.
 * @example
 * passes([
 *   { label: "mass", must: true, verdict: "not met" },
 *   { label: "no leak", must: true, verdict: "untested" },
 *   { label: "colour", must: false, verdict: "not met" },
 * ])
 * // => { over: ["mass"], missing: ["no leak"] }
 */
export function passes(lines: readonly InspectedLine[]): { over: string[]; missing: string[] } {
  const musts = (verdict: (v: Verdict) => boolean) => lines.filter((l) => l.must && verdict(l.verdict));
  return {
    over: musts((v) => v === "not met" || v === "marginal").map((l) => l.label),
    missing: musts((v) => v === "untested" || v === "stale").map((l) => l.label),
  };
}
