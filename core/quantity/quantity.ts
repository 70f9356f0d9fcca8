import Decimal from "decimal.js";
import { nameDimension, sameDimension } from "./dimension";
import { decimals, numberAt } from "./number";
import { fullTurn, parseUnit, type Unit, unitsLike } from "./units";

/** A number with its unit: stored in SI as an exact decimal text, shown in the unit in which it was written. */
export interface Quantity {
  readonly si: string;
  readonly unit: string;
  /** SI value of the last digit that was written. */
  readonly resolution: string;
}

export type Parsed = { ok: true; quantity: Quantity } | { ok: false; message: string };

const atom = String.raw`(?:[\p{L}°%Ω]+|["″']|′)(?:[²³]|\^-?\d+)?`;
const unitForm = new RegExp(String.raw`^(?:1\/)?${atom}(?:(?:\s*[·*/]\s*|-(?=\p{L})|\s+(?=\p{L}))${atom})*`, "u");
const money = /^([+-]?)\s*[$€£¥]\s*|\s*[$€£¥]$/g;

/** What a field's quantity looks like, for messages. */
const sample = (unit: string) => (unit === "" || unit === "1" || unit === "money" ? "4.2" : `4.2 ${unit}`);

const fail = (message: string): { ok: false; message: string } => ({ ok: false, message });

/** Beyond these nothing is measured, and figures would lose their meaning. */
const largest = new Decimal("1e15");
const smallest = new Decimal("1e-18");

function bounded(input: string, si: Decimal, unit: string, resolution: Decimal): Parsed {
  if (si.abs().gt(largest) || (!si.isZero() && si.abs().lt(smallest)))
    return fail(
      `“${input}” is ${si.abs().gt(1) ? "larger" : "smaller"} than anything that is measured here. Look at its digits.`,
    );
  return {
    ok: true,
    quantity: {
      si: si.toSignificantDigits(18).toString(),
      unit,
      resolution: resolution.toSignificantDigits(18).toString(),
    },
  };
}

function readClock(input: string, field: Unit, fieldUnit: string): Parsed | null {
  if (!/^\d+:/.test(input)) return null;
  const clock = /^(\d+):([0-5]?\d)(?::([0-5]?\d))?([.,]\d+)?$/.exec(input);
  if (!clock || clock[1]!.length > 6)
    return fail(
      `“${input}” is not a time. Write minutes and seconds like 1:20.4, or hours like 1:02:03; both go to 59.`,
    );
  if (!sameDimension(field.dimension, { T: 1 }))
    return fail(
      `“${input}” reads as a time; this field takes ${nameDimension(field.dimension)}, for example in ${fieldUnit}.`,
    );
  const [, a, b, c, rest = ""] = clock;
  const part = rest.replace(",", ".");
  const si =
    c === undefined
      ? new Decimal(a!).times(60).plus(b! + part)
      : new Decimal(a!)
          .times(3600)
          .plus(new Decimal(b!).times(60))
          .plus(c + part);
  return bounded(input, si, "s", decimals(`0${part}`));
}

/**
 * Reads a quantity as people write it: `4.2 L`, `3 ft 6 in`, `5'-6"`, `12 3/8 in`, `1:20.4` (min:s), `5 lb`, `45°`,
 * `1 500 mm`, `$35`. A bare number takes the field's unit.
 * The text's unit must have the field's dimension; turns and angles are converted into each other. What is not
 * understood whole is refused, with a message that says what was wrong and what would be right.
 * @example
 * parseQuantity("3 ft 6 in", "m")
 * // => { ok: true, quantity: { si: "1.0668", unit: "ft", resolution: "0.0254" } }
 * @example parseQuantity("1:20.4", "s") // => { ok: true, quantity: { si: "80.4", unit: "s", resolution: "0.1" } }
 * @example
 * parseQuantity("5 L", "kg")
 * // => { ok: false, message: "“L” is a volume; this field takes a mass, for example in kg." }
 */
export function parseQuantity(text: string, fieldUnit: string): Parsed {
  const field = parseUnit(fieldUnit);
  if (!field) return fail(`“${fieldUnit}” is not a known unit.`);
  const input = text.trim().replace(/[\u2212\u2013]/g, "-");
  if (input === "") return fail(`Write a number, for example ${sample(fieldUnit)}.`);
  if (input.length > 60) return fail("This is too long for a number with its unit: at most 60 characters.");
  const clock = readClock(input, field, fieldUnit);
  if (clock) return clock;
  const plain = sameDimension(field.dimension, {}) || sameDimension(field.dimension, { money: 1 });
  const notRead = fail(`“${input}” cannot be read as a number with a unit. Write it like ${sample(fieldUnit)}.`);
  let rest = (plain ? input.replaceAll(money, "$1") : input).replace(/^[+-]\s*/, "");
  const negative = /^\s*-/.test(input);
  let si = new Decimal(0);
  let before: Unit | null = null;
  let unit: Unit | null = null;
  let resolution = new Decimal(0);
  while (rest !== "") {
    const read = numberAt(rest);
    if (!read) return notRead;
    if ("twoWays" in read)
      return fail(
        `“${read.twoWays}” can be read two ways. Write ${read.twoWays.replaceAll(",", "")} or ` +
          `${read.twoWays.replace(",", ".")}.`,
      );
    rest = rest.slice(read.taken.length).trimStart();
    const symbol = unitForm.exec(rest)?.[0] ?? "";
    rest = rest.slice(symbol.length).trimStart();
    const next = symbol === "" ? field : parseUnit(symbol);
    if (!next)
      return fail(
        `“${symbol}” is not a unit known here. This field takes ` +
          `${unitsLike(field.dimension).slice(0, 6).join(", ") || fieldUnit}.`,
      );
    if (!sameDimension(next.dimension, field.dimension))
      return fail(
        `“${symbol}” is ${nameDimension(next.dimension)}; this field takes ${nameDimension(field.dimension)}` +
          `${plain ? "" : `, for example in ${fieldUnit}`}.`,
      );
    if (before) {
      if (symbol === "") return fail(`“${input}”: the last number has no unit. Write all of them, like 3 ft 6 in.`);
      if (before.factor.lte(next.factor) || !before.offset.isZero() || !next.offset.isZero()) return notRead;
    }
    const factor = next.factor.times(turned(next, field));
    const value = negative ? read.number.value.neg() : read.number.value;
    si = si.plus(value.times(factor)).plus(next.offset);
    unit ??= next;
    before = next;
    resolution = factor.times(read.number.step);
    // Feet and inches are also written with a dash between: 5'-6".
    if (/^(ft|foot|feet|['′])$/.test(symbol)) rest = rest.replace(/^-\s*/, "");
    if (symbol === "" && rest !== "") return notRead;
  }
  if (!unit) return notRead;
  return bounded(input, si, unit.text, resolution);
}

/** What turns count in the field's angles, or angles in its turns: 2π to the power of how often they occur. */
function turned(from: Unit, field: Unit): Decimal {
  if (from.turns && field.radians) return fullTurn.pow(from.turns);
  if (from.radians && field.turns) return fullTurn.pow(-from.radians);
  return new Decimal(1);
}

/**
 * An SI value in another unit, exact to 18 digits. Throws when the unit is unknown.
 * @example fromSi("0.254", "in").toString() // => "10"
 * @example fromSi("293.15", "°C").toString() // => "20"
 */
export function fromSi(si: Decimal.Value, unit: string): Decimal {
  const u = knownUnit(unit);
  return new Decimal(si).minus(u.offset).div(u.factor).toSignificantDigits(18);
}

/**
 * The SI value of a number in a unit, exact to 18 digits. Throws when the unit is unknown.
 * @example toSi("10", "in").toString() // => "0.254"
 */
export function toSi(value: Decimal.Value, unit: string): Decimal {
  const u = knownUnit(unit);
  return new Decimal(value).times(u.factor).plus(u.offset).toSignificantDigits(18);
}

/**
 * A difference or resolution in SI: as toSi, without the zero offset of temperatures.
 * @example spanToSi("2", "°C").toString() // => "2"
 */
export function spanToSi(value: Decimal.Value, unit: string): Decimal {
  return new Decimal(value).times(knownUnit(unit).factor).toSignificantDigits(18);
}

/**
 * The unit a text names; throws when it is unknown, for units that were checked when they were entered.
 * @example knownUnit("kg").factor.toString() // => "1"
 */
export function knownUnit(unit: string): Unit {
  const u = parseUnit(unit);
  if (!u) throw new Error(`“${unit}” is not a known unit`);
  return u;
}

/**
 * Digits after the decimal mark that a resolution in the same unit asks for.
 * @example decimalsFor("0.05") // => 2
 */
export function decimalsFor(resolution: Decimal.Value | undefined): number {
  if (resolution === undefined) return 2;
  return new Decimal(resolution).decimalPlaces();
}

/**
 * A number for people: fixed decimals (negative ones round tens and hundreds), or as many as a value of its size
 * needs, and a true minus sign.
 * @example formatNumber(-0.7454, 2) // => "−0.75"
 * @example formatNumber(135.0312) // => "135.0"
 * @example formatNumber(1234, -1) // => "1230"
 */
export function formatNumber(value: Decimal.Value, digits?: number): string {
  const v = new Decimal(value);
  if (!v.isFinite()) return v.isNaN() ? "–" : v.isNegative() ? "−∞" : "∞";
  const places = digits ?? (v.isZero() ? 0 : Math.max(0, 3 - Math.floor(v.abs().log(10).toNumber())));
  const text = places < 0 ? v.toNearest(new Decimal(10).pow(-places)).toFixed(0) : v.toFixed(Math.min(places, 8));
  return (/^-0(\.0*)?$/.test(text) ? text.slice(1) : text).replace("-", "−");
}

/**
 * An SI value as text in a unit, without the unit.
 * @example formatSi("0.0001436667", "L/min", 2) // => "8.62"
 */
export function formatSi(si: Decimal.Value, unit: string, digits?: number): string {
  return formatNumber(fromSi(si, unit), digits);
}
