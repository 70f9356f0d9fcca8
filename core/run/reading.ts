import Decimal from "decimal.js";
import { formatNumber, type Parsed, parseQuantity } from "../quantity/quantity";
import type { ReadingKind } from "../vocabulary/runs";

/** Of which kind a reading is, and the names of a level from its first to its last. */
export interface Kind {
  readonly kind?: ReadingKind;
  readonly levels?: readonly string[];
}

/** What is counted or named is so exactly: it has no unit, and its steps are whole. */
export const exactly = { unit: "1", resolution: "1" } as const;

/**
 * The names that a reading takes instead of numbers, in their order; null for a number or a count.
 * @example levelsOf({ kind: "level", levels: ["intact", "cracked", "broken"] }) // => ["intact", "cracked", "broken"]
 * @example levelsOf({ kind: "yes-no" }) // => ["no", "yes"]
 * @example levelsOf({}) // => null
 */
export function levelsOf(of: Kind): readonly string[] | null {
  return of.kind === "level" ? (of.levels ?? []) : of.kind === "yes-no" ? ["no", "yes"] : null;
}

const list = (names: readonly string[]) => names.map((n) => `“${n}”`).join(", ");
const taken = (at: number): Parsed => ({ ok: true, quantity: { si: String(at), ...exactly } });

function parseLevel(levels: readonly string[], typed: string): Parsed {
  const word = typed.trim().toLowerCase();
  const same = levels.findIndex((l) => l.toLowerCase() === word);
  if (same >= 0) return taken(same);
  const begun = levels.flatMap((l, i) => (word && l.toLowerCase().startsWith(word) ? [i] : []));
  if (begun.length === 1) return taken(begun[0]!);
  return {
    ok: false,
    message: begun.length
      ? `“${typed.trim()}” could be ${list(begun.map((i) => levels[i]!))}: write more of it.`
      : `“${typed.trim()}” is none of ${list(levels)}.`,
  };
}

/**
 * A reading as it is typed, by its kind: a quantity in the measure's unit; a count, which is a whole number; yes or no;
 * or a level, by its name or by as much of it as tells it from the others. Levels become their position, the first 0;
 * yes is 1 and no is 0.
 * @example parseReading({ unit: "L" }, "4200 mL").quantity.si // => "0.0042"
 * @example parseReading({ unit: "1", kind: "level", levels: ["intact", "cracked"] }, "cr").quantity.si // => "1"
 * @example parseReading({ unit: "1", kind: "yes-no" }, "Y").quantity.si // => "1"
 * @example
 * parseReading({ unit: "1", kind: "count" }, "2.5")
 * // => { ok: false, message: "“2.5” is not a count: write a whole number, for example 3." }
 */
export function parseReading(of: Kind & { readonly unit: string }, typed: string): Parsed {
  const levels = levelsOf(of);
  if (levels) return parseLevel(levels, typed);
  const read = parseQuantity(typed, of.unit);
  if (of.kind !== "count") return read;
  const whole = read.ok && new Decimal(read.quantity.si).isInteger() && !new Decimal(read.quantity.si).isNegative();
  return whole
    ? read
    : { ok: false, message: `“${typed.trim()}” is not a count: write a whole number, for example 3.` };
}

/**
 * The name of a level by its position; between two of them both are named.
 * @example levelName(["intact", "cracked", "broken"], 1) // => "cracked"
 * @example levelName(["intact", "cracked", "broken"], 0.5) // => "intact to cracked"
 */
export function levelName(levels: readonly string[], position: number): string {
  const [low, high] = [Math.floor(position), Math.ceil(position)].map((i) => levels[i] ?? String(i));
  return low === high ? low! : `${low} to ${high}`;
}

/**
 * A value of a channel for people, without its unit: a level's name, a count as it was counted, or the number with
 * these decimals.
 * @example showIn({ levels: ["intact", "cracked"] }, 1, 2) // => "cracked"
 * @example showIn({}, 8.456, 1) // => "8.5"
 * @example showIn({ whole: true }, 5, 2) // => "5"
 */
export function showIn(
  channel: { readonly levels?: readonly string[] | null; readonly whole?: boolean },
  value: number,
  digits?: number,
): string {
  if (channel.whole && Number.isInteger(value)) return formatNumber(value, 0);
  return channel.levels ? levelName(channel.levels, value) : formatNumber(value, digits);
}

/**
 * How often each level was read, from the first level to the last.
 * @example countLevels(["intact", "cracked", "broken"], [0, 0, 2]) // => [2, 0, 1]
 */
export function countLevels(levels: readonly string[], values: readonly number[]): number[] {
  return levels.map((_, i) => values.filter((v) => v === i).length);
}

/**
 * A name with its unit in brackets, as it heads a column; a number without a unit and a level have none.
 * @example headed({ name: "Water", unit: "L" }) // => "Water (L)"
 * @example headed({ name: "Steps passed", unit: "1" }) // => "Steps passed"
 */
export function headed(of: { readonly name: string; readonly unit: string }): string {
  return of.unit && of.unit !== "1" ? `${of.name} (${of.unit})` : of.name;
}

/**
 * A value with its unit after it; a number without a unit and a level have none.
 * @example unitAfter("8.9", "L/min") // => "8.9 L/min"
 * @example unitAfter("cracked", "1") // => "cracked"
 */
export const unitAfter = (shown: string, unit: string): string => (unit && unit !== "1" ? `${shown} ${unit}` : shown);
