import Decimal from "decimal.js";
import type { AttemptMethod, Better, FoulMethod, RunState } from "../vocabulary/runs";
import { equation, joined } from "../working/equation";

/** One attempt as it counts: its value (exact decimal text, any one unit) and its state. */
export interface Attempt {
  readonly value: string | null;
  readonly state: RunState;
}

export interface AttemptsPolicy {
  readonly school: AttemptMethod;
  readonly n: number;
  /** For best k of n. */
  readonly k?: number;
  readonly foul: FoulMethod;
}

export interface CountedAttempts {
  /** null when nothing counts. */
  readonly value: string | null;
  /** The values that were considered, best first for the schools that order them. */
  readonly considered: readonly string[];
  readonly step: string;
  /** The values in the order in which they were made. */
  readonly values: readonly string[];
  /** Those that are chosen, added or averaged. */
  readonly taken: readonly string[];
}

/**
 * What a list of attempts counts for, by school. Void attempts never count; a foul or no-finish is left out, zero
 * (where more is better), the worst valid value, or what was measured where it left the course. “First” is the first
 * attempt, a foul too.
 * @example
 * countAttempts(
 *   [
 *     { value: "8.3", state: "valid" },
 *     { value: "8.6", state: "valid" },
 *   ],
 *   { school: "best", n: 3, foul: "out" },
 *   "more",
 * ).value
 * // => "8.6"
 * @example
 * countAttempts(
 *   [
 *     { value: "8", state: "valid" },
 *     { value: null, state: "foul" },
 *   ],
 *   { school: "mean", n: 3, foul: "zero" },
 *   "more",
 * ).value
 * // => "4"
 */
export function countAttempts(attempts: readonly Attempt[], policy: AttemptsPolicy, better: Better): CountedAttempts {
  const order = (a: Decimal.Value, b: Decimal.Value) =>
    better === "more" ? new Decimal(b).cmp(a) : new Decimal(a).cmp(b);
  const done = attempts.filter((a) => a.state !== "void").slice(0, policy.n);
  // Where less is better a zero would win: such a foul counts as the worst instead.
  const foul = policy.foul === "zero" && better === "less" ? "worst" : policy.foul;
  const valid = done.flatMap((a) => (a.state === "valid" && a.value !== null ? [a.value] : []));
  const worst = [...valid].sort(order).at(-1);
  const countsFor = (a: Attempt): string[] => {
    if (a.state === "valid") return a.value === null ? [] : [a.value];
    if (foul === "where") return a.value === null ? [] : [a.value];
    if (foul === "zero") return ["0"];
    if (foul === "worst" && worst !== undefined) return [worst];
    return [];
  };
  const values = done.flatMap(countsFor);
  const none = (step: string): CountedAttempts => ({ value: null, considered: [], step, values: [], taken: [] });
  // The first attempt is the first, a foul too.
  if (policy.school === "first" && done[0] && done[0].state !== "valid" && countsFor(done[0]).length === 0)
    return none("the first attempt does not count");
  if (values.length === 0) return none("no attempt counts yet");
  const sorted = [...values].sort(order);
  const total = (list: readonly string[]) => list.reduce((s, v) => s.plus(v), new Decimal(0));
  const average = (list: readonly string[]) => total(list).div(list.length).toSignificantDigits(15).toString();
  const counts = (
    value: string,
    considered: readonly string[],
    taken: readonly string[] = [value],
  ): CountedAttempts => ({
    value,
    considered,
    step: countedStep(policy.school, values, taken, value),
    values,
    taken,
  });
  switch (policy.school) {
    case "best":
      return counts(sorted[0]!, sorted);
    case "last":
      return counts(values.at(-1)!, values);
    case "first":
      return counts(values[0]!, values);
    case "sum":
      return counts(total(values).toString(), sorted, values);
    case "median": {
      const half = Math.floor(sorted.length / 2);
      if (sorted.length % 2) return counts(sorted[half]!, sorted);
      const middle = sorted.slice(half - 1, half + 1);
      return counts(average(middle), sorted, middle);
    }
    case "mean":
      return counts(average(values), sorted, values);
    case "best-k": {
      const top = sorted.slice(0, policy.k ?? 1);
      return counts(average(top), sorted, top);
    }
  }
}

/**
 * How what counts came about, as a line whose numbers have as many decimals as redoing it takes.
 * @param values all that were considered, in their order
 * @param taken those that are chosen, added or averaged
 * @param result what counts, as it is shown
 * @example countedStep("median", ["8", "9", "8.5", "7"], ["8.5", "8"], "8.25")
 * // => "median of 8, 9, 8.5, 7: (8.5 + 8) ÷ 2 = 8.25"
 */
export function countedStep(
  school: AttemptMethod,
  values: readonly string[],
  taken: readonly string[],
  result: string,
): string {
  const digits = result.split(".")[1]?.length ?? 0;
  // A value that was typed stands as it was typed; of a computed one three decimals do.
  const list = values
    .map((v) => {
      const own = Math.min(3, new Decimal(v).decimalPlaces());
      return new Decimal(v).toFixed(taken.length > 1 ? own : Math.max(digits, own), Decimal.ROUND_HALF_UP);
    })
    .join(", ");
  const mean = () => equation(["(", ...joined(taken, " + ", digits), `) ÷ ${taken.length}`], result);
  switch (school) {
    case "sum":
      return equation(joined(taken, " + ", digits), result);
    case "mean":
      return mean();
    case "best-k":
      return `mean of the best ${taken.length}: ${mean()}`;
    case "median":
      return taken.length > 1 ? `median of ${list}: ${mean()}` : `median of ${list} = ${result}`;
    case "best":
    case "last":
    case "first":
      return `${school} of ${list} = ${result}`;
  }
}
