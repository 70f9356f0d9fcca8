import Decimal from "decimal.js";
import { addDays, daysBetween } from "../sessions/date";

/** A build's mass, cost or largest side on the day it was made, SI. */
export interface Weighed {
  readonly name: string;
  readonly on: string;
  readonly value: string;
}

export interface Trend {
  /** Change a day over the generations, in SI; least squares over the days. */
  readonly perDay: number;
  /** Where the trend is on the day of the event. */
  readonly forecast: number;
  /** Limit less the newest value: what is left. */
  readonly margin: string;
  /** The first day on which the trend is over the limit, if before the event. */
  readonly crosses: string | null;
}

/**
 * Where a mass or a cost is going: the straight line through the generations (least squares over their days), its value
 * on the day of the event, and what is left to the limit. Null with fewer than two builds of different days.
 * @param values generations, oldest first
 * @param limit the most that is allowed, SI
 * @param event the day of the event, `YYYY-MM-DD`
 * @example
 * trendOf(
 *   [
 *     { name: "G1", on: "2027-02-01", value: "4" },
 *     { name: "G2", on: "2027-02-11", value: "4.5" },
 *   ],
 *   "5",
 *   "2027-03-01",
 * )
 * // => { perDay: 0.05, forecast: 5.4, margin: "0.5", crosses: "2027-02-22" }
 */
export function trendOf(values: readonly Weighed[], limit: string, event: string): Trend | null {
  const first = values[0];
  const last = values.at(-1);
  if (!first || !last || new Set(values.map((v) => v.on)).size < 2) return null;
  const x = values.map((v) => daysBetween(first.on, v.on));
  const y = values.map((v) => Number(v.value));
  const mean = (list: readonly number[]) => list.reduce((a, b) => a + b, 0) / list.length;
  const [mx, my] = [mean(x), mean(y)];
  const perDay = x.reduce((s, v, i) => s + (v - mx) * (y[i]! - my), 0) / x.reduce((s, v) => s + (v - mx) ** 2, 0);
  const clean = (v: number) => Number(v.toPrecision(12));
  // The newest build is where the thing stands now; from there it goes on as it went so far.
  const ahead = Math.max(0, daysBetween(last.on, event));
  const forecast = clean(Number(last.value) + perDay * ahead);
  const left = Number(limit) - Number(last.value);
  const days = perDay > 0 ? Math.floor(clean(left / perDay)) + 1 : null;
  return {
    perDay: clean(perDay),
    forecast,
    margin: new Decimal(limit).minus(last.value).toString(),
    crosses: left < 0 ? last.on : days !== null && days <= ahead ? addDays(last.on, days) : null,
  };
}
