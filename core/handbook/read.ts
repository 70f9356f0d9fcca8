import type Decimal from "decimal.js";
import { formatSi, knownUnit, parseQuantity, spanToSi, toSi } from "../quantity/quantity";
import type { UnitSystem } from "../vocabulary/project";
import { type Entry, unitIn } from "./calculator";

/** A value that was typed: SI, with its standard uncertainty. */
export interface Given {
  readonly si: number;
  readonly u: number;
}
export type ReadEntry =
  | { readonly ok: true; readonly given: readonly Given[] }
  | { readonly ok: false; readonly message: string };

const mostInList = 40;

/** The typed ± in SI: a bare one has the unit of the value before it. */
function plusMinus(text: string, unit: string, field: string): number | string {
  const parsed = parseQuantity(/[^\d.,\s]/.test(text.replace(/e[+-]?\d+/i, "")) ? text : `${text} ${unit}`, field);
  if (!parsed.ok) return parsed.message;
  const { offset } = knownUnit(parsed.quantity.unit);
  const U = Number(parsed.quantity.si) - offset.toNumber();
  return U >= 0 ? U : "± is never negative.";
}

/**
 * A quantity as it was typed, with its ± where one stands behind it; ± is the expanded uncertainty, k = 2.
 * @example readGiven("2.0 ± 0.1 kg", "kg") // => { ok: true, given: [{ si: 2, u: 0.05 }] }
 * @example readGiven("4 ± 0.5", "°C") // => { ok: true, given: [{ si: 277.15, u: 0.25 }] }
 */
export function readGiven(typed: string, unit: string): ReadEntry {
  const [value = "", spread, ...more] = typed.split(/±|\+\/-/).map((t) => t.trim());
  if (more.length) return { ok: false, message: "One ± stands behind a value, for example 2.0 ± 0.1." };
  const tail = spread && /^[\d.,\s]+(.*)$/.exec(spread)?.[1];
  // “2.0 ± 0.1 kg”: the unit stands behind both.
  const parsed = parseQuantity(tail && !/[^\d.,\s-]/.test(value) ? `${value} ${tail}` : value, unit);
  if (!parsed.ok) return parsed;
  const U = spread === undefined ? 0 : plusMinus(spread, parsed.quantity.unit, unit);
  if (typeof U === "string") return { ok: false, message: U };
  return { ok: true, given: [{ si: Number(parsed.quantity.si), u: U / 2 }] };
}

/** Within what an entry has to lie, in words; null where it does. */
function outside({ least, most, unit }: Entry, si: number, shown: string): string | null {
  const limit = (x: number) => `${formatSi(toSi(x, unit), shown)}${shown === "1" ? "" : ` ${shown}`}`;
  const below = least === undefined ? si <= 0 : si < toSi(least, unit).toNumber();
  if (least === undefined && below && most === undefined) return "This is more than 0.";
  if (below || (most !== undefined && si > toSi(most, unit).toNumber()))
    return most === undefined
      ? `This is at least ${limit(least!)}.`
      : `This lies between ${limit(least ?? 0)} and ${limit(most)}.`;
  return null;
}

/**
 * What was typed for an entry, checked against what the formula takes.
 * @example readEntry({ symbol: "t", name: "time", unit: "s", value: "4" }, "0", "metric")
 * // => { ok: false, message: "This is more than 0." }
 * @example
 * readEntry({ symbol: "η", name: "efficiency", unit: "%", value: "90", list: true, most: 100 }, "90; 80 %", "metric")
 * // => { ok: true, given: [{ si: 0.9, u: 0 }, { si: 0.8, u: 0 }] }
 */
export function readEntry(entry: Entry, typed: string, system: UnitSystem): ReadEntry {
  const unit = unitIn(entry.unit, system);
  const texts = entry.list ? typed.split(/\s*(?:;|\n|,\s)\s*/).filter((t) => t.trim() !== "") : [typed];
  if (!texts.length) return { ok: false, message: "Write at least one value; several with semicolons between." };
  if (texts.length > mostInList) return { ok: false, message: `At most ${mostInList} values are taken.` };
  const given: Given[] = [];
  for (const [i, text] of texts.entries()) {
    const read = readGiven(text, unit);
    const wrong = read.ok ? outside(entry, read.given[0]!.si, unit) : read.message;
    if (wrong) return { ok: false, message: entry.list && texts.length > 1 ? `Value ${i + 1}: ${wrong}` : wrong };
    if (read.ok) given.push(...read.given);
  }
  return { ok: true, given };
}

/**
 * What stands in an entry at first, in the units of a system.
 * @example firstValue({ symbol: "d", name: "distance", unit: "m", value: "10" }, "us") // => "32.81"
 */
export function firstValue(entry: Entry, system: UnitSystem): string {
  const unit = unitIn(entry.unit, system);
  if (unit === entry.unit) return entry.value;
  const tidy = (si: Decimal, offset: Decimal.Value) =>
    String(Number(si.minus(offset).div(knownUnit(unit).factor).toPrecision(4)));
  const one = (text: string) => {
    const [value, U] = text.split(" ± ");
    const there = tidy(toSi(value!, entry.unit), knownUnit(unit).offset);
    return U === undefined ? there : `${there} ± ${tidy(spanToSi(U, entry.unit), 0)}`;
  };
  return entry.value.split("; ").map(one).join("; ");
}
