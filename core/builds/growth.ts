import Decimal from "decimal.js";

/**
 * What a mass or a cost comes to with another step like the last one, if that is over its limit while the newest build
 * is still inside: the time to look for savings. Null otherwise, and with fewer than two builds.
 * @param values of the generations that can be compared, oldest first, SI decimal texts
 * @param limit the most that is allowed, SI
 * @example anotherStep(["3.6", "4.4"], "5") // => "5.2"
 * @example anotherStep(["4.2", "4.6"], "5") // => null
 * @example anotherStep(["4.4", "5.2"], "5") // => null
 */
export function anotherStep(values: readonly string[], limit: string): string | null {
  const [before, last] = values.slice(-2);
  if (before === undefined || last === undefined || new Decimal(last).gt(limit)) return null;
  const next = new Decimal(last).times(2).minus(before);
  return next.gt(limit) ? next.toString() : null;
}
