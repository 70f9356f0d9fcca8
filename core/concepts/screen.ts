import { isBuildMeasure, type Limit, statusOf } from "../needs/requirement";
import type { ClaimWord } from "../vocabulary/concepts";
import type { Verdict } from "../vocabulary/needs";
import type { Computed } from "../working/working";
import { makeWorking } from "../working/working";

export interface Must {
  readonly id: string;
  readonly code: string;
  readonly statement: string;
  readonly measure: string | null;
  readonly limit: Limit | null;
}

/**
 * What a concept's author says of one must: it will meet it, will not, or it is not known yet; how; and an estimate
 * where the must is measured.
 */
export interface Claim {
  readonly says: ClaimWord;
  readonly how: string;
  /** Estimate in SI, for musts with a measured limit. */
  readonly estimate: string | null;
}

export interface Estimates {
  readonly mass: string | null;
  readonly cost: string | null;
  readonly sides: readonly string[] | null;
}

export interface Screened {
  readonly must: Must;
  readonly status: Computed<Verdict>;
}

/**
 * A concept screened against every must: estimates of mass, cost and size and of other measured quantities against
 * their limits, the author's word for the rest.
 * An estimate decides over a word; where neither is given the must is untested. What is not met is broken.
 * @example
 * screenConcept(
 *   [
 *     {
 *       id: "m",
 *       code: "R-01",
 *       statement: "Light",
 *       measure: "mass",
 *       limit: { comparator: "≤", target: "5", second: null, sides: null, unit: "kg" },
 *     },
 *   ],
 *   { mass: "5.4", cost: null, sides: null },
 *   {},
 * ).map((s) => s.status.value)
 * // => ["not met"]
 * @example
 * screenConcept(
 *   [{ id: "a", code: "R-02", statement: "One person", measure: null, limit: null }],
 *   { mass: null, cost: null, sides: null },
 *   { a: { says: "yes", how: "a lever", estimate: null } },
 * ).map((s) => s.status.value)
 * // => ["met"]
 */
export function screenConcept(
  musts: readonly Must[],
  estimates: Estimates,
  claims: Readonly<Record<string, Claim>>,
): Screened[] {
  return musts.map((must) => {
    const claim = claims[must.id];
    const measured = must.limit && must.limit.comparator !== "yes";
    const value =
      isBuildMeasure(must.measure) && must.measure !== "envelope" ? estimates[must.measure] : (claim?.estimate ?? null);
    if (measured && must.limit!.comparator === "fits" && estimates.sides)
      return { must, status: statusOf(must.limit!, { kind: "sides", sides: estimates.sides }, []) };
    if (measured && must.limit!.comparator !== "fits" && value !== null)
      return {
        must,
        status: statusOf(
          must.limit!,
          { kind: "value", value, U: 0, inputs: claim?.how ? [{ label: "how", value: claim.how }] : [] },
          [],
        ),
      };
    const verdict: Verdict = !claim
      ? "untested"
      : claim.says === "yes"
        ? "met"
        : claim.says === "no"
          ? "not met"
          : "marginal";
    return {
      must,
      status: {
        value: verdict,
        working: makeWorking({
          title: `${must.code} ${must.statement}`,
          result: verdict,
          rule: "The author's word: yes is met, no is not met, unsure is marginal; no word is untested.",
          steps: claim ? [`${claim.says}${claim.how ? `: ${claim.how}` : ""}`] : [],
          warnings: claim ? [] : ["The author says nothing of this must yet."],
        }),
      },
    };
  });
}
