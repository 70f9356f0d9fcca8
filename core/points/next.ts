import Decimal from "decimal.js";
import type { PointsRule } from "./rule";

/**
 * What would have earned more by a rule, in words; null where nothing more can be earned, or where more comes by little
 * and little. The value is in the rule's unit.
 * @example
 * nextStep(
 *   { kind: "bands", better: "more", bands: [{ at: "9", points: "100" }, { at: "8", points: "95" }], otherwise: "0" },
 *   "8.4",
 *   "L/min",
 * )
 * // => "9 L/min would have earned 100 points"
 * @example nextStep({ kind: "pass", points: "10", comparator: "≤", limit: "5" }, "5.2", "kg")
 * // => "≤ 5 kg would have earned 10 points"
 */
export function nextStep(rule: PointsRule, value: string, unit: string): string | null {
  const told = (at: string, points: string) => `${at}${unit && ` ${unit}`} would have earned ${points} points`;
  switch (rule.kind) {
    case "bands": {
      const more = rule.better === "more";
      const missed = rule.bands.filter((b) => (more ? new Decimal(value).lt(b.at) : new Decimal(value).gt(b.at)));
      const next = missed.toSorted((a, b) => (more ? Number(a.at) - Number(b.at) : Number(b.at) - Number(a.at)))[0];
      return next ? told(next.at, next.points) : null;
    }
    case "line": {
      const sorted = rule.anchors.toSorted((a, b) => Number(a.at) - Number(b.at));
      const rising = Number(sorted.at(-1)!.points) >= Number(sorted[0]!.points);
      const next = rising
        ? sorted.find((a) => new Decimal(value).lt(a.at))
        : sorted.toReversed().find((a) => new Decimal(value).gt(a.at));
      return next ? told(next.at, next.points) : null;
    }
    case "pass": {
      const limit = new Decimal(rule.limit);
      const inside = rule.comparator === "≤" ? limit.gte(value) : limit.lte(value);
      return inside ? null : told(`${rule.comparator} ${rule.limit}`, rule.points);
    }
    case "levels": {
      if (rule.none === undefined) return null;
      const next = rule.levels[Math.max(0, Math.floor(Number(value)))];
      return next ? `the next rung, ${next.name}, would have earned ${next.points} points` : null;
    }
    default:
      return null;
  }
}
