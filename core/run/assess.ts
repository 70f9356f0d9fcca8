import Decimal from "decimal.js";
import { evaluateFormula, type FormulaInput, shownDigits } from "../formula/evaluate";
import { expandUncertainty, inUnit, showFormula, symbolsIn } from "../formula/show";
import { countAttempts, countedStep } from "../points/attempts";
import { decimalsFor, formatNumber, fromSi, knownUnit, spanToSi, toSi } from "../quantity/quantity";
import { describe } from "../stats/describe";
import type { RunState } from "../vocabulary/runs";
import { runState } from "../vocabulary/runs";
import { type Computed, makeWorking, type WorkingInput } from "../working/working";
import { channelsOf, implausible, type ProtocolDefinition } from "./protocol";

/** What was recorded of one run. Values are SI decimal texts by symbol. */
export interface RecordedRun {
  readonly id: string;
  readonly attempt: number;
  readonly state: RunState;
  readonly reason: string | null;
  readonly readings: Readonly<Record<string, string>>;
  readonly conditions: Readonly<Record<string, string>>;
  readonly by?: string;
  readonly at?: string;
  /** Set when the run was made under another version of the protocol. */
  readonly otherVersion?: number;
}

export interface RunValue {
  /** In the channel's unit. */
  readonly value: number;
  /** Standard uncertainty in the channel's unit. */
  readonly u: number;
  readonly shown: string;
}

export interface AssessedRun {
  readonly id: string;
  readonly attempt: number;
  readonly state: RunState;
  readonly values: Readonly<Record<string, Computed<RunValue | null>>>;
  readonly comparable: boolean;
  /** Made under the protocol version that it is judged by. */
  readonly current: boolean;
  /** Inside all tolerances. */
  readonly inside: boolean;
  /** Why it is not comparable, in words. */
  readonly reasons: readonly string[];
  readonly alarms: readonly string[];
}

/** To the digits that a line in SI shows; what the arithmetic left over does not turn an exact half into less. */
const digitsOf = (value: number) =>
  new Decimal(value.toPrecision(14)).toSignificantDigits(shownDigits, Decimal.ROUND_HALF_UP).toNumber();

const standardU = (resolution: string, u: string | undefined) => (u ? Number(u) : Number(resolution) / Math.sqrt(12));

/**
 * A run under its protocol: every derived measure with uncertainty and working, whether it may be compared, and alarms.
 * A run is comparable when it is valid, was made under this protocol version and lies inside all tolerances.
 * @example
 * assessRun(
 *   {
 *     conditions: [{ key: "h", name: "Lift", unit: "m", target: "1.60", tolerance: "0.01" }],
 *     measures: [{ key: "V", name: "Water", unit: "L", resolution: "0.05" }],
 *     constants: [],
 *     derived: [],
 *     primary: "V",
 *     better: "more",
 *     policy: { school: "best", n: 3, foul: "out" },
 *     safety: [],
 *   },
 *   { id: "r", attempt: 1, state: "valid", reason: null, readings: { V: "0.008" }, conditions: { h: "1.56" } },
 * ).reasons
 * // => ["Lift 1.56 m, outside 1.59 to 1.61 m"]
 */
export function assessRun(p: ProtocolDefinition, run: RecordedRun): AssessedRun {
  const reasons: string[] = [];
  const alarms: string[] = [];
  const scope: Record<string, FormulaInput> = {};
  const inputs: Record<string, WorkingInput> = {};
  let inside = true;
  const values: Record<string, Computed<RunValue | null>> = {};
  const source = { by: run.by, at: run.at };

  if (run.otherVersion !== undefined) reasons.push(`made under version ${run.otherVersion} of the protocol`);
  if (run.state !== "valid") reasons.push(runState.labels[run.state] + (run.reason ? `: ${run.reason}` : ""));
  for (const c of p.constants) {
    scope[c.key] = { value: toSi(c.value, c.unit).toNumber(), u: c.u ? spanToSi(c.u, c.unit).toNumber() : 0 };
    inputs[c.key] = { label: `${c.name} (${c.key})`, value: c.value, unit: c.unit, note: "constant of the protocol" };
  }
  for (const c of p.conditions) {
    const si = run.conditions[c.key];
    const shown =
      si === undefined
        ? c.target
        : formatNumber(fromSi(si, c.unit), Math.max(decimalsFor(c.tolerance), decimalsFor(c.target)));
    scope[c.key] = {
      value: si === undefined ? toSi(c.target, c.unit).toNumber() : Number(si),
      u: spanToSi(c.u || "0", c.unit).toNumber(),
    };
    inputs[c.key] = {
      label: `${c.name} (${c.key})`,
      value: shown,
      unit: c.unit,
      note: si === undefined ? "as the protocol sets it" : c.u ? `u ${c.u} ${c.unit}` : undefined,
      ...source,
    };
    if (si === undefined) continue;
    const off = fromSi(si, c.unit).minus(c.target).abs();
    if (off.gt(c.tolerance)) {
      inside = false;
      reasons.push(
        `${c.name} ${shown} ${c.unit}, outside ${new Decimal(c.target).minus(c.tolerance)} to ` +
          `${new Decimal(c.target).plus(c.tolerance)} ${c.unit}`,
      );
    }
  }
  for (const m of p.measures) {
    const si = run.readings[m.key];
    if (si === undefined) {
      values[m.key] = {
        value: null,
        working: makeWorking({
          title: m.name,
          result: "–",
          unit: m.unit,
          rule: "Read from the instrument.",
          warnings: ["Not read."],
        }),
      };
      continue;
    }
    const exact = fromSi(si, m.unit);
    const u = standardU(m.resolution, m.u);
    const shown = formatNumber(exact, decimalsFor(m.resolution));
    scope[m.key] = { value: Number(si), u: u * knownUnit(m.unit).factor.toNumber() };
    const note = m.u ? `u ${m.u} ${m.unit}` : `resolution ${m.resolution} ${m.unit}, u = r/√12`;
    inputs[m.key] = { label: `${m.name} (${m.key})`, value: shown, unit: m.unit, note, ...source };
    const odd = implausible(m, exact.toString());
    if (odd) alarms.push(odd);
    values[m.key] = {
      value: { value: exact.toNumber(), u, shown },
      working: makeWorking({
        title: m.name,
        result: shown,
        unit: m.unit,
        plusMinus: formatNumber(expandUncertainty(u).U, expandUncertainty(u).digits),
        rule: "Read from the instrument.",
        inputs: [inputs[m.key]!],
      }),
    };
  }
  for (const d of p.derived) {
    const symbols = symbolsIn(d.expression);
    const missing = symbols.filter((s) => !(s in scope) && [...p.measures, ...p.derived].some((m) => m.key === s));
    if (missing.length) {
      values[d.key] = {
        value: null,
        working: makeWorking({
          title: d.name,
          result: "–",
          unit: d.unit,
          rule: d.rule,
          warnings: [`Not yet read: ${missing.join(", ")}.`],
        }),
      };
      continue;
    }
    const r = evaluateFormula(d.expression, scope);
    if (!Number.isFinite(r.value)) {
      values[d.key] = {
        value: null,
        working: makeWorking({
          title: d.name,
          result: "–",
          unit: d.unit,
          rule: d.rule,
          steps: [`${d.key} = ${r.substituted}`],
          warnings: ["This cannot be computed: a division by zero, a root of a negative number, or a broken formula."],
        }),
      };
      continue;
    }
    scope[d.key] = r;
    const factor = knownUnit(d.unit).factor.toNumber();
    const [value, u] = [r.value / factor, r.u / factor];
    const shown = formatNumber(value, d.decimals);
    inputs[d.key] = { label: `${d.name} (${d.key})`, value: shown, unit: d.unit, note: "computed" };
    const warnings: string[] = r.simulated
      ? ["The slope of the formula says nothing here, so ± holds 95 % of 2000 simulated readings."]
      : [];
    if (d.bound && value > Number(d.bound)) {
      const text =
        `${d.name} ${shown} ${d.unit} is above ${d.bound} ${d.unit}, which physics does not allow: ` +
        "check the measurement.";
      warnings.push(text);
      alarms.push(text);
    }
    const { U, digits } = expandUncertainty(u);
    values[d.key] = {
      value: { value, u, shown },
      working: makeWorking({
        title: d.name,
        result: formatNumber(value, digits),
        unit: d.unit,
        plusMinus: U > 0 ? formatNumber(U, digits) : undefined,
        rule: d.rule,
        warnings,
        steps: [
          `${d.key} = ${showFormula(d.expression)}`,
          `in SI: ${r.substituted} = ${digitsOf(r.value)}`,
          `in ${d.unit}: ${inUnit(r.value, factor, U > 0 ? { value, U, digits } : shown, d.unit)}`,
        ],
        inputs: symbols.flatMap((s) => (inputs[s] ? [inputs[s]] : [])),
        contributions: r.contributions.map((c) => ({
          label: inputs[c.symbol]?.label ?? c.symbol,
          share: c.share,
          note: inputs[c.symbol]?.note ?? "",
        })),
        basis: d.bound
          ? [`Physical limit ${d.bound} ${d.unit}: ${value > Number(d.bound) ? "exceeded" : "within"}`]
          : [],
      }),
    };
  }
  return {
    id: run.id,
    attempt: run.attempt,
    state: run.state,
    values,
    comparable: reasons.length === 0,
    current: run.otherVersion === undefined,
    inside,
    reasons,
    alarms,
  };
}

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
  const { U, digits } = expandUncertainty(u);
  const show = (x: number) => formatNumber(x, digits);
  const setAside = runs.length - good.length;
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
      rule:
        "Of the runs that count, the " +
        `${p.policy.school === "best-k" ? `mean of the best ${p.policy.k}` : p.policy.school} is taken.`,
      steps: description
        ? [
            value === null
              ? counted.step
              : countedStep(p.policy.school, counted.values, counted.taken, formatNumber(value, Math.max(0, digits))),
            `mean ${show(description.mean)}` +
              `${description.sd === null ? "" : `, standard deviation ${show(description.sd)}`}, ` +
              `of ${good.length} ${good.length === 1 ? "run" : "runs"}`,
          ]
        : [],
      inputs: good.map((g) => ({ label: `attempt ${g.run.attempt}`, value: show(g.v.value), unit: channel.unit })),
      warnings: runs
        .filter((r) => !r.comparable)
        .map((r) => `Attempt ${r.attempt} is left out: ${r.reasons.join("; ")}.`),
    }),
  };
}
