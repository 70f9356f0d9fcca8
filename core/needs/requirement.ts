import Decimal from "decimal.js";
import { compareEnvelope } from "../quantity/envelope";
import { formatNumber, fromSi } from "../quantity/quantity";
import { levelName } from "../run/reading";
import type { Comparator, FindingOutcome, Priority, Verdict } from "../vocabulary/needs";
import { equation } from "../working/equation";
import { type Computed, makeWorking, type WorkingInput } from "../working/working";

/**
 * The protocol and channel that a requirement's measure names, `run:<protocol>:<channel>`; null for the measures of a
 * build and for none.
 * @example runMeasure("run:p1:Q") // => { protocol: "p1", channel: "Q" }
 * @example runMeasure("mass") // => null
 */
export function runMeasure(measure: string | null | undefined): { protocol: string; channel: string } | null {
  const [, protocol, channel] = /^run:([^:]+):(.+)$/.exec(measure ?? "") ?? [];
  return protocol && channel ? { protocol, channel } : null;
}

/**
 * Whether a measure is one that every build records of itself: its mass, its cost or its envelope.
 * @example isBuildMeasure("mass") // => true
 */
export function isBuildMeasure(measure: string | null): measure is "mass" | "cost" | "envelope" {
  return measure === "mass" || measure === "cost" || measure === "envelope";
}

/** What a requirement asks of a measured quantity; numbers are SI decimal texts. */
export interface Limit {
  readonly comparator: Comparator;
  readonly target: string | null;
  /** Tolerance for ±, upper limit for between. */
  readonly second: string | null;
  /** Sides of the envelope for fits. */
  readonly sides: readonly string[] | null;
  readonly unit: string;
  /** The names that the numbers stand for, by position, where a level is asked for. */
  readonly levels?: readonly string[] | null;
}

export type Observation =
  | {
      kind: "value" /** SI */;
      value: string /** expanded uncertainty, SI */;
      U: number;
      inputs?: readonly WorkingInput[];
    }
  | { kind: "sides"; sides: readonly string[]; inputs?: readonly WorkingInput[] }
  | { kind: "finding"; outcome: FindingOutcome; note: string; by?: string; at?: string };

const tidy = (si: Decimal.Value, unit: string) => fromSi(si, unit).toSignificantDigits(10).toString().replace("-", "−");

/**
 * A limit in words, in its own unit.
 * @example describeLimit({ comparator: "≤", target: "5", second: null, sides: null, unit: "kg" }) // => "≤ 5 kg"
 * @example describeLimit({ comparator: "≤", target: "14", second: null, sides: null, unit: "1" }) // => "≤ 14"
 * @example
 * describeLimit({
 *   comparator: "≤", target: "1", second: null, sides: null, unit: "1", levels: ["intact", "hairline", "broken"],
 * })
 * // => "hairline or before"
 * @example
 * describeLimit({ comparator: "fits", target: null, second: null, sides: ["0.6", "0.4", "0.4"], unit: "mm" })
 * // => "600 × 400 × 400 mm"
 */
export function describeLimit(l: Limit): string {
  if (l.comparator === "yes") return "yes";
  if (l.comparator === "fits") return `${(l.sides ?? []).map((s) => tidy(s, l.unit)).join(" × ")} ${l.unit}`;
  if (l.levels) {
    const name = levelName(l.levels, Number(l.target));
    return `${name}${l.comparator === "≤" ? " or before" : l.comparator === "≥" ? " or after" : ""}`;
  }
  const t = tidy(l.target ?? "0", l.unit);
  const unit = l.unit === "1" ? "" : ` ${l.unit}`;
  if (l.comparator === "±") return `${t} ± ${tidy(l.second ?? "0", l.unit)}${unit}`;
  if (l.comparator === "between")
    return `${limitRange(l)
      .map((x) => tidy(x!, l.unit))
      .join(" to ")}${unit}`;
  return `${l.comparator} ${t}${unit}`;
}

/**
 * The closed interval of values that a limit allows, SI; null is unbounded.
 * @example
 * limitRange({ comparator: "±", target: "2", second: "0.5", sides: null, unit: "kg" }).map(String)
 * // => ["1.5", "2.5"]
 */
export function limitRange(l: Limit): [Decimal | null, Decimal | null] {
  const t = l.target === null ? null : new Decimal(l.target);
  const s = new Decimal(l.second ?? 0);
  switch (l.comparator) {
    case "≤":
      return [null, t];
    case "≥":
      return [t, null];
    case "=":
      return [t, t];
    case "±":
      return [t!.minus(s), t!.plus(s)];
    case "between":
      return [Decimal.min(t!, s), Decimal.max(t!, s)];
    default:
      return [null, null];
  }
}

const rule =
  "Met when the whole interval x ± U is inside the limit; not met when it is wholly outside; marginal " +
  "when it straddles the limit.";

/**
 * The status of a requirement for a build. Without an observation it is untested; with a version that is no longer
 * current it is stale.
 * @example
 * statusOf(
 *   { comparator: "≥", target: "7.5", second: null, sides: null, unit: "1" },
 *   { kind: "value", value: "7.6", U: 0.2 },
 *   [],
 * ).value
 * // => "marginal"
 * @example
 * statusOf({ comparator: "≤", target: "5", second: null, sides: null, unit: "kg" }, null, []).value
 * // => "untested"
 */
export function statusOf(limit: Limit, seen: Observation | null, stale: readonly string[]): Computed<Verdict> {
  const title = `Status against ${describeLimit(limit)}`;
  const finish = (
    verdict: Verdict,
    steps: string[],
    inputs: readonly WorkingInput[] = [],
    warnings: string[] = [],
  ): Computed<Verdict> => {
    const value = stale.length && verdict !== "not applicable" ? "stale" : verdict;
    const why = stale.length
      ? [`Stale: ${stale.join("; ")}. Run it again, or keep it with a reason. Before that it was: ${verdict}.`]
      : [];
    return {
      value,
      working: makeWorking({ title, result: value, rule, steps, inputs, warnings: [...why, ...warnings] }),
    };
  };
  if (!seen)
    return {
      value: "untested",
      working: makeWorking({
        title,
        result: "untested",
        rule,
        warnings: ["There is no evidence for the current build yet."],
      }),
    };
  if (seen.kind === "finding")
    return finish(
      // What is partly met is not told from its limit.
      seen.outcome === "partly" ? "marginal" : seen.outcome,
      [`found: ${seen.outcome}${seen.note ? `, ${seen.note}` : ""}`],
      [{ label: "finding", value: seen.outcome, by: seen.by, at: seen.at }],
    );
  if (seen.kind === "sides") {
    const sides = compareEnvelope(seen.sides, limit.sides ?? []);
    const inUnit = (si: Decimal.Value) => ({ of: fromSi(si, limit.unit) });
    const steps = sides.map((s) =>
      equation([inUnit(s.limit), " − ", inUnit(s.side)], tidy(s.margin, limit.unit), limit.unit),
    );
    return finish(
      sides.every((s) => new Decimal(s.margin).gte(0)) ? "met" : "not met",
      ["sides sorted from long to short, limit − side:", ...steps],
      seen.inputs,
    );
  }
  const x = new Decimal(seen.value);
  const [low, high] = limitRange(limit);
  const [from, to] = [x.minus(seen.U), x.plus(seen.U)];
  const inside = (low === null || from.gte(low)) && (high === null || to.lte(high));
  const outside = (low !== null && to.lt(low)) || (high !== null && from.gt(high));
  const places = (si: Decimal) => formatNumber(fromSi(si, limit.unit), digitsFor([from, to], [low, high], limit.unit));
  const verdict = inside ? "met" : outside ? "not met" : "marginal";
  const step =
    seen.U > 0
      ? `${places(from)} to ${places(to)} ${limit.unit} against ${describeLimit(limit)}: ${verdict}`
      : `${limit.levels ? levelName(limit.levels, x.toNumber()) : `${tidy(x, limit.unit)} ${limit.unit}`} against ` +
        `${describeLimit(limit)}: ${verdict}`;
  return finish(verdict, [step], seen.inputs);
}

/** Digits at which the ends of an interval, as they are shown, lie to the bounds of a limit as they do in truth. */
function digitsFor(ends: readonly Decimal[], bounds: readonly (Decimal | null)[], unit: string): number | undefined {
  const usual = (x: Decimal) => (x.isZero() ? 0 : Math.max(0, 3 - Math.floor(x.abs().log(10).toNumber())));
  const least = Math.max(...ends.map((e) => Math.min(8, usual(fromSi(e, unit)))));
  const agrees = (digits: number) =>
    ends.every((e) =>
      bounds.every(
        (b) =>
          b === null ||
          fromSi(e, unit).toDecimalPlaces(digits).cmp(fromSi(b, unit)) === fromSi(e, unit).cmp(fromSi(b, unit)),
      ),
    );
  for (let digits = least; digits <= 8; digits++) if (agrees(digits)) return digits;
  return 8;
}

/**
 * How far a value is inside its limit, SI; negative outside; null for limits that have no margin.
 * @example
 * marginOf({ comparator: "≤", target: "5", second: null, sides: null, unit: "kg" }, "5.31")?.toString()
 * // => "-0.31"
 */
export function marginOf(limit: Limit, value: string): Decimal | null {
  const [low, high] = limitRange(limit);
  const margins = [
    low === null ? null : new Decimal(value).minus(low),
    high === null ? null : high.minus(value),
  ].filter((m) => m !== null);
  return margins.length ? Decimal.min(...margins) : null;
}

/**
 * Share of musts that are met for a build: verified musts over musts; null when there is no must.
 * @example
 * coverage([
 *   { priority: "must", verdict: "met" },
 *   { priority: "must", verdict: "stale" },
 *   { priority: "could", verdict: "met" },
 * ])
 * // => { verified: 1, musts: 2 }
 */
export function coverage(list: readonly { priority: Priority; verdict: Verdict }[]): {
  verified: number;
  musts: number;
} {
  const musts = list.filter((r) => r.priority === "must" && r.verdict !== "not applicable");
  return { verified: musts.filter((r) => r.verdict === "met").length, musts: musts.length };
}

const vagueWords = [
  "light",
  "lightweight",
  "heavy",
  "sturdy",
  "strong",
  "robust",
  "quiet",
  "fast",
  "quick",
  "easy",
  "easily",
  "simple",
  "cheap",
  "small",
  "big",
  "safe",
  "comfortable",
  "reliable",
  "durable",
  "nice",
  "good",
  "better",
  "efficient",
  "user-friendly",
  "attractive",
  "stable",
  "convenient",
];

/**
 * Words of a statement that no one can measure as they stand; empty when the statement has a number or none of them.
 * @example vagueWordsIn("Quiet near the reading corner") // => ["quiet"]
 * @example vagueWordsIn("Light: at most 5 kg") // => []
 */
export function vagueWordsIn(statement: string): string[] {
  if (/\d/.test(statement)) return [];
  const words = new Set(statement.toLowerCase().match(/[a-z-]+/g) ?? []);
  return vagueWords.filter((w) => words.has(w));
}

/**
 * The code after those in use: R-01, R-02, ...; gaps are not filled, so that a code never means two things.
 * @example nextCode(["R-01", "R-07"]) // => "R-08"
 */
export function nextCode(codes: readonly string[]): string {
  const top = codes.reduce((m, c) => Math.max(m, Number(/^R-(\d+)$/.exec(c)?.[1] ?? 0)), 0);
  return `R-${String(top + 1).padStart(2, "0")}`;
}
