import Decimal from "decimal.js";
import type { DatumMark } from "../vocabulary/concepts";
import { equation, joined } from "../working/equation";
import { type Computed, makeWorking } from "../working/working";

export interface Weighted {
  readonly key: string;
  readonly name: string;
  /** Any number above zero; the matrix divides by the sum of all. */
  readonly weight: number;
}

export interface Option {
  readonly key: string;
  readonly name: string;
}

/** Scores by option, then by criterion; a missing one leaves the option without a total. */
export type Scores = Readonly<Record<string, Readonly<Record<string, number | null | undefined>>>>;

const show = (x: Decimal.Value) => new Decimal(x).toDecimalPlaces(3).toString();

/**
 * The weighted decision matrix: Σ weight × score over Σ weight for each option; null where a score is missing. Weights
 * are shares of their sum.
 * @example
 * weightedTotals(
 *   [
 *     { key: "a", name: "A", weight: 0.5 },
 *     { key: "b", name: "B", weight: 0.3 },
 *     { key: "c", name: "C", weight: 0.2 },
 *   ],
 *   [{ key: "x", name: "X" }],
 *   { x: { a: 7, b: 6, c: 9 } },
 * )[0].total.value
 * // => 7.1
 */
export function weightedTotals(
  criteria: readonly Weighted[],
  options: readonly Option[],
  scores: Scores,
): { option: Option; total: Computed<number | null> }[] {
  const sum = criteria.reduce((s, c) => s.plus(c.weight), new Decimal(0));
  const rule = "Each score times its criterion's weight, over the sum of the weights.";
  return options.map((option) => {
    const of = scores[option.key] ?? {};
    const missing = criteria.filter((c) => of[c.key] === null || of[c.key] === undefined);
    if (missing.length || sum.lte(0))
      return {
        option,
        total: {
          value: null,
          working: makeWorking({
            title: `Total of ${option.name}`,
            result: "–",
            rule,
            warnings: [
              missing.length
                ? `Not scored: ${missing.map((c) => c.name).join(", ")}.`
                : "The weights add up to nothing.",
            ],
          }),
        },
      };
    const earned = (c: Weighted) => new Decimal(c.weight).times(of[c.key]!);
    const total = criteria.reduce((s, c) => s.plus(earned(c)), new Decimal(0)).div(sum);
    const value = total.toDecimalPlaces(10).toNumber();
    return {
      option,
      total: {
        value,
        working: makeWorking({
          title: `Total of ${option.name}`,
          result: show(total),
          rule,
          steps: [
            ...criteria.map(
              (c) => `${c.name}: ${equation([{ of: c.weight }, " × ", { of: of[c.key]! }], show(earned(c)))}`,
            ),
            `sum: ${equation(["(", ...joined(criteria.map(earned), " + "), ") ÷ ", { of: sum }], show(total))}`,
          ],
        }),
      },
    };
  });
}

/**
 * The datum matrix: how often each option is better (+), the same (0) or worse (−) than the datum; the net counts,
 * weighted when weights are given. The datum itself is all zeros.
 * @example
 * datumTotals(
 *   [
 *     { key: "a", name: "A", weight: 1 },
 *     { key: "b", name: "B", weight: 1 },
 *   ],
 *   [{ key: "x", name: "X" }],
 *   { x: { a: "+", b: "0" } },
 *   "d",
 * )[0].net
 * // => 1
 */
export function datumTotals(
  criteria: readonly Weighted[],
  options: readonly Option[],
  marks: Readonly<Record<string, Readonly<Record<string, DatumMark | undefined>>>>,
  datum: string,
): {
  option: Option;
  plus: number;
  same: number;
  minus: number;
  missing: number;
  net: number;
  weighted: number;
  working: ReturnType<typeof makeWorking>;
}[] {
  const sum = criteria.reduce((s, c) => s + c.weight, 0) || 1;
  return options.map((option) => {
    const of = criteria.map((c) => (option.key === datum ? ("0" as const) : marks[option.key]?.[c.key]));
    const count = (m: DatumMark) => of.filter((x) => x === m).length;
    const weighted =
      criteria.reduce((s, c, i) => s + (of[i] === "+" ? c.weight : of[i] === "−" ? -c.weight : 0), 0) / sum;
    const [plus, same, minus] = [count("+"), count("0"), count("−")];
    return {
      option,
      plus,
      same,
      minus,
      missing: of.filter((x) => x === undefined).length,
      net: plus - minus,
      weighted,
      working: makeWorking({
        title: `${option.name} against the datum`,
        result: String(plus - minus),
        rule: "The number of criteria on which it is better than the datum less the number on which it is worse.",
        steps: [
          ...criteria.map((c, i) => `${c.name}: ${of[i] ?? "not marked"}`),
          `${plus} − ${minus} = ${plus - minus}`,
          `with weights: ${show(weighted)}`,
        ],
        warnings: option.key === datum ? ["This is the datum."] : [],
      }),
    };
  });
}

/** Weights from comparisons: they sum to 1; `worst` is the three criteria that contradict each other most. */
export interface PairwiseResult {
  weights: number[];
  lambda: number;
  ratio: number;
  worst: [number, number, number] | null;
}

/** Mean consistency index of random matrices of size 1 to 15, by which an index is divided to give the ratio. */
const randomIndex = [0, 0, 0.58, 0.9, 1.12, 1.24, 1.32, 1.41, 1.45, 1.49, 1.51, 1.48, 1.56, 1.57, 1.59];

/**
 * Weights from pairwise comparisons: the principal eigenvector of the matrix (row over column; 1 equal, 9 extreme), by
 * power iteration, summing to 1, with the consistency ratio CR = (λ − n)/(n − 1)/RI.
 * A ratio above 0.1 says that the answers contradict each other; the triple that does so most is named by its
 * positions.
 * @example
 * pairwiseWeights([
 *   [1, 3, 5],
 *   [1 / 3, 1, 2],
 *   [1 / 5, 1 / 2, 1],
 * ]).weights.map((w) => w.toFixed(3))
 * // => ["0.648", "0.230", "0.122"]
 * @example pairwiseWeights([[1, 3, 5], [1 / 3, 1, 2], [1 / 5, 1 / 2, 1]]).ratio.toFixed(3) // => "0.003"
 */
export function pairwiseWeights(matrix: readonly (readonly number[])[]): PairwiseResult {
  const n = matrix.length;
  if (n === 0) return { weights: [], lambda: 0, ratio: 0, worst: null };
  if (matrix.some((row) => row.length !== n || row.some((x) => !(x > 0))))
    throw new RangeError("A pairwise matrix is square and holds numbers above zero");
  if (n > randomIndex.length) throw new RangeError(`At most ${randomIndex.length} criteria can be compared in pairs`);
  let w = Array.from({ length: n }, () => 1 / n);
  let lambda = n;
  for (let i = 0; i < 1000; i++) {
    const next = matrix.map((row) => row.reduce((s, x, j) => s + x * w[j]!, 0));
    lambda = next.reduce((s, x) => s + x, 0);
    const scaled = next.map((x) => x / lambda);
    const change = Math.max(...scaled.map((x, j) => Math.abs(x - w[j]!)));
    w = scaled;
    if (change < 1e-14) break;
  }
  const index = n > 1 ? (lambda - n) / (n - 1) : 0;
  let worst: [number, number, number] | null = null;
  let most = Math.log(1.5);
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++)
      for (let k = j + 1; k < n; k++) {
        const off = Math.abs(Math.log((matrix[i]![j]! * matrix[j]![k]!) / matrix[i]![k]!));
        if (off > most) [most, worst] = [off, [i, j, k]];
      }
  return { weights: w, lambda, ratio: randomIndex[n - 1]! ? Math.max(0, index / randomIndex[n - 1]!) : 0, worst };
}

/**
 * A full pairwise matrix from answers above the diagonal (row over column, by "i/j" with i < j); unanswered pairs count
 * as equal.
 * @example pairwiseMatrix(2, { "0/1": 4 }) // => [[1, 4], [0.25, 1]]
 */
export function pairwiseMatrix(n: number, answers: Readonly<Record<string, number>>): number[][] {
  return Array.from({ length: n }, (_, i) =>
    Array.from({ length: n }, (_, j) =>
      i === j ? 1 : i < j ? (answers[`${i}/${j}`] ?? 1) : 1 / (answers[`${j}/${i}`] ?? 1),
    ),
  );
}

/**
 * Votes counted: each voter's choices give one vote each; most votes first, with the share of voters.
 * @example
 * countVotes(["a", "b"], [["a"], ["a", "b"], ["a"]]).map((r) => [r.option, r.votes])
 * // => [["a", 3], ["b", 1]]
 */
export function countVotes(
  options: readonly string[],
  ballots: readonly (readonly string[])[],
): { option: string; votes: number; share: number }[] {
  return options
    .map((option) => ({ option, votes: ballots.filter((b) => b.includes(option)).length }))
    .map((r) => ({ ...r, share: ballots.length ? r.votes / ballots.length : 0 }))
    .sort((a, b) => b.votes - a.votes);
}
