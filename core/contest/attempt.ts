import Decimal from "decimal.js";
import type { Kind } from "../run/reading";
import { linesOf } from "../text/lines";
import type { CareMethod } from "../vocabulary/contest";
import type { Better } from "../vocabulary/runs";

/** What an attempt is charged for something that happened in it, in the measure's unit. */
export interface PenaltyRule {
  readonly key: string;
  readonly name: string;
  /** For each time, above zero. */
  readonly each: string;
}

/** How often something that is charged happened in an attempt. */
export interface Charge {
  readonly key: string;
  readonly count: number;
}

/** How an attempt's measured value becomes the one that is ranked. */
export interface AttemptRules {
  readonly better: Better;
  /** Exactly this much is best, and the distance from it is ranked. */
  readonly target?: string;
  readonly penalties?: readonly PenaltyRule[];
}

/**
 * The value of an attempt that is ranked: the measured one, or its distance from the target, worsened by what the
 * attempt is charged. Charges under a rule that the event does not have are left out.
 * @param rules of the event; where there is a target, less is better
 * @param measured as exact text in the measure's unit
 * @returns the value in the same unit, and how it came about as a line; the line is empty where it is the measured one
 * @example
 * netValue({ better: "less", penalties: [{ key: "line", name: "line crossed", each: "5" }] }, "41.2", [
 *   { key: "line", count: 2 },
 * ])
 * // => { value: "51.2", step: "41.2 + 2 × 5 (line crossed) = 51.2" }
 * @example netValue({ better: "less", target: "2.000" }, "1.98", []).value // => "0.02"
 */
export function netValue(
  rules: AttemptRules,
  measured: string,
  charges: readonly Charge[],
): { value: string; step: string } {
  const charged = (rules.penalties ?? []).flatMap((p) => {
    const count = charges.find((c) => c.key === p.key)?.count ?? 0;
    return count > 0 ? [{ ...p, count }] : [];
  });
  const start = rules.target === undefined ? new Decimal(measured) : new Decimal(measured).minus(rules.target).abs();
  const sum = charged.reduce((s, p) => s.plus(new Decimal(p.each).times(p.count)), new Decimal(0));
  const value = rules.better === "less" ? start.plus(sum) : start.minus(sum);
  if (!charged.length && rules.target === undefined) return { value: measured, step: "" };
  const sign = rules.better === "less" ? " + " : " − ";
  const worse = charged.map((p) => `${p.count} × ${p.each} (${p.name})`);
  const from = rules.target === undefined ? measured : `|${measured} − ${rules.target}|`;
  const shown = value.toString().replace("-", "−");
  return { value: value.toString(), step: `${[from, ...worse].join(sign)} = ${shown}` };
}

/**
 * One value from two readers of the same instrument, and whether they are further apart than it can tell: then both
 * read again.
 * @param readings exact decimals in one unit
 * @param resolution of the instrument in that unit
 * @example twoReadings("mean", ["8.40", "8.45"], "0.05") // => { value: "8.425", apart: false }
 * @example twoReadings("smaller", ["8.40", "8.50"], "0.05") // => { value: "8.4", apart: true }
 */
export function twoReadings(
  method: CareMethod,
  readings: readonly [string, string],
  resolution: string,
): { value: string; apart: boolean } {
  const [a, b] = readings.map((r) => new Decimal(r)) as [Decimal, Decimal];
  const value = method === "mean" ? a.plus(b).div(2) : Decimal.min(a, b);
  return { value: value.toString(), apart: a.minus(b).abs().gt(resolution) };
}

/**
 * The readings that two people take where an event measures with care: those that are numbers.
 * @example readByTwo("mean", [{ key: "V" }, { key: "n", kind: "count" }]) // => ["V"]
 */
export const readByTwo = (
  care: CareMethod | undefined,
  measures: readonly (Pick<Kind, "kind"> & { readonly key: string })[],
): string[] => (care ? measures.filter((m) => !m.kind || m.kind === "number").map((m) => m.key) : []);

/**
 * What is charged as it is typed for people, one a line: a name, a colon, and how much each time.
 * @returns the rules, or what is wrong with the first line that cannot be read
 * @example penaltiesIn("Line crossed: 5").rules // => [{ key: "line-crossed", name: "Line crossed", each: "5" }]
 * @example penaltiesIn("Line crossed: none").rules // => []
 */
export function penaltiesIn(text: string): { rules: PenaltyRule[]; wrong: string } {
  const rules: PenaltyRule[] = [];
  for (const line of linesOf(text)) {
    const [, name, each] = /^(.{1,60}?)\s*:\s*(\d+(?:[.,]\d+)?)$/.exec(line) ?? [];
    const say = (words: string) => ({ rules: [], wrong: `“${line.slice(0, 60)}”: ${words}` });
    if (!name || !each) return say("write a name, a colon and a number, like Line crossed: 5.");
    const amount = new Decimal(each.replace(",", "."));
    if (amount.lte(0)) return say("a penalty is more than zero.");
    const key = name
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, "-")
      .replace(/^-|-$/g, "");
    if (!key || rules.some((r) => r.key === key)) return say("give each penalty a name of its own.");
    rules.push({ key, name, each: amount.toString() });
  }
  return { rules, wrong: "" };
}

/**
 * The same as text, for a form.
 * @example penaltyLines([{ key: "line-crossed", name: "Line crossed", each: "5" }]) // => "Line crossed: 5"
 */
export const penaltyLines = (rules: readonly PenaltyRule[]): string =>
  rules.map((r) => `${r.name}: ${r.each}`).join("\n");
