import { changedVariables } from "@/core/builds/variables";
import { axisOf } from "@/core/quantity/axis";
import { decimalsFor, formatSi, fromSi } from "@/core/quantity/quantity";
import type { AssessedRun } from "@/core/run/assess";
import { channelsOf, readTo } from "@/core/run/protocol";
import { sequenceOf } from "@/core/run/sequence";
import { compareMeans } from "@/core/stats/compare";
import { outliers } from "@/core/stats/describe";
import type { Build } from "@/stages/builds/queries/builds";
import type { ProjectState } from "@/stages/needs/queries/state";
import { limitOf } from "@/stages/needs/view/requirements";
import type { Protocol, StoredRun } from "../queries";

/** The runs and values that the bench's page is made of. */
export interface BenchFacts {
  /** The build's attempts that are shown, in their order. */
  readonly runs: readonly StoredRun[];
  readonly assessed: ReadonlyMap<string, AssessedRun>;
  /** Comparable values of the primary channel, of the team's builds. */
  readonly values: readonly { buildId: string; runId: string; value: number }[];
  /** By build: how many runs, and the last attempt under the current version. */
  readonly attempts: readonly { buildId: string; runs: number; last: number | null }[];
}

/** The build that the bench opens at: the one asked for, or the newest, of the own team if any. */
export function buildAtBench(state: ProjectState, wanted: string | undefined, ownTeam: string | null) {
  const own = state.builds.filter((b) => !ownTeam || b.teamId === ownTeam);
  const age = (b: Build) => `${b.builtOn} ${b.id}`;
  const newest = own.toSorted((a, b) => (age(a) < age(b) ? -1 : 1));
  return state.builds.find((b) => b.id === wanted) ?? newest.at(-1);
}

/** Counts of steps that there can be: what was read beyond the last step is no trial of this sequence. */
const passedOf = (steps: readonly string[], values: readonly number[]) =>
  values.map(Math.round).filter((n) => n >= 0 && n <= steps.length);

/** What the bench shows of a build under a protocol. */
export function benchView(state: ProjectState, facts: BenchFacts, protocol: Protocol, build: Build) {
  const d = protocol.definition;
  const channels = channelsOf(d);
  const primary = channels.find((c) => c.key === d.primary)!;
  const siblings = state.builds.filter((b) => b.teamId === build.teamId);
  const valuesOf = (id: string) => facts.values.filter((v) => v.buildId === id).map((v) => v.value);
  const mine = facts.values.filter((v) => v.buildId === build.id);
  const far = new Set(outliers(mine.map((v) => v.value)).map((i) => mine[i]!.runId));
  const before = siblings.findLast((b) => b.number < build.number && valuesOf(b.id).length > 0);
  const comparison = before
    ? compareMeans(
        { name: `G${before.number}`, values: valuesOf(before.id) },
        { name: `G${build.number}`, values: valuesOf(build.id) },
        { unit: primary.unit, resolution: readTo(d, d.primary) },
      )
    : null;
  const asked = state.requirements.filter((r) => r.measure?.startsWith(`run:${protocol.id}:`));
  const limit = asked.find((r) => r.measure === `run:${protocol.id}:${d.primary}` && r.target);
  const last = facts.runs.at(-1);
  const shown = (value: string | undefined, unit: string, decimals: number) =>
    value ? formatSi(value, unit, decimals) : "";
  // What a correction starts from is the whole value: saved without a change, it changes nothing.
  const exact = (value: string | undefined, unit: string) => (value ? fromSi(value, unit).toString() : "");
  const count = facts.attempts.find((a) => a.buildId === build.id);
  return {
    channels,
    primary,
    siblings,
    /** Attempts in their order, each with its assessment and what a correction starts from. */
    rows: facts.runs.map((run) => ({
      run,
      assessed: facts.assessed.get(run.id)!,
      far: far.has(run.id),
      typed: {
        readings: Object.fromEntries(d.measures.map((m) => [m.key, exact(run.readings[m.key], m.unit)])),
        conditions: Object.fromEntries(d.conditions.map((c) => [c.key, exact(run.conditions[c.key], c.unit)])),
      },
    })),
    /** Earlier attempts that are not shown. */
    earlier: (count?.runs ?? 0) - facts.runs.length,
    summary: state.summary(build.id, protocol.id, d.primary),
    before,
    comparison,
    changed: before ? changedVariables(before.variables, build.variables) : [],
    verdicts: asked.map((r) => ({ id: r.id, code: r.code, value: state.verdict(r.id, build.id) })),
    /** Of a machine of steps: where this build's trials stop, and where those of the one before did. */
    sequence: d.steps?.length
      ? {
          now: sequenceOf(d.steps, passedOf(d.steps, valuesOf(build.id))),
          before: before ? sequenceOf(d.steps, passedOf(d.steps, valuesOf(before.id))) : null,
        }
      : null,
    /** The limit on the primary channel, for the chart. */
    limit: limit
      ? {
          value: fromSi(limit.target!, primary.unit).toNumber(),
          label: `${limit.code} ${limitOf(limit)!.comparator} ${fromSi(limit.target!, primary.unit)}`,
        }
      : null,
    /** The reading before, shown behind each field of the next attempt. */
    ghost: Object.fromEntries(
      d.measures.map((m) => [m.key, shown(last?.readings[m.key], m.unit, decimalsFor(m.resolution))]),
    ),
    next: (count?.last ?? 0) + 1,
    generations: siblings.map((b) => {
      const s = state.summary(b.id, protocol.id, d.primary);
      return {
        label: `G${b.number}`,
        runs: valuesOf(b.id),
        mean: s?.mean ?? null,
        low: s?.interval?.[0] ?? null,
        high: s?.interval?.[1] ?? null,
      };
    }),
    teamTested: siblings.some((b) => state.summary(b.id, protocol.id, d.primary) !== null),
  };
}

export type BenchView = ReturnType<typeof benchView>;

/** A difference and its interval without their sign, small end first: what "more" or "less" goes before. */
export function sizeOf(compared: { readonly difference: number; readonly interval: readonly [number, number] }) {
  const [a, b] = compared.interval.map(Math.abs) as [number, number];
  return { size: Math.abs(compared.difference), from: Math.min(a, b), to: Math.max(a, b) };
}

/** The axis of a chart over all generations, what they are held against included. */
export const generationsAxis = (view: Pick<BenchView, "generations" | "limit">, benchmark: number | undefined) =>
  axisOf([
    ...view.generations.flatMap((g) => [...g.runs, g.low ?? 0, g.high ?? 0]),
    benchmark ?? 0,
    view.limit?.value ?? 0,
  ]);
