import { expandUncertainty } from "../formula/show";
import { countAttempts, countedStep } from "../points/attempts";
import { formatNumber } from "../quantity/quantity";
import { describe } from "../stats/describe";
import { type Computed, makeWorking } from "../working/working";
import type { AssessedRun } from "./assess";
import { channelsOf, type ProtocolDefinition } from "./protocol";
import { countLevels, levelName } from "./reading";

export interface RunSummary {
  readonly n: number;
  readonly setAside: number;
  readonly mean: number | null;
  readonly sd: number | null;
  readonly interval: readonly [number, number] | null;
  readonly best: number | null;
  /** What counts by the protocol's policy. */
  readonly counted: number | null;
  /** Expanded uncertainty of what counts. */
  readonly U: number;
  /** Of a channel of levels: how often each was read. It has no mean, no scatter and no interval. */
  readonly levels?: readonly { readonly name: string; readonly n: number }[];
}

/**
 * What a build's comparable runs come to for one channel: mean, spread, best, and the value that counts by the
 * protocol's policy with its working.
 * U of a single counted run is its own; of a mean, 2·√(s²/n + ū²) with ū the runs' mean standard uncertainty.
 * @example
 * summariseRuns(
 *   {
 *     conditions: [],
 *     measures: [{ key: "V", name: "Water", unit: "L", resolution: "0.05" }],
 *     constants: [],
 *     derived: [],
 *     primary: "V",
 *     better: "more",
 *     policy: { school: "best", n: 3, foul: "out" },
 *     safety: [],
 *   },
 *   [],
 *   "V",
 * ).value.n
 * // => 0
 */
export function summariseRuns(p: ProtocolDefinition, runs: readonly AssessedRun[], key: string): Computed<RunSummary> {
  const channel = channelsOf(p).find((c) => c.key === key);
  if (!channel) throw new RangeError(`The protocol does not measure “${key}”`);
  const good = runs
    .filter((r) => r.comparable && r.values[key]?.value)
    .map((r) => ({ run: r, v: r.values[key]!.value! }));
  const fouls = runs.filter((r) => (r.state === "foul" || r.state === "no_finish") && r.current && r.inside);
  const description = describe(good.map((g) => g.v.value));
  const ordered = [
    ...good.map((g) => ({ at: g.run.attempt, value: String(g.v.value), state: "valid" as const })),
    ...fouls.map((r) => ({ at: r.attempt, value: null, state: r.state })),
  ].sort((a, b) => a.at - b.at);
  // On the bench a build may be run more often than a contest allows: every comparable run stands.
  const counted = countAttempts(ordered, { ...p.policy, n: Math.max(p.policy.n, ordered.length) }, p.better);
  const value = counted.value === null ? null : Number(counted.value);
  const single = good.find((g) => g.v.value === value);
  const meanU = good.length ? good.reduce((s, g) => s + g.v.u, 0) / good.length : 0;
  const averaged = p.policy.school === "mean" || p.policy.school === "median" || p.policy.school === "best-k";
  const u = averaged
    ? Math.sqrt((description?.sd ?? 0) ** 2 / Math.max(1, good.length) + meanU ** 2)
    : (single?.v.u ?? meanU);
  const setAside = runs.length - good.length;
  const warnings = runs
    .filter((r) => !r.comparable)
    .map((r) => `Attempt ${r.attempt} is left out: ${r.reasons.join("; ")}.`);
  const rule =
    "Of the runs that count, the " +
    `${p.policy.school === "best-k" ? `mean of the best ${p.policy.k}` : p.policy.school} is taken.`;
  if (channel.levels) {
    const names = channel.levels;
    const named = countLevels(
      names,
      good.map((g) => g.v.value),
    ).map((n, i) => ({ name: names[i]!, n }));
    const best = description && (p.better === "more" ? description.max : description.min);
    return {
      value: {
        n: good.length,
        setAside,
        mean: null,
        sd: null,
        interval: null,
        best,
        counted: value,
        U: 0,
        levels: named,
      },
      working: makeWorking({
        title: channel.name,
        result: value === null ? "–" : levelName(names, value),
        rule: `${rule} The levels in their order: ${names.join(", ")}.`,
        steps: good.length ? [`of ${good.length}: ${named.map((x) => `${x.n} ${x.name}`).join(", ")}`] : [],
        inputs: good.map((g) => ({ label: `attempt ${g.run.attempt}`, value: g.v.shown })),
        warnings,
      }),
    };
  }
  const { U, digits } = expandUncertainty(u);
  // What was counted is shown whole.
  const show = (x: number) => formatNumber(x, U > 0 ? digits : Number.isInteger(x) ? 0 : 2);
  return {
    value: {
      n: good.length,
      setAside,
      mean: description?.mean ?? null,
      sd: description?.sd ?? null,
      interval: description?.interval ?? null,
      best: description ? (p.better === "more" ? description.max : description.min) : null,
      counted: value,
      U,
    },
    working: makeWorking({
      title: channel.name,
      result: value === null ? "–" : show(value),
      unit: channel.unit,
      plusMinus: value !== null && U > 0 ? formatNumber(U, digits) : undefined,
      rule,
      steps: description
        ? [
            value === null
              ? counted.step
              : countedStep(
                  p.policy.school,
                  counted.values,
                  counted.taken,
                  U > 0 ? formatNumber(value, Math.max(0, digits)) : show(value),
                ),
            `mean ${show(description.mean)}` +
              `${description.sd === null ? "" : `, standard deviation ${show(description.sd)}`}, ` +
              `of ${good.length} ${good.length === 1 ? "run" : "runs"}`,
          ]
        : [],
      inputs: good.map((g) => ({ label: `attempt ${g.run.attempt}`, value: show(g.v.value), unit: channel.unit })),
      warnings,
    }),
  };
}
