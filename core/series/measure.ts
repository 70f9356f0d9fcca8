import Decimal from "decimal.js";
import { type Dimension, multiplyDimensions, nameDimension, sameDimension } from "../quantity/dimension";
import { spanToSi, toSi } from "../quantity/quantity";
import { parseUnit } from "../quantity/units";
import type { CrossingWay, ReadingKind, TakeRule } from "../vocabulary/runs";
import type { Taking } from "./take";

/** What a protocol takes from a series instead of having it read by eye; numbers are decimal texts. */
export interface Take {
  readonly rule: TakeRule;
  /** The unit in which the instrument writes. */
  readonly unit: string;
  /** The instrument's channel; left out, the first that comes in a unit of the same kind. */
  readonly channel?: string;
  /** Seconds, of the mean of the steadiest stretch; or how long a crossing has to last. */
  readonly stretch?: string;
  /** In the instrument's unit, of a crossing or a time beyond. */
  readonly level?: string;
  readonly way?: CrossingWay;
  /** In the instrument's unit: what a curve that ends before the crossing tends to, so that it can be extrapolated. */
  readonly towards?: string;
}

/** A second, as a dimension. */
const second: Dimension = { T: 1 };

/** The dimension of what a rule gives. */
function dimensionOf(rule: TakeRule, unit: Dimension): Dimension {
  switch (rule) {
    case "peak":
    case "low":
    case "mean":
      return unit;
    case "crossing":
    case "beyond":
      return second;
    case "integral":
      return multiplyDimensions(unit, second);
  }
}

/**
 * What is wrong with taking a reading from a series, in words; empty when it can be taken.
 * @param measure the reading's name and unit
 * @example checkTake({ name: "Peak force", unit: "N" }, { rule: "peak", unit: "kN" }) // => []
 * @example
 * checkTake({ name: "Energy", unit: "J" }, { rule: "peak", unit: "W" })
 * // => ["Energy: the highest sample of a series in W is a power, but an energy is declared (J)."]
 */
export function checkTake(
  measure: { readonly name: string; readonly unit: string; readonly kind?: ReadingKind },
  take: Take,
): string[] {
  if (measure.kind === "level" || measure.kind === "yes-no")
    return [`${measure.name}: only a number or a count is taken from a series.`];
  const unit = parseUnit(take.unit);
  if (!unit) return [`${measure.name}: “${take.unit}” is not a known unit of an instrument.`];
  const problems: string[] = [];
  if (measure.kind === "count" && take.rule !== "peak" && take.rule !== "low")
    problems.push(`${measure.name}: a count is taken as the highest or the lowest sample, nothing else is whole.`);
  if (take.channel && !/^[\p{L}][\p{L}\d_-]{0,29}$/u.test(take.channel))
    problems.push(`${measure.name}: a channel's name is one word, for example force.`);
  const number = (text: string | undefined) => text !== undefined && /^-?\d+(\.\d+)?$/.test(text);
  if (take.rule === "mean" && !(number(take.stretch) && Number(take.stretch) > 0))
    problems.push(`${measure.name}: say how long the steadiest stretch is, in seconds, for example 5.`);
  if (take.rule === "crossing" && take.stretch && !(number(take.stretch) && Number(take.stretch) >= 0))
    problems.push(`${measure.name}: “${take.stretch}” is no number of seconds for a crossing to last.`);
  if (take.rule === "crossing" && take.towards && !number(take.towards))
    problems.push(`${measure.name}: “${take.towards}” is no value in ${take.unit} for the curve to tend to.`);
  if ((take.rule === "crossing" || take.rule === "beyond") && !number(take.level))
    problems.push(`${measure.name}: say which level is passed, in ${take.unit}.`);
  const wanted = parseUnit(measure.unit)?.dimension;
  const given = dimensionOf(take.rule, unit.dimension);
  if (wanted && !sameDimension(wanted, given))
    problems.push(
      `${measure.name}: ${words[take.rule]} of a series in ${take.unit} is ${nameDimension(given)}, ` +
        `but ${nameDimension(wanted)} is declared (${measure.unit}).`,
    );
  return problems;
}

const words: Record<TakeRule, string> = {
  peak: "the highest sample",
  low: "the lowest sample",
  mean: "the mean",
  crossing: "the time of a crossing",
  beyond: "the time beyond a level",
  integral: "the area under the curve",
};

/**
 * The rule with its numbers read.
 * @example takingOf({ rule: "crossing", unit: "°C", level: "8", way: "up" }).level // => 8
 */
export const takingOf = (take: Take): Taking => ({
  rule: take.rule,
  stretch: take.stretch ? Number(take.stretch) : undefined,
  level: take.level ? Number(take.level) : undefined,
  way: take.way ?? "up",
  towards: take.towards ? Number(take.towards) : undefined,
});

/**
 * A taken value in SI, as decimal text: seconds stay seconds, an area is multiplied out.
 * @example takenSi({ rule: "peak", unit: "kN" }, 1.5) // => "1500"
 * @example takenSi({ rule: "integral", unit: "kW" }, 10) // => "10000"
 * @example takenSi({ rule: "crossing", unit: "°C", level: "8" }, 90) // => "90"
 */
export function takenSi(take: Take, value: number): string {
  // What the arithmetic of doubles left over does not count.
  const plain = new Decimal(value.toPrecision(14));
  switch (take.rule) {
    case "crossing":
    case "beyond":
      return plain.toString();
    case "integral":
      return spanToSi(plain, take.unit).toString();
    case "peak":
    case "low":
    case "mean":
      return toSi(plain, take.unit).toString();
  }
}
