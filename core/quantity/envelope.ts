import Decimal from "decimal.js";

export interface EnvelopeSide {
  readonly limit: string;
  readonly side: string;
  /** Limit minus side, SI; negative when the side is too long. */
  readonly margin: string;
}

/**
 * How a body's sides lie in an envelope. Sorted sides are compared unless the rule fixes the orientation. SI lengths,
 * as many sides as limits.
 * @example
 * compareEnvelope(["0.38", "0.59", "0.4"], ["0.6", "0.4", "0.4"]).map((s) => s.margin)
 * // => ["0.01", "0", "0.02"]
 * @example compareEnvelope(["0.38", "0.59"], ["0.6", "0.4"], true).map((s) => s.margin) // => ["0.22", "-0.19"]
 */
export function compareEnvelope(sides: readonly string[], limits: readonly string[], oriented = false): EnvelopeSide[] {
  if (sides.length !== limits.length)
    throw new RangeError(`${sides.length} sides cannot be compared with ${limits.length} limits`);
  const sorted = (list: readonly string[]) => (oriented ? [...list] : [...list].sort((a, b) => new Decimal(b).cmp(a)));
  const s = sorted(sides);
  return sorted(limits).map((limit, i) => ({ limit, side: s[i]!, margin: new Decimal(limit).minus(s[i]!).toString() }));
}
