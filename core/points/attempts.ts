import Decimal from "decimal.js";
import type { AttemptMethod, Better, FoulMethod, RunState } from "../vocabulary/runs";

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
}

/**
 * What a list of attempts counts for, by school. Void attempts never count; a foul or no-finish is left out, zero
 * (where more is better), or the worst valid value. “First” is the first attempt, a foul too.
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
    if (foul === "zero") return ["0"];
    if (foul === "worst" && worst !== undefined) return [worst];
    return [];
  };
  const values = done.flatMap(countsFor);
  // The first attempt is the first, a foul too.
  if (policy.school === "first" && done[0] && done[0].state !== "valid" && countsFor(done[0]).length === 0)
    return { value: null, considered: [], step: "the first attempt does not count" };
  if (values.length === 0) return { value: null, considered: [], step: "no attempt counts yet" };
  const sorted = [...values].sort(order);
  const total = (list: readonly string[]) => list.reduce((s, v) => s.plus(v), new Decimal(0));
  const average = (list: readonly string[]) => total(list).div(list.length).toSignificantDigits(15).toString();
  const list = values.join(", ");
  switch (policy.school) {
    case "best":
      return { value: sorted[0]!, considered: sorted, step: `best of ${list} = ${sorted[0]}` };
    case "last":
      return { value: values.at(-1)!, considered: values, step: `last of ${list} = ${values.at(-1)}` };
    case "first":
      return { value: values[0]!, considered: values, step: `first of ${list} = ${values[0]}` };
    case "sum":
      return { value: total(values).toString(), considered: sorted, step: `${values.join(" + ")} = ${total(values)}` };
    case "median": {
      const half = Math.floor(sorted.length / 2);
      const value = sorted.length % 2 ? sorted[half]! : average(sorted.slice(half - 1, half + 1));
      return { value, considered: sorted, step: `median of ${list} = ${value}` };
    }
    case "mean":
      return {
        value: average(values),
        considered: sorted,
        step: `(${values.join(" + ")}) ÷ ${values.length} = ${average(values)}`,
      };
    case "best-k": {
      const top = sorted.slice(0, policy.k ?? 1);
      return {
        value: average(top),
        considered: sorted,
        step: `mean of the best ${top.length}: (${top.join(" + ")}) ÷ ${top.length} = ${average(top)}`,
      };
    }
  }
}
