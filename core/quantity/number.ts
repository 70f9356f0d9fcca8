import Decimal from "decimal.js";

/** A number that was read: its value and the value of its last digit (of a fraction, of its part). */
interface ReadNumber {
  readonly value: Decimal;
  readonly step: Decimal;
}

const vulgar: Record<string, readonly [number, number]> = {
  "½": [1, 2],
  "¼": [1, 4],
  "¾": [3, 4],
  "⅓": [1, 3],
  "⅔": [2, 3],
  "⅛": [1, 8],
  "⅜": [3, 8],
  "⅝": [5, 8],
  "⅞": [7, 8],
};
const space = "[ \\u00a0\\u2009\\u202f]";
const forms = {
  vulgar: new RegExp(`^(\\d*)${space}?([${Object.keys(vulgar).join("")}])`),
  mixed: new RegExp(`^(\\d+)(?:${space}|-)(\\d+)/(\\d+)(?![\\d.,])`),
  fraction: /^()(\d+)\/(\d+)(?![\d.,])/,
  grouped: new RegExp(`^\\d{1,3}(?:(?:${space}|['’])\\d{3})+(?:[.,]\\d+)?(?![\\d])`),
  points: /^(?:\d{1,3}(?:,\d{3})+\.\d+|\d{1,3}(?:\.\d{3})+,\d+|\d{1,3}(?:,\d{3}){2,}|\d{1,3}(?:\.\d{3}){2,})(?![\d.,])/,
  plain: /^(?:\d+(?:[.,]\d*)?|[.,]\d+)(?:e[+-]?\d+)?(?![\d.,:])/i,
};
/**
 * A number without what the last digits of the arithmetic leave over: an exact half stays one.
 * @example settled(0.1 + 0.2) // => 0.3
 */
export const settled = (value: number): number => Number(value.toPrecision(12));

/** The value of the last digit of a number that is written with a point. */
export const decimals = (text: string): Decimal => {
  const [mantissa = "", exponent] = text.toLowerCase().split("e");
  return new Decimal(10).pow(Number(exponent ?? 0) - (mantissa.split(".")[1]?.length ?? 0));
};
const withPoint = (text: string): ReadNumber => ({ value: new Decimal(text), step: decimals(text) });
const part = (whole: string, n: number, d: number): ReadNumber | null =>
  d === 0 ? null : { value: new Decimal(n).div(d).plus(whole || 0), step: new Decimal(1).div(d) };

/**
 * The number at the start of a text, with what was taken of it; null where none stands there, `twoWays` where it can be
 * read in two.
 * @example numberAt("12 3/8 in")?.taken // => "12 3/8"
 * @example numberAt("1,500 m") // => { twoWays: "1,500" }
 * @example numberAt("five") // => null
 */
export function numberAt(text: string): { taken: string; number: ReadNumber } | { twoWays: string } | null {
  const at = (form: RegExp) => form.exec(text);
  const v = at(forms.vulgar);
  if (v) return { taken: v[0], number: part(v[1]!, ...vulgar[v[2]!]!)! };
  const f = at(forms.mixed) ?? at(forms.fraction);
  if (f) {
    const number = part(f[1]!, Number(f[2]), Number(f[3]));
    return number && { taken: f[0], number };
  }
  const g = at(forms.grouped);
  if (g) return { taken: g[0], number: withPoint(g[0].replaceAll(/[^\d.,]/g, "").replace(",", ".")) };
  const p = at(forms.points);
  if (p) {
    // The last mark is the decimal one, unless the same mark groups thousands before it.
    const mark = /[.,](?=\d*$)/.exec(p[0])![0];
    const many = p[0].split(mark).length > 2;
    const digits = p[0].replaceAll(mark === "," ? "." : ",", "");
    return { taken: p[0], number: withPoint(many ? digits.replaceAll(mark, "") : digits.replace(",", ".")) };
  }
  const d = at(forms.plain);
  if (!d) return null;
  if (/^[1-9]\d{0,2},\d{3}$/.test(d[0])) return { twoWays: d[0] };
  return { taken: d[0], number: withPoint(d[0].replace(",", ".")) };
}
