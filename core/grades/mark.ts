import Decimal from "decimal.js";
import type { MarkKind } from "../vocabulary/grades";

/** In what a mark is given: percent, points of so many, or letters by a declared table. */
export type MarkScale =
  | { readonly kind: "percent" }
  | { readonly kind: "points"; readonly of: string }
  | { readonly kind: "letters"; readonly table: readonly { readonly letter: string; readonly percent: string }[] };

/** A mark as it was typed, read: nothing, so much of the whole, or why there is none; or what is wrong with it. */
export type ReadMark =
  | { readonly kind: "none" }
  | {
      readonly kind: MarkKind;
      /** 0 to 1.2 */
      readonly share: string | null;
      readonly reason: string;
      /** Class sessions that it came late, where that was typed. */
      readonly late?: number;
    }
  | { readonly wrong: string };

/** The most that is taken, of 1: a fifth above full marks. */
const most = new Decimal("1.2");
const number = "(\\d+(?:[.,]\\d+)?)";
const decimal = (text: string) => new Decimal(text.replace(",", "."));

/** A number with what it is of, or a letter, and what follows it; null where neither stands at the beginning. */
function shareAt(text: string, scale: MarkScale): { share: Decimal; rest: string } | { wrong: string } | null {
  if (scale.kind === "letters") {
    const fits = scale.table
      .filter(
        (l) =>
          text.toLowerCase().startsWith(l.letter.toLowerCase()) && !/^[\p{L}\d+−-]/u.test(text.slice(l.letter.length)),
      )
      .sort((a, b) => b.letter.length - a.letter.length)[0];
    if (fits) return { share: decimal(fits.percent).div(100), rest: text.slice(fits.letter.length) };
  }
  const of = new RegExp(`^${number}\\s*(?:/|of)\\s*${number}`, "i").exec(text);
  if (of) {
    if (decimal(of[2]!).isZero()) return { wrong: "Of nothing there is no mark: write for example 17 of 20." };
    return { share: decimal(of[1]!).div(decimal(of[2]!)), rest: text.slice(of[0].length) };
  }
  const plain = new RegExp(`^${number}(\\s*%)?(?![\\p{L}\\d]|[.,]\\d)`, "u").exec(text);
  if (!plain) return null;
  const rest = text.slice(plain[0].length);
  if (plain[2] || scale.kind === "percent") return { share: decimal(plain[1]!).div(100), rest };
  if (scale.kind === "points") return { share: decimal(plain[1]!).div(scale.of), rest };
  return { wrong: `Write one of ${scale.table.map((l) => l.letter).join(", ")}, or ${plain[1]} % for a percent.` };
}

const examples = (scale: MarkScale): string =>
  scale.kind === "percent"
    ? "85"
    : scale.kind === "points"
      ? `${scale.of} or 85 %`
      : (scale.table[0]?.letter ?? "85 %");

/**
 * A mark as it is typed into a gradebook: a number on the component's scale (17 of 20, 85 %, a letter), with a remark
 * after it; `late 2` says that it came two class sessions late; `ex` or `miss` with the reason; or nothing, which takes
 * back what was typed before. Of a component that is computed it is an override, which takes a reason.
 * @param computed the component comes from the record
 * @example readMark("17", { kind: "points", of: "20" }, false) // => { kind: "mark", share: "0.85", reason: "" }
 * @example readMark("17/25 neat", { kind: "percent" }, false) // => { kind: "mark", share: "0.68", reason: "neat" }
 * @example readMark("18 of 20 late 2 glue was wet", { kind: "percent" }, false)
 * // => { kind: "mark", share: "0.9", reason: "glue was wet", late: 2 }
 * @example readMark("ex: was ill", { kind: "percent" }, true)
 * // => { kind: "excused", share: null, reason: "was ill" }
 * @example readMark("80", { kind: "percent" }, true)
 * // => { wrong: "This is computed. To set it by hand, write why after it: 80 because …" }
 * @example
 * readMark("b+", { kind: "letters", table: [{ letter: "B", percent: "80" }, { letter: "B+", percent: "87" }] }, false)
 * // => { kind: "mark", share: "0.87", reason: "" }
 */
export function readMark(typed: string, scale: MarkScale, computed: boolean): ReadMark {
  const text = typed.trim();
  if (!text) return { kind: "none" };
  const reasonIn = (rest: string) => rest.replace(/^[\s:,;–-]+/, "").trim();
  const at = shareAt(text, scale);
  const word = at ? null : /^(ex|excused|miss|missing)(?![\p{L}\d])/iu.exec(text);
  if (word) {
    const kind = word[1]!.toLowerCase().startsWith("ex") ? ("excused" as const) : ("missing" as const);
    const reason = reasonIn(text.slice(word[0].length));
    return reason ? { kind, share: null, reason } : { wrong: `Write why after it, for example: ${word[1]} was ill.` };
  }
  if (!at) return { wrong: `“${text.slice(0, 20)}” is no mark. Write ${examples(scale)}, ex or miss with the reason.` };
  if ("wrong" in at) return at;
  if (at.share.gt(most))
    return { wrong: `That is ${at.share.times(100).toDecimalPlaces(2)} %: from 0 to 120 % are taken.` };
  const late = computed ? null : /^[\s,;]*late\s+(\d{1,2})(?![\p{L}\d])/iu.exec(at.rest);
  if (!computed && !late && /^[\s,;]*late(?![\p{L}])/iu.test(at.rest))
    return { wrong: "Late by how many class sessions? Write for example 85 late 2." };
  const reason = reasonIn(late ? at.rest.slice(late[0].length) : at.rest);
  if (computed && !reason)
    return { wrong: `This is computed. To set it by hand, write why after it: ${text} because …` };
  const kind = computed ? "override" : "mark";
  return { kind, share: at.share.toString(), reason, ...(late && Number(late[1]) && { late: Number(late[1]) }) };
}

/**
 * A mark as it would be typed, where nobody typed it into a gradebook.
 * @example typedMark({ kind: "override", share: "0.8", reason: "mended late" }) // => "80 % mended late"
 * @example typedMark({ kind: "mark", share: "0.8", reason: "neat", late: 1 }) // => "80 % late 1 neat"
 * @example typedMark({ kind: "excused", share: null, reason: "was ill" }) // => "ex was ill"
 */
export function typedMark(mark: { kind: MarkKind; share: string | null; reason: string; late?: number }): string {
  const word = mark.kind === "excused" ? "ex" : "miss";
  const value = mark.share === null ? word : `${new Decimal(mark.share).times(100)} %`;
  return [value, mark.late ? `late ${mark.late}` : "", mark.reason].filter(Boolean).join(" ");
}

/**
 * What is wrong with a scale, in words; empty when it can be used.
 * @example checkScale({ kind: "points", of: "0" }) // => ["Of how many points is a mark? Write a number above zero."]
 * @example checkScale({ kind: "letters", table: [] }) // => ["Write at least one letter with its percent."]
 */
export function checkScale(scale: MarkScale): string[] {
  if (scale.kind === "points")
    return Number(scale.of) > 0 ? [] : ["Of how many points is a mark? Write a number above zero."];
  if (scale.kind === "percent") return [];
  if (!scale.table.length) return ["Write at least one letter with its percent."];
  const names = scale.table.map((l) => l.letter.toLowerCase());
  const twice = names.find((n, i) => names.indexOf(n) < i);
  const wrong = scale.table.find((l) => !/^\d+(\.\d+)?$/.test(l.percent) || Number(l.percent) > 120);
  return [
    ...(twice ? [`${twice.toUpperCase()} stands twice.`] : []),
    ...(wrong ? [`${wrong.letter}: write its percent, from 0 to 120.`] : []),
    ...(scale.table.some((l) => !/^\p{L}/u.test(l.letter)) ? ["A letter begins with a letter."] : []),
  ];
}
