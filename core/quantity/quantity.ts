import Decimal from "decimal.js";
import { nameDimension, sameDimension } from "./dimension";
import { parseUnit, type Unit, unitsLike } from "./units";

/** A number with its unit: stored in SI as an exact decimal text, shown in the unit in which it was written. */
export interface Quantity {
  readonly si: string;
  readonly unit: string;
  /** SI value of the last digit that was written. */
  readonly resolution: string;
}

export type Parsed = { ok: true; quantity: Quantity } | { ok: false; message: string };

const number = String.raw`[+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+)(?:e[+-]?\d+)?`;
const term = new RegExp(String.raw`^\s*(${number})\s*([^\d\s+-][^\d]*?|)\s*(?=$|[+-]?\d|[.,]\d)`, "i");

function decimals(text: string): number {
  const [mantissa = "", exponent] = text.toLowerCase().split("e");
  return (mantissa.split(".")[1]?.length ?? 0) - Number(exponent ?? 0);
}

/** Decimal comma is read as a decimal mark; a comma that groups thousands is refused because it can mean either. */
function readNumber(text: string): string | null {
  if (/^[+-]?\d{1,3}(,\d{3})+$/.test(text)) return null;
  return text.replace(",", ".");
}

/**
 * Reads a quantity as people write it: `4.2 L`, `3 ft 6 in`, `1:20.4` (min:s), `5 lb`, `45°`. A bare number takes the
 * field's unit.
 * The text's unit must have the field's dimension. Fails with a message that says what was wrong and what would be
 * right.
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
  if (!field) return { ok: false, message: `“${fieldUnit}” is not a known unit.` };
  const input = text.trim().replace(/\u2212/g, "-");
  if (input === "") return { ok: false, message: `Write a number, for example 4.2 ${fieldUnit}.` };
  const clock = /^(\d+):([0-5]?\d(?:[.,]\d+)?)(?::([0-5]?\d(?:[.,]\d+)?))?$/.exec(input);
  if (clock) {
    if (!sameDimension(field.dimension, { T: 1 }))
      return {
        ok: false,
        message:
          `“${input}” reads as a time; this field takes ${nameDimension(field.dimension)}, for example in ` +
          `${fieldUnit}.`,
      };
    const [a, b, c] = clock.slice(1).map((x) => (x === undefined ? undefined : x.replace(",", "."))) as [
      string,
      string,
      string | undefined,
    ];
    const si =
      c === undefined
        ? new Decimal(a).times(60).plus(b)
        : new Decimal(a).times(3600).plus(new Decimal(b).times(60)).plus(c);
    return {
      ok: true,
      quantity: { si: si.toString(), unit: "s", resolution: new Decimal(10).pow(-decimals(c ?? b)).toString() },
    };
  }
  let rest = input;
  let si = new Decimal(0);
  let unit: Unit | null = null;
  let resolution = new Decimal(0);
  let first = true;
  while (rest !== "") {
    const match = term.exec(rest);
    if (!match)
      return { ok: false, message: `“${input}” is not a number with a unit. Write it like 4.2 ${fieldUnit}.` };
    const value = readNumber(match[1]!);
    if (value === null)
      return {
        ok: false,
        message:
          `“${match[1]}” can be read two ways. Write ${match[1]!.replaceAll(",", "")} or ` +
          `${match[1]!.replace(",", ".")}.`,
      };
    const symbol = match[2]!.trim();
    const next: Unit | null = symbol === "" ? field : parseUnit(symbol);
    if (!next)
      return {
        ok: false,
        message:
          `“${symbol}” is not a unit known here. This field takes ` +
          `${unitsLike(field.dimension).slice(0, 5).join(", ") || fieldUnit}.`,
      };
    if (!sameDimension(next.dimension, field.dimension))
      return {
        ok: false,
        message:
          `“${symbol}” is ${nameDimension(next.dimension)}; this field takes ` +
          `${nameDimension(field.dimension)}, for example in ${fieldUnit}.`,
      };
    if (!first && (symbol === "" || unit!.factor.lte(next.factor)))
      return { ok: false, message: `“${input}” is not a number with a unit. Write it like 4.2 ${fieldUnit}.` };
    const amount = new Decimal(value);
    const negative = !first && si.isNegative();
    const add = amount.times(next.factor).plus(first ? next.offset : 0);
    si = negative ? si.minus(add) : si.plus(add);
    unit ??= next;
    resolution = next.factor.times(new Decimal(10).pow(-decimals(value)));
    rest = rest.slice(match[0].length).trim();
    first = false;
  }
  return {
    ok: true,
    quantity: {
      si: si.toSignificantDigits(18).toString(),
      unit: unit!.text,
      resolution: resolution.toSignificantDigits(18).toString(),
    },
  };
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
 * A number for people: fixed decimals, or as many as a value of its size needs, and a true minus sign.
 * @example formatNumber(-0.7454, 2) // => "−0.75"
 * @example formatNumber(135.0312) // => "135.0"
 */
export function formatNumber(value: Decimal.Value, digits?: number): string {
  const v = new Decimal(value);
  const places = digits ?? (v.isZero() ? 0 : Math.max(0, 3 - Math.floor(v.abs().log(10).toNumber())));
  const text = v.toFixed(Math.min(places, 8));
  return (/^-0(\.0*)?$/.test(text) ? text.slice(1) : text).replace("-", "−");
}

/**
 * An SI value as text in a unit, without the unit.
 * @example formatSi("0.0001436667", "L/min", 2) // => "8.62"
 */
export function formatSi(si: Decimal.Value, unit: string, digits?: number): string {
  return formatNumber(fromSi(si, unit), digits);
}
