import Decimal from "decimal.js";
import { formatNumber } from "../quantity/quantity";
import { equation, joined } from "../working/equation";
import { type Computed, makeWorking } from "../working/working";

export interface Rating {
  readonly option: string;
  readonly rater: string;
  readonly score: number;
}

export interface RaterModel {
  /**
   * Raw mean and severity-adjusted score by option; the adjusted one is null where the option cannot be compared with
   * the first group.
   */
  readonly options: readonly { option: string; n: number; raw: Computed<number>; adjusted: Computed<number | null> }[];
  /** How much each rater marks above (+) or below (−) the average rater. */
  readonly raters: readonly { rater: string; n: number; severity: number | null }[];
  /** Options that raters connect; with more than one group, options of different groups cannot be compared. */
  readonly groups: readonly (readonly string[])[];
  /** Ratings more than two standard deviations of the residuals away from what the model expects. */
  readonly odd: readonly (Rating & { residual: number })[];
  readonly sd: number | null;
}

/** Solves a symmetric positive system by Gauss's elimination with pivots. */
function solve(a: number[][], b: number[]): number[] {
  const n = b.length;
  for (let i = 0; i < n; i++) {
    let p = i;
    for (let r = i + 1; r < n; r++) if (Math.abs(a[r]![i]!) > Math.abs(a[p]![i]!)) p = r;
    [a[i], a[p]] = [a[p]!, a[i]!];
    [b[i], b[p]] = [b[p]!, b[i]!];
    for (let r = i + 1; r < n; r++) {
      const f = a[r]![i]! / a[i]![i]!;
      if (f === 0) continue;
      for (let c = i; c < n; c++) a[r]![c]! -= f * a[i]![c]!;
      b[r]! -= f * b[i]!;
    }
  }
  const x = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i--)
    x[i] = (b[i]! - a[i]!.reduce((s, v, c) => (c > i ? s + v * x[c]! : s), 0)) / a[i]![i]!;
  return x;
}

const two = (x: number) => formatNumber(new Decimal(x).toDecimalPlaces(10), 2);

/** Options with those who rated them, as far as they hang together. */
interface Part {
  readonly options: string[];
  readonly raters: string[];
}

/**
 * The parts into which ratings fall: options of one part are connected through raters who rated more than one.
 * @example
 * connected([{ option: "A", rater: "J1" }, { option: "B", rater: "J1" }, { option: "C", rater: "J2" }])
 *   .map((g) => g.options)
 * // => [["A", "B"], ["C"]]
 */
export function connected(ratings: readonly Pick<Rating, "option" | "rater">[]): Part[] {
  const root = new Map<string, string>();
  const find = (x: string): string => {
    const up = root.get(x) ?? x;
    return up === x ? x : find(up);
  };
  for (const r of ratings) root.set(find(`o:${r.option}`), find(`r:${r.rater}`));
  const parts = new Map<string, Part>();
  const part = (key: string) => {
    const k = find(key);
    if (!parts.has(k)) parts.set(k, { options: [], raters: [] });
    return parts.get(k)!;
  };
  for (const o of new Set(ratings.map((r) => r.option))) part(`o:${o}`).options.push(o);
  for (const r of new Set(ratings.map((r) => r.rater))) part(`r:${r}`).raters.push(r);
  return [...parts.values()];
}

/**
 * Several raters on several options: raw means, and scores adjusted for severity by the additive model score = option +
 * rater (least squares), each option predicted for the average rater of its group.
 * Options are connected through raters that rated more than one; where they are not, it says which cannot be compared.
 * @example
 * adjustForSeverity([
 *   { option: "A", rater: "J1", score: 6 },
 *   { option: "B", rater: "J1", score: 7 },
 *   { option: "B", rater: "J2", score: 9 },
 * ]).options.map((o) => [o.option, o.adjusted.value.toFixed(2)])
 * // => [["A", "7.00"], ["B", "8.00"]]
 */
export function adjustForSeverity(ratings: readonly Rating[]): RaterModel {
  const options = [...new Set(ratings.map((r) => r.option))];
  const raters = [...new Set(ratings.map((r) => r.rater))];
  const parts = connected(ratings);
  const adjusted = new Map<string, number>();
  const severity = new Map<string, number>();
  for (const g of parts) {
    const mine = ratings.filter((r) => g.options.includes(r.option));
    // Unknowns: every option, and every rater but the last; then raters are centred on their own mean.
    const n = g.options.length + g.raters.length - 1;
    const a = Array.from({ length: n }, () => new Array<number>(n).fill(0));
    const b = new Array<number>(n).fill(0);
    for (const r of mine) {
      const at = [
        g.options.indexOf(r.option),
        g.raters.indexOf(r.rater) === g.raters.length - 1 ? -1 : g.options.length + g.raters.indexOf(r.rater),
      ].filter((i) => i >= 0);
      for (const i of at) {
        b[i]! += r.score;
        for (const j of at) a[i]![j]! += 1;
      }
    }
    const x = solve(a, b);
    const effects = [...x.slice(g.options.length), 0];
    const mean = effects.reduce((s, e) => s + e, 0) / effects.length;
    g.options.forEach((o, i) => {
      adjusted.set(o, x[i]! + mean);
    });
    g.raters.forEach((r, i) => {
      severity.set(r, effects[i]! - mean);
    });
  }
  const groups = parts.map((g) => g.options);
  const residuals = ratings.map((r) => ({
    ...r,
    residual: r.score - adjusted.get(r.option)! - severity.get(r.rater)!,
  }));
  const free = ratings.length - options.length - raters.length + groups.length;
  const sd = free > 0 ? Math.sqrt(residuals.reduce((s, r) => s + r.residual ** 2, 0) / free) : null;
  const rule = "score = option + rater, by least squares; each option as the average rater would have scored it.";
  return {
    groups,
    sd,
    odd: sd && sd > 1e-9 ? residuals.filter((r) => Math.abs(r.residual) > 2 * sd) : [],
    raters: raters.map((rater) => ({
      rater,
      n: ratings.filter((r) => r.rater === rater).length,
      severity: severity.get(rater) ?? null,
    })),
    options: options.map((option) => {
      const mine = ratings.filter((r) => r.option === option);
      const raw = mine.reduce((s, r) => s + r.score, 0) / mine.length;
      const value = adjusted.get(option)!;
      const inputs = mine.map((r) => ({ label: r.rater, value: two(r.score) }));
      return {
        option,
        n: mine.length,
        raw: {
          value: raw,
          working: makeWorking({
            title: `Raw mean of ${option}`,
            result: two(raw),
            rule: "The mean of its raters' scores.",
            steps: [
              equation(
                [
                  "(",
                  ...joined(
                    mine.map((r) => r.score),
                    " + ",
                  ),
                  `) ÷ ${mine.length}`,
                ],
                two(raw),
              ),
            ],
            inputs,
          }),
        },
        adjusted: {
          value,
          working: makeWorking({
            title: `Adjusted score of ${option}`,
            result: two(value),
            rule,
            steps: mine.map(
              (r) =>
                `${r.rater}: ` +
                equation(
                  [{ of: r.score }, " − ", { of: severity.get(r.rater)! }],
                  two(r.score - severity.get(r.rater)!),
                ),
            ),
            inputs,
            warnings:
              groups.length > 1
                ? [
                    `No rater connects ${groups.map((g) => g.join(", ")).join(" with ")}: scores of different ` +
                      "groups cannot be compared.",
                  ]
                : [],
          }),
        },
      };
    }),
  };
}

/**
 * Kendall's coefficient of concordance W between raters who scored the same options, with the correction for ties; 0 no
 * agreement, 1 full. Null when fewer than two raters scored all of them, or nothing differs.
 * @example concordance([[1, 2, 3], [1, 2, 3]]) // => 1
 * @example concordance([[1, 2, 3], [3, 2, 1]]) // => 0
 */
export function concordance(scores: readonly (readonly number[])[]): number | null {
  const m = scores.length;
  const n = scores[0]?.length ?? 0;
  if (m < 2 || n < 2) return null;
  let ties = 0;
  const ranks = scores.map((row) =>
    row.map((x) => row.filter((y) => y < x).length + (row.filter((y) => y === x).length + 1) / 2),
  );
  for (const row of scores)
    for (const x of new Set(row)) {
      const t = row.filter((y) => y === x).length;
      ties += t ** 3 - t;
    }
  const sums = Array.from({ length: n }, (_, i) => ranks.reduce((s, r) => s + r[i]!, 0));
  const mean = (m * (n + 1)) / 2;
  const S = sums.reduce((s, x) => s + (x - mean) ** 2, 0);
  const below = m ** 2 * (n ** 3 - n) - m * ties;
  return below <= 0 ? null : (12 * S) / below;
}

/** How far raters agree, how severe each is, and which ratings need a look. */
export interface RaterAgreement {
  readonly model: RaterModel;
  /** Kendall's W over those who rated every option; null for fewer than two of them, or where nothing differs. */
  readonly w: number | null;
  /** How many raters W is of. */
  readonly whole: number;
}

/**
 * How far raters agree: the additive model of their ratings, and Kendall's W over those who rated every option.
 * @example
 * raterAgreement([
 *   { option: "a", rater: "J1", score: 5 },
 *   { option: "b", rater: "J1", score: 3 },
 *   { option: "a", rater: "J2", score: 4 },
 *   { option: "b", rater: "J2", score: 2 },
 * ]).w
 * // => 1
 */
export function raterAgreement(ratings: readonly Rating[]): RaterAgreement {
  const model = adjustForSeverity(ratings);
  const options = model.options.map((o) => o.option);
  const of = (rater: string, option: string) => ratings.find((r) => r.rater === rater && r.option === option)?.score;
  const whole = model.raters.filter((r) => options.every((o) => of(r.rater, o) !== undefined));
  return { model, w: concordance(whole.map((r) => options.map((o) => of(r.rater, o)!))), whole: whole.length };
}
