import Decimal from "decimal.js";
import { checkFormula } from "../formula/check";
import { symbolsIn } from "../formula/show";
import type { AttemptsPolicy } from "../points/attempts";
import { type Dimension, sameDimension } from "../quantity/dimension";
import { fromSi } from "../quantity/quantity";
import { parseUnit } from "../quantity/units";
import { checkTake, type Take } from "../series/measure";
import type { AttemptMethod, Better } from "../vocabulary/runs";
import { type Kind, levelsOf } from "./reading";

/** Something that is read; numbers are decimal texts in its unit. */
export interface Measure extends Kind {
  readonly key: string;
  readonly name: string;
  readonly unit: string;
  readonly resolution: string;
  /** Standard uncertainty; left out, the resolution counts as r/√12. */
  readonly u?: string;
  /** Plausible range: outside it a reading is questioned. */
  readonly min?: string;
  readonly max?: string;
  /** It is taken from a series of samples by this rule. */
  readonly take?: Take;
}

/** Something kept the same in every run, with the tolerance inside which runs are comparable. */
export interface Condition {
  readonly key: string;
  readonly name: string;
  readonly unit: string;
  readonly target: string;
  readonly tolerance: string;
  readonly u?: string;
}

export interface Constant {
  readonly key: string;
  readonly name: string;
  readonly unit: string;
  readonly value: string;
  readonly u?: string;
}

/** A measure computed by a formula over measures, conditions, constants and earlier derived measures. */
export interface Derived {
  readonly key: string;
  readonly name: string;
  readonly unit: string;
  readonly expression: string;
  readonly decimals: number;
  readonly rule: string;
  /** No real value can lie above this; an alarm, not a refusal. */
  readonly bound?: string;
}

export interface ProtocolDefinition {
  readonly conditions: readonly Condition[];
  readonly measures: readonly Measure[];
  readonly constants: readonly Constant[];
  readonly derived: readonly Derived[];
  /** Key of the measure that the protocol is about. */
  readonly primary: string;
  /** Key of the computed measure that says what theory gives for it; what was measured is held against it. */
  readonly theory?: string;
  readonly better: Better;
  readonly policy: AttemptsPolicy;
  /** Cautions shown before the first run, with who must be asked. */
  readonly safety: readonly string[];
  /** Steps that trigger one another, in their order: what the protocol is about is how many a trial passed. */
  readonly steps?: readonly string[];
}

export interface Channel {
  readonly key: string;
  readonly name: string;
  readonly unit: string;
  /** The names that its values stand for, by position; none where it is a number. */
  readonly levels?: readonly string[];
  /** It is counted: its values are whole. */
  readonly whole?: true;
}

/**
 * Every value that a run of the protocol yields: read and derived measures, in order.
 * @example
 * channelsOf({
 *   conditions: [],
 *   measures: [{ key: "V", name: "Volume", unit: "L", resolution: "0.05" }],
 *   constants: [],
 *   derived: [],
 *   primary: "V",
 *   better: "more",
 *   policy: { school: "best", n: 3, foul: "out" },
 *   safety: [],
 * }).map((c) => c.key)
 * // => ["V"]
 */
export function channelsOf(p: ProtocolDefinition): Channel[] {
  const read = p.measures.map((m) => {
    const levels = levelsOf(m);
    return {
      key: m.key,
      name: m.name,
      unit: m.unit,
      ...(levels && { levels }),
      ...(m.kind === "count" && { whole: true as const }),
    };
  });
  return [...read, ...p.derived.map(({ key, name, unit }) => ({ key, name, unit }))];
}

/**
 * The channel that a protocol is about. Throws where it measures no such thing, which `checkProtocol` refuses.
 * @example
 * primaryOf({
 *   conditions: [],
 *   measures: [{ key: "V", name: "Volume", unit: "L", resolution: "0.05" }],
 *   constants: [],
 *   derived: [],
 *   primary: "V",
 *   better: "more",
 *   policy: { school: "best", n: 3, foul: "out" },
 *   safety: [],
 * }).name
 * // => "Volume"
 */
export function primaryOf(p: ProtocolDefinition): Channel {
  const channel = channelsOf(p).find((c) => c.key === p.primary);
  if (!channel) throw new RangeError(`The protocol does not measure “${p.primary}”`);
  return channel;
}

/**
 * What a channel is read to, in its unit: an instrument's resolution, or the last digit that a computed value shows.
 * @example
 * readTo(
 *   {
 *     conditions: [],
 *     measures: [{ key: "V", name: "Water", unit: "L", resolution: "0.05" }],
 *     constants: [],
 *     derived: [{ key: "W", name: "Twice", unit: "L", expression: "2 * V", decimals: 1, rule: "" }],
 *     primary: "V",
 *     better: "more",
 *     policy: { school: "best", n: 3, foul: "out" },
 *     safety: [],
 *   },
 *   "W",
 * )
 * // => 0.1
 */
export function readTo(p: ProtocolDefinition, key: string): number {
  const measure = p.measures.find((m) => m.key === key);
  if (measure) return Number(measure.resolution);
  return new Decimal(10).pow(-(p.derived.find((d) => d.key === key)?.decimals ?? 2)).toNumber();
}

/**
 * The readings that a channel is computed from; itself for a read measure, nothing for an unknown one.
 * @example
 * readingsFor(
 *   {
 *     conditions: [],
 *     measures: [{ key: "V", name: "Water", unit: "L", resolution: "0.05" }],
 *     constants: [],
 *     derived: [{ key: "W", name: "Twice", unit: "L", expression: "2 * V", decimals: 1, rule: "" }],
 *     primary: "V",
 *     better: "more",
 *     policy: { school: "best", n: 3, foul: "out" },
 *     safety: [],
 *   },
 *   "W",
 * )
 * // => ["V"]
 */
export function readingsFor(p: ProtocolDefinition, channel: string): string[] {
  if (p.measures.some((m) => m.key === channel)) return [channel];
  const d = p.derived.find((x) => x.key === channel);
  return [
    ...new Set(
      symbolsIn(d?.expression ?? "")
        .filter((x) => x !== channel)
        .flatMap((x) => readingsFor(p, x)),
    ),
  ];
}

/** The ways to count attempts that take a mean or a sum. */
export const averaging: readonly AttemptMethod[] = ["mean", "sum", "best-k"];

/**
 * Why a level, or yes or no, cannot be averaged, summed or counted as zero.
 * @example noMean("Damage").slice(0, 28) // => "Damage is not a number: it h"
 */
export const noMean = (name: string): string =>
  `${name} is not a number: it has no mean, no sum and no zero. ` +
  "Let the best, the median, the last or the first attempt count.";

/** What is wrong with the kind of a reading, in words. */
function checkKind(m: Measure): string[] {
  if (m.kind === undefined || m.kind === "number") return [];
  if (m.unit !== "1") return [`${m.name}: only a number has a unit.`];
  if (m.kind !== "level") return [];
  const names = (m.levels ?? []).map((l) => l.trim().toLowerCase());
  if (names.length < 2) return [`${m.name}: name two levels or more, in their order.`];
  if (names.some((n) => /^[-+\d.,]*$/.test(n))) return [`${m.name}: a level is a word, not a number.`];
  return new Set(names).size < names.length ? [`${m.name}: each level has a name of its own.`] : [];
}

/**
 * Whether a condition as it was measured leaves its tolerance.
 * @param si the measured value in SI, as decimal text
 * @example
 * outsideTolerance({ key: "h", name: "Lift", unit: "m", target: "1.60", tolerance: "0.01" }, "1.611") // => true
 */
export const outsideTolerance = (c: Condition, si: Decimal.Value): boolean =>
  fromSi(si, c.unit).minus(c.target).abs().gt(c.tolerance);

/** Why a foul cannot count as zero. */
export const noZero =
  "Where less is better a foul that counts as zero would win: leave it out, or count it as the worst.";

/**
 * What is wrong with a protocol, in words; empty when it can be used. Checks names, units, numbers, formulas and their
 * dimensions.
 * @example
 * checkProtocol({
 *   conditions: [],
 *   measures: [],
 *   constants: [],
 *   derived: [],
 *   primary: "V",
 *   better: "more",
 *   policy: { school: "best", n: 3, foul: "out" },
 *   safety: [],
 * })
 * // => ["A protocol measures at least one quantity."]
 */
export function checkProtocol(p: ProtocolDefinition): string[] {
  const problems: string[] = [];
  if (p.measures.length === 0) return ["A protocol measures at least one quantity."];
  const known = new Map<string, Dimension>();
  const number = (what: string, text: string | undefined) => {
    if (text !== undefined && text !== "" && !/^-?\d+(\.\d+)?(e-?\d+)?$/i.test(text))
      problems.push(`${what}: “${text}” is not a number.`);
  };
  const declare = (what: string, key: string, unit: string) => {
    if (!/^[A-Za-z][A-Za-z0-9_]*$/.test(key))
      problems.push(`${what}: the symbol “${key}” must be a letter, then letters, digits or _.`);
    if (known.has(key)) problems.push(`${what}: the symbol “${key}” is used twice.`);
    const u = parseUnit(unit);
    if (!u) problems.push(`${what}: “${unit}” is not a known unit.`);
    known.set(key, u?.dimension ?? {});
  };
  for (const m of p.measures) {
    declare(m.name, m.key, m.unit);
    problems.push(...checkKind(m));
    if (m.take) problems.push(...checkTake(m, m.take));
    for (const t of [m.resolution, m.u, m.min, m.max]) number(m.name, t);
    if (!(Number(m.resolution) > 0)) problems.push(`${m.name}: give the resolution, for example 0.05 ${m.unit}.`);
  }
  for (const c of p.conditions) {
    declare(c.name, c.key, c.unit);
    for (const t of [c.target, c.tolerance, c.u]) number(c.name, t);
  }
  for (const c of p.constants) {
    declare(c.name, c.key, c.unit);
    for (const t of [c.value, c.u]) number(c.name, t);
  }
  const named = p.measures.filter((m) => m.kind === "level");
  for (const d of p.derived) {
    const unit = parseUnit(d.unit);
    const level = named.find((m) => symbolsIn(d.expression).includes(m.key));
    if (level) problems.push(`${d.name}: ${level.name} is a level, not a number: a formula cannot use it.`);
    const check = checkFormula(d.expression, known, unit?.dimension);
    if (!check.ok) problems.push(`${d.name}: ${check.message}`);
    number(d.name, d.bound);
    declare(d.name, d.key, d.unit);
  }
  if (!channelsOf(p).some((c) => c.key === p.primary))
    problems.push(`The protocol is about “${p.primary}”, which it does not measure.`);
  const about = p.measures.find((m) => m.key === p.primary);
  if (about && levelsOf(about) && (p.policy.foul === "zero" || averaging.includes(p.policy.school)))
    problems.push(noMean(about.name));
  if (p.theory) {
    const theory = p.derived.find((d) => d.key === p.theory);
    const of = (unit: string | undefined) => parseUnit(unit ?? "")?.dimension ?? {};
    if (!theory || p.theory === p.primary)
      problems.push("Theory is a computed measure of its own, beside what the protocol is about.");
    else if (!sameDimension(of(theory.unit), of(channelsOf(p).find((c) => c.key === p.primary)?.unit)))
      problems.push(`${theory.name} is in ${theory.unit}: theory is given in a unit of what the protocol is about.`);
  }
  if (p.steps?.length) {
    const counted = p.measures.find((m) => m.key === p.primary);
    if (!counted || counted.unit !== "1" || Number(counted.resolution) !== 1)
      problems.push("A protocol of steps is about how many were passed: a reading without a unit, of resolution 1.");
    if (counted?.max && Number(counted.max) !== p.steps.length)
      problems.push(`There are ${p.steps.length} steps: no more than ${p.steps.length} can be passed.`);
    if (new Set(p.steps).size < p.steps.length) problems.push("Each step has a name of its own.");
  }
  if (p.policy.foul === "zero" && p.better === "less") problems.push(noZero);
  if (p.policy.n < 1 || p.policy.n > 50) problems.push("Attempts: between 1 and 50.");
  if (p.policy.school === "best-k" && !((p.policy.k ?? 0) >= 1 && p.policy.k! <= p.policy.n))
    problems.push("Best k of n: k lies between 1 and n.");
  return problems;
}

/**
 * Whether a reading lies in its plausible range; null when it does, else what to check.
 * @example
 * implausible({ key: "F", name: "Handle force", unit: "N", resolution: "0.5", min: "5", max: "200" }, "3.4")
 * // => "Handle force is usually 5 to 200 N: check the reading."
 */
export function implausible(m: Measure, value: string): string | null {
  if (levelsOf(m)) return null;
  const v = new Decimal(value);
  const low = m.min !== undefined && m.min !== "" && v.lt(m.min);
  const high = m.max !== undefined && m.max !== "" && v.gt(m.max);
  if (!low && !high) return null;
  const range = m.min && m.max ? `${m.min} to ${m.max}` : m.min ? `at least ${m.min}` : `at most ${m.max}`;
  return `${m.name} is usually ${m.unit === "1" ? range : `${range} ${m.unit}`}: check the reading.`;
}
