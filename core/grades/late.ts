import Decimal from "decimal.js";
import { equation } from "../working/equation";

/** What is taken off for what comes late. */
export interface LateRule {
  /** Percent of the component, for each class session late. */
  readonly perSession: string;
  /** Class sessions for which nothing is taken off. */
  readonly grace: number;
  /** Percent below which lateness takes nobody. */
  readonly floor: string;
}

const isPercent = (text: string) => /^\d+(\.\d+)?$/.test(text) && Number(text) <= 100;

/**
 * What is wrong with a late rule, in words; empty when it can be used.
 * @example checkLateRule({ perSession: "0", grace: 0, floor: "0" })
 * // => ["What is taken off a class session late is a percent above zero."]
 */
export function checkLateRule(rule: LateRule): string[] {
  return [
    ...(isPercent(rule.perSession) && Number(rule.perSession) > 0
      ? []
      : ["What is taken off a class session late is a percent above zero."]),
    ...(Number.isInteger(rule.grace) && rule.grace >= 0 ? [] : ["The grace is a whole number of class sessions."]),
    ...(isPercent(rule.floor) ? [] : ["The floor of what is late is a percent from 0 to 100."]),
  ];
}

/**
 * A share (0 to 1.2) after what is taken off for lateness: so much for each class session beyond the grace, never below
 * the floor, and never above what was earned.
 * @param sessions class sessions late, of the student's own section, extensions taken off
 * @example afterLate("0.9", 3, { perSession: "10", grace: 1, floor: "50" })
 * // => { share: "0.7", step: "3 class sessions late, 1 of grace: 90 − 2 × 10 = 70 %" }
 * @example afterLate("0.4", 2, { perSession: "10", grace: 0, floor: "50" }).share // => "0.4"
 */
export function afterLate(share: string, sessions: number, rule: LateRule): { share: string; step: string } {
  const counted = Math.max(0, sessions - rule.grace);
  const earned = new Decimal(share).times(100);
  const count = `${sessions} class session${sessions === 1 ? "" : "s"} late`;
  const grace = rule.grace ? `, ${rule.grace} of grace` : "";
  if (!counted) return { share, step: `${count}${grace}: nothing is taken off` };
  const taken = earned.minus(new Decimal(rule.perSession).times(counted));
  const left = Decimal.min(earned, Decimal.max(taken, rule.floor));
  const line = equation(
    [{ of: earned }, ` − ${counted} × ${rule.perSession}`],
    taken.toDecimalPlaces(4, Decimal.ROUND_HALF_UP).toFixed().replace("-", "−"),
    "%",
  );
  const kept = left.eq(taken)
    ? ""
    : left.eq(earned)
      ? ", but what was earned lies below the floor and stays"
      : `, but not below ${rule.floor} %`;
  return { share: left.div(100).toString(), step: `${count}${grace}: ${line}${kept}` };
}
