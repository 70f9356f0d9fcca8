import type Decimal from "decimal.js";
import { disjoint, limitsInText, sameKind } from "../quantity/limits-in-text";
import { describeLimit, type Limit, limitRange } from "./requirement";
import { wordsOf } from "./similarity";

export interface Clash {
  readonly a: number;
  readonly b: number;
  /** What cannot both hold, in words. */
  readonly why: string;
}

/**
 * Requirements on the same measured quantity whose limits cannot both hold, by their positions; a size is in conflict
 * never, only smaller.
 * @example
 * clashingLimits([
 *   { measure: "mass", limit: { comparator: "≤", target: "5", second: null, sides: null, unit: "kg" } },
 *   { measure: "mass", limit: { comparator: "≥", target: "6", second: null, sides: null, unit: "kg" } },
 * ]).map((c) => c.why)
 * // => ["≤ 5 kg and ≥ 6 kg cannot both hold"]
 */
export function clashingLimits(list: readonly { measure: string | null; limit: Limit | null }[]): Clash[] {
  const out: Clash[] = [];
  list.forEach((x, a) =>
    list.forEach((y, b) => {
      if (b <= a || !x.measure || x.measure !== y.measure || !x.limit || !y.limit) return;
      const [[xl, xh], [yl, yh]] = [limitRange(x.limit), limitRange(y.limit)];
      const texts = (d: Decimal | null) => d?.toString() ?? null;
      if (disjoint({ low: texts(xl), high: texts(xh) }, { low: texts(yl), high: texts(yh) }))
        out.push({ a, b, why: `${describeLimit(x.limit)} and ${describeLimit(y.limit)} cannot both hold` });
    }),
  );
  return out;
}

/**
 * Statements that speak of the same thing with numbers that cannot both hold, by their positions. The same thing: they
 * share a word or idea beside their numbers, and the numbers are of one kind.
 * @example
 * clashingStatements(["Weighs at most 5 kg", "May weigh 6 kg or more", "At most 5 kg of sand"]).map((c) => [
 *   c.a,
 *   c.b,
 * ])
 * // => [[0, 1]]
 */
export function clashingStatements(statements: readonly string[]): Clash[] {
  const read = statements.map((s) => ({
    limits: limitsInText(s),
    words: [...wordsOf(s).keys()].filter((w) => !/^\d/.test(w)),
  }));
  const out: Clash[] = [];
  read.forEach((x, a) => {
    if (!x.limits.length) return;
    for (let b = a + 1; b < read.length; b++) {
      const y = read[b]!;
      if (!y.limits.length || !x.words.some((w) => y.words.includes(w))) continue;
      // Each kind of quantity must be stated once on both sides: with several, it is not known which speaks of which.
      for (const l of x.limits) {
        const other = y.limits.filter((m) => sameKind(l, m));
        if (other.length !== 1 || x.limits.filter((m) => sameKind(l, m)).length !== 1) continue;
        if (disjoint(l, other[0]!)) out.push({ a, b, why: `“${l.text}” and “${other[0]!.text}” cannot both hold` });
      }
    }
  });
  return out;
}

/** Verbs and words by which a statement says something that can be seen done or counted. */
const observable = new RegExp(
  `\\b(${[
    "carr(?:y|ies)|lifts?|moves?|fits?|holds?|opens?|closes?|fill(?:s|ed)?|empt(?:y|ies)|keeps?|stays?",
    "stands?|runs?|works?|leaks?|drips?|show(?:s|n)?|reads?|signals?|sounds?|stops?|starts?|turns?",
    "reach(?:es)?|pass(?:es)?|survives?|stacks?|folds?|locks?|latch(?:es)?|cleans?|washe[sd]|removed?",
    "replaced?|stored?|has|have|without|no|never|only|able to",
  ].join("|")})\\b`,
  "i",
);

/**
 * What of a statement cannot be measured or tried as it stands: no number, no unit and no observable act (a verb of
 * doing with an object that one can see done); null when nothing is missing.
 * @example missingMeasure("Comfortable grip") // => "no number and nothing that can be tried and seen"
 * @example missingMeasure("One person carries it up the steps") // => null
 * @example missingMeasure("At most 5") // => "a number without a unit"
 */
export function missingMeasure(statement: string): string | null {
  const limits = limitsInText(statement);
  if (limits.some((l) => l.unit !== "1")) return null;
  const act = observable.test(statement);
  if (act) return null;
  return limits.length ? "a number without a unit" : "no number and nothing that can be tried and seen";
}

/**
 * Volatility: changes after the baseline per week, and what it is computed from; null before there is a baseline or on
 * its first day.
 * @example
 * volatility({
 *   changes: ["2027-02-10", "2027-02-12", "2027-01-20"],
 *   baseline: "2027-02-01",
 *   today: "2027-02-22",
 * })?.toFixed(2)
 * // => "0.67"
 */
export function volatility({
  changes,
  baseline,
  today,
}: {
  changes: readonly string[];
  baseline: string | null;
  today: string;
}): number | null {
  if (!baseline) return null;
  const weeks = (Date.parse(`${today}T00:00:00Z`) - Date.parse(`${baseline}T00:00:00Z`)) / (7 * 86_400_000);
  return weeks <= 0 ? null : changes.filter((d) => d >= baseline && d <= today).length / weeks;
}
