import Decimal from "decimal.js";
import { type Dimension, sameDimension } from "./dimension";
import { parseQuantity } from "./quantity";
import { parseUnit } from "./units";

/**
 * A limit that a sentence states: a closed interval in SI; null is unbounded. A bare number has no unit and is compared
 * only with other bare numbers.
 */
export interface StatedLimit {
  /** The number and its unit as they stand in the sentence. */
  readonly text: string;
  readonly unit: string;
  readonly dimension: Dimension;
  /** The sentence bounds the value; otherwise it only names it. */
  readonly bound: "≤" | "≥" | "=" | "between";
  readonly low: string | null;
  readonly high: string | null;
  /** Stated as a value with its tolerance, “36 ± 0.5 in”: both in SI. */
  readonly around?: { readonly value: string; readonly tolerance: string };
}

const numeral = String.raw`[+\-−]?\d+(?:[.,]\d+)?(?:\s+\d+\/\d+)?`;
const unit = String.raw`[°µa-zA-Z%][a-zA-Z0-9°µ²³/^%·]*(?:\s*\/\s*(?:min|s|h|m|kg|L))?`;
const quantity = new RegExp(String.raw`(${numeral})\s*(?:(to|–|-|and|±|\+\/-|\+-)\s*(${numeral})\s*)?(${unit})?`, "g");
/** What may follow a number with its unit and belong to it: “3 ft 6 in”. */
const smaller = new RegExp(String.raw`^\s+(\d+(?:[.,]\d+)?(?:\s+\d+\/\d+)?)\s*(${unit})`);
/** A text that ends with one of these words, or with one of these signs, just before its number. */
const endsWith = (words: string[], signs: string) =>
  new RegExp(`\\b(?:${words.join("|")})\\b[^.;,]{0,24}$|${signs}\\s*$`, "i");

const upper = endsWith(
  [
    "at most|no more than|not more than|not over|up to|under|below|less than|within|max(?:imum)?",
    "no heavier than|no longer than|no larger than|not exceed(?:ing)?|lighter than|cheaper than",
    "shorter than",
  ],
  "[≤<]",
);
const lower = endsWith(
  [
    "at least|no less than|not less than|more than|over|above|min(?:imum)?|exceed(?:s|ing)?|longer than",
    "no fewer than|heavier than",
  ],
  "[≥>]",
);
const after = {
  upper: /^\s*(?:or (?:less|lighter|under|fewer|shorter)|max(?:imum)?|at most)\b/i,
  lower: /^\s*(?:or (?:more|longer|better)|min(?:imum)?|at least)\b/i,
};
const spelled: Record<string, string> = {
  kilograms: "kg",
  kilogram: "kg",
  kilos: "kg",
  kilo: "kg",
  grams: "g",
  gram: "g",
  litres: "L",
  litre: "L",
  liters: "L",
  liter: "L",
  metres: "m",
  metre: "m",
  meters: "m",
  meter: "m",
  millimetres: "mm",
  centimetres: "cm",
  seconds: "s",
  second: "s",
  sec: "s",
  minutes: "min",
  minute: "min",
  mins: "min",
  hours: "h",
  hour: "h",
  hrs: "h",
  newtons: "N",
  degrees: "°",
  percent: "%",
  pounds: "lb",
  inches: "in",
  feet: "ft",
  days: "d",
  day: "d",
  millilitres: "mL",
};

const unitNamed = (word: string) => spelled[word.toLowerCase()] ?? word.replace(/[.,;]$/, "");

const si = (value: string, unit: string): string | null => {
  const read = parseQuantity(value.replace("−", "-"), unit);
  return read.ok ? read.quantity.si : null;
};

/**
 * What follows a quantity and belongs to it: the 6 in of “3 ft 6 in”, the 30 s of “2 min 30 s”. Its text as it stands,
 * and the whole in SI; null where nothing does.
 */
function continued(first: string, unit: string, rest: string): { text: string; si: string } | null {
  const m = smaller.exec(rest);
  if (!m) return null;
  const [whole, number, word] = m as unknown as [string, string, string];
  const [large, small] = [parseUnit(unit), parseUnit(unitNamed(word))];
  if (!large || !small || !sameDimension(large.dimension, small.dimension) || small.factor.gte(large.factor))
    return null;
  const read = si(`${first} ${unit} ${number} ${unitNamed(word)}`, unit);
  return read === null ? null : { text: whole.replace(/[.,;]$/, ""), si: read };
}

/**
 * The limits that a sentence states in numbers: “at most 5 kg”, “2–8 °C”, “36 ± 0.5 in”, “10 h or more”. Units that
 * are not known make
 * the number a bare one.
 * @example limitsInText("Weighs at most 5.0 kg").map((l) => [l.bound, l.high, l.unit]) // => [["≤", "5", "kg"]]
 * @example limitsInText("Kept at 2–8 °C").map((l) => [l.low, l.high]) // => [["275.15", "281.15"]]
 * @example limitsInText("At least 3 ft 6 in long").map((l) => [l.text, l.low]) // => [["3 ft 6 in", "1.0668"]]
 * @example limitsInText("Stands 36 ± 0.5 in up").map((l) => [l.low, l.high]) // => [["0.9017", "0.9271"]]
 * @example limitsInText("Nice to look at") // => []
 */
export function limitsInText(sentence: string): StatedLimit[] {
  const out: StatedLimit[] = [];
  let read = 0;
  for (const m of sentence.matchAll(quantity)) {
    const [whole, first, joint, second, word] = m as unknown as [string, string, string?, string?, string?];
    // What an earlier quantity took up with it.
    if (m.index < read) continue;
    const before = sentence.slice(0, m.index);
    // Numbers inside codes and dates (R-03, 2027-03-02) are names, not measures.
    if (/[A-Za-z]-?$/.test(before) || /\d-\d/.test(sentence.slice(m.index, m.index + 8))) continue;
    const named = word ? unitNamed(word) : "";
    const known = named ? parseUnit(named) : null;
    const unit = known ? named : "1";
    const end = m.index + (known || !word ? whole.length : whole.length - word.length);
    const more = known && second === undefined ? continued(first, unit, sentence.slice(end)) : null;
    read = end + (more?.text.length ?? 0);
    const rest = sentence.slice(read);
    const tolerance = joint !== undefined && /[±+]/.test(joint);
    const [a, b] = [more?.si ?? si(first, unit), second === undefined || tolerance ? null : si(second, unit)];
    if (a === null) continue;
    // A difference, so that in °C it is not shifted as a temperature is.
    const by = tolerance ? si(second!, unit) : null;
    const around = by && { value: a, tolerance: new Decimal(by).minus(si("0", unit)!).abs().toString() };
    const ends = around
      ? [new Decimal(a).minus(around.tolerance).toString(), new Decimal(a).plus(around.tolerance).toString()]
      : b === null
        ? null
        : new Decimal(a).lte(b)
          ? [a, b]
          : [b, a];
    const bound = ends
      ? "between"
      : upper.test(before) || after.upper.test(rest)
        ? "≤"
        : lower.test(before) || after.lower.test(rest)
          ? "≥"
          : "=";
    const [low, high] = ends ?? (bound === "≤" ? [null, a] : bound === "≥" ? [a, null] : [a, a]);
    out.push({
      text: sentence.slice(m.index, read).trim(),
      unit,
      dimension: known?.dimension ?? {},
      bound,
      low: low ?? null,
      high: high ?? null,
      ...(around ? { around } : {}),
    });
  }
  return out;
}

/**
 * Whether two intervals (SI decimal texts, null unbounded) have no value in common.
 * @example disjoint({ low: null, high: "5" }, { low: "6", high: null }) // => true
 * @example disjoint({ low: null, high: "5" }, { low: "5", high: null }) // => false
 */
export function disjoint(
  a: { low: string | null; high: string | null },
  b: { low: string | null; high: string | null },
): boolean {
  const below = (high: string | null, low: string | null) => high !== null && low !== null && new Decimal(high).lt(low);
  return below(a.high, b.low) || below(b.high, a.low);
}

/**
 * Whether two stated limits speak of the same kind of quantity.
 * @example sameKind(limitsInText("5 kg")[0], limitsInText("300 g")[0]) // => true
 */
export function sameKind(a: StatedLimit, b: StatedLimit): boolean {
  return (a.unit === "1") === (b.unit === "1") && sameDimension(a.dimension, b.dimension);
}

/** Three sides that a sentence states: as they stand there, and in SI. */
export interface StatedSides {
  readonly text: string;
  /** “in” where inches or feet are written, else “mm”. */
  readonly unit: "mm" | "in";
  readonly sides: readonly string[];
}

const side = /(\d+(?:[.,]\d+)?)/.source;
const by = /\s*(?:mm|cm|m|in|ft)?\s*(?:[×x*]|by)\s*/.source;
/** Each side may carry the unit, the last one must. */
const threeSides = new RegExp(`${side}${by}${side}${by}${side}\\s*(mm|cm|m|inch(?:es)?|in|feet|ft)\\b`, "i");

/**
 * The three sides that a sentence states; null where it states none.
 * @example sidesInText("Fits into 18 × 12 × 14 in")
 * // => { text: "18 × 12 × 14 in", unit: "in", sides: ["0.4572", "0.3048", "0.3556"] }
 * @example sidesInText("At most 5 kg") // => null
 */
export function sidesInText(sentence: string): StatedSides | null {
  const m = threeSides.exec(sentence);
  if (!m) return null;
  const named = m[4]!.toLowerCase();
  const unit = /^inch/.test(named) ? "in" : named === "feet" ? "ft" : named;
  const sides = [m[1]!, m[2]!, m[3]!].map((v) => si(v, unit));
  return sides.every((x) => x !== null)
    ? { text: m[0], unit: unit === "in" || unit === "ft" ? "in" : "mm", sides: sides as string[] }
    : null;
}

/**
 * Whether two stated limits bound the same kind of quantity from opposite sides: “at least 10 lb”, “at most 9 lb”.
 * @example opposite(limitsInText("at least 10 lb")[0], limitsInText("at most 9 lb")[0]) // => true
 * @example opposite(limitsInText("at most 10 lb")[0], limitsInText("at most 9 lb")[0]) // => false
 */
export function opposite(a: StatedLimit, b: StatedLimit): boolean {
  return sameKind(a, b) && ((a.bound === "≤" && b.bound === "≥") || (a.bound === "≥" && b.bound === "≤"));
}
