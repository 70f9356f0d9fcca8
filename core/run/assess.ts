import Decimal from "decimal.js";
import { evaluateFormula, type FormulaInput, shownDigits } from "../formula/evaluate";
import { expandUncertainty, inUnit, showFormula, symbolsIn } from "../formula/show";
import { decimalsFor, formatNumber, fromSi, knownUnit, spanToSi, toSi } from "../quantity/quantity";
import type { RunState } from "../vocabulary/runs";
import { runState } from "../vocabulary/runs";
import { type Computed, makeWorking, type WorkingInput } from "../working/working";
import { implausible, outsideTolerance, type ProtocolDefinition } from "./protocol";
import { levelName, levelsOf, unitAfter } from "./reading";

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
    if (outsideTolerance(c, si)) {
      inside = false;
      const [low, high] = [new Decimal(c.target).minus(c.tolerance), new Decimal(c.target).plus(c.tolerance)];
      reasons.push(`${c.name} ${unitAfter(shown, c.unit)}, outside ${low} to ${unitAfter(String(high), c.unit)}`);
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
    const levels = levelsOf(m);
    // What is counted or named is so exactly.
    const exactly = levels !== null || m.kind === "count";
    const u = exactly ? 0 : standardU(m.resolution, m.u);
    const unit = exactly ? "" : m.unit;
    const shown = levels ? levelName(levels, exact.toNumber()) : formatNumber(exact, decimalsFor(m.resolution));
    scope[m.key] = { value: Number(si), u: u * knownUnit(m.unit).factor.toNumber() };
    const note = exactly ? undefined : m.u ? `u ${m.u} ${m.unit}` : `resolution ${m.resolution} ${m.unit}, u = r/√12`;
    inputs[m.key] = { label: `${m.name} (${m.key})`, value: shown, unit, note, ...source };
    const odd = implausible(m, exact.toString());
    if (odd) alarms.push(odd);
    values[m.key] = {
      value: { value: exact.toNumber(), u, shown },
      working: makeWorking({
        title: m.name,
        result: shown,
        unit,
        plusMinus: exactly ? undefined : formatNumber(expandUncertainty(u).U, expandUncertainty(u).digits),
        rule: exactly ? "As it was seen and written down." : "Read from the instrument.",
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
