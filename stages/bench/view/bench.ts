import { changedVariables } from "@/core/builds/variables";
import { axisOf } from "@/core/quantity/axis";
import { decimalsFor, fromSi } from "@/core/quantity/quantity";
import type { AssessedRun } from "@/core/run/assess";
import { channelsOf, type Measure, type ProtocolDefinition, primaryOf, readTo } from "@/core/run/protocol";
import { countLevels, headed, type Kind, levelName, levelsOf, showIn } from "@/core/run/reading";
import { sequenceOf } from "@/core/run/sequence";
import { compareMeans } from "@/core/stats/compare";
import { median, outliers } from "@/core/stats/describe";
import { compareLevels } from "@/core/stats/ranks";
import type { Build } from "@/stages/builds/queries/builds";
import type { ProjectState } from "@/stages/needs/queries/state";
import { limitOf } from "@/stages/needs/view/requirements";
import type { Protocol, StoredRun } from "../queries/runs";

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

/** What can be corrected in a run, with the words that head each field. */
export const correctable = (d: ProtocolDefinition) => [
  ...d.measures.map((m) => ({ key: m.key, name: headed(m), role: "readings" as const })),
  ...d.conditions.map((c) => ({ key: c.key, name: headed(c), role: "conditions" as const })),
];

/** What a correction of a run starts from: the whole values, so that saved without a change it changes nothing. */
export function typedRun(d: ProtocolDefinition, run: Pick<StoredRun, "readings" | "conditions">) {
  const exact = (value: string | undefined, of: Kind & { readonly unit: string }) => {
    const levels = levelsOf(of);
    return value ? (levels ? levelName(levels, Number(value)) : fromSi(value, of.unit).toString()) : "";
  };
  return {
    readings: Object.fromEntries(d.measures.map((m) => [m.key, exact(run.readings[m.key], m)])),
    conditions: Object.fromEntries(d.conditions.map((c) => [c.key, exact(run.conditions[c.key], c)])),
  };
}

/** What the bench shows of a build under a protocol. */
export function benchView(state: ProjectState, facts: BenchFacts, protocol: Protocol, build: Build) {
  const d = protocol.definition;
  const channels = channelsOf(d);
  const primary = primaryOf(d);
  const siblings = state.builds.filter((b) => b.teamId === build.teamId);
  const valuesOf = (id: string) => facts.values.filter((v) => v.buildId === id).map((v) => v.value);
  const mine = facts.values.filter((v) => v.buildId === build.id);
  const far = new Set(primary.levels ? [] : outliers(mine.map((v) => v.value)).map((i) => mine[i]!.runId));
  const before = siblings.findLast((b) => b.number < build.number && valuesOf(b.id).length > 0);
  const side = (b: Build) => ({ name: `G${b.number}`, values: valuesOf(b.id) });
  const comparison =
    before && mine.length
      ? primary.levels
        ? compareLevels(side(before), side(build), { levels: primary.levels, better: d.better })
        : compareMeans(side(before), side(build), { unit: primary.unit, resolution: readTo(d, d.primary) })
      : null;
  const asked = state.requirements.filter((r) => r.measure?.startsWith(`run:${protocol.id}:`));
  const limit = asked.find((r) => r.measure === `run:${protocol.id}:${d.primary}` && r.target);
  const last = facts.runs.at(-1);
  const shown = (value: string | undefined, m: Measure) =>
    value ? showIn({ levels: levelsOf(m) }, fromSi(value, m.unit).toNumber(), decimalsFor(m.resolution)) : "";
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
      typed: typedRun(d, run),
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
    limit:
      limit && !primary.levels
        ? {
            value: fromSi(limit.target!, primary.unit).toNumber(),
            label: `${limit.code} ${limitOf(limit)!.comparator} ${fromSi(limit.target!, primary.unit)}`,
          }
        : null,
    /** The reading before, shown behind each field of the next attempt. */
    ghost: Object.fromEntries(d.measures.map((m) => [m.key, shown(last?.readings[m.key], m)])),
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
    /** Of a protocol about a level: how often each was read, a row a tested generation. */
    levelled: siblings.flatMap((b) => {
      const values = valuesOf(b.id);
      return primary.levels && values.length
        ? [
            {
              id: b.id as string,
              label: `G${b.number}`,
              middle: median(values),
              counts: countLevels(primary.levels, values),
            },
          ]
        : [];
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
