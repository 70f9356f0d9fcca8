import { decimalsFor, formatSi, fromSi } from "@/core/quantity/quantity";
import { channelsOf } from "@/core/run/protocol";
import { compareMeans } from "@/core/stats/compare";
import { outliers } from "@/core/stats/describe";
import type { Build } from "@/stages/builds/queries";
import type { ProjectFacts } from "@/stages/needs/queries/facts";
import { limitOf } from "@/stages/needs/view/requirements";
import { requirementStatus, summaryOf } from "@/stages/needs/view/verdicts";
import type { Protocol } from "./queries";

/** The build that the bench opens at: the one asked for, the last tested one, or the newest, of the own team if any. */
export const buildAtBench = (facts: ProjectFacts, wanted: string | undefined, ownTeam: string | null) =>
  facts.builds.find((b) => b.id === wanted) ??
  facts.builds.findLast((b) => (ownTeam ? b.teamId === ownTeam : true) && facts.runs.some((r) => r.buildId === b.id)) ??
  facts.builds.findLast((b) => !ownTeam || b.teamId === ownTeam);

/** The design variables that differ between two builds, by name. */
export const changedVariables = (a: Pick<Build, "variables">, b: Pick<Build, "variables">): string[] =>
  [...new Set([...Object.keys(a.variables), ...Object.keys(b.variables)])].filter(
    (k) => a.variables[k] !== b.variables[k],
  );

/** What the bench shows of a build under a protocol. */
export function benchView(facts: ProjectFacts, protocol: Protocol, build: Build) {
  const d = protocol.definition;
  const channels = channelsOf(d);
  const primary = channels.find((c) => c.key === d.primary)!;
  const benchRuns = facts.runs.filter((r) => r.protocolId === protocol.id && r.place === "bench");
  const runs = benchRuns.filter((r) => r.buildId === build.id);
  const siblings = facts.builds.filter((b) => b.teamId === build.teamId);
  const valuesOf = (id: string) =>
    benchRuns
      .filter((r) => r.buildId === id)
      .flatMap((r) => {
        const a = facts.assessed.get(r.id);
        const v = a?.comparable ? a.values[d.primary]?.value : null;
        return v ? [v.value] : [];
      });
  const before = siblings.findLast((b) => b.number < build.number && valuesOf(b.id).length > 0);
  const comparison = before
    ? compareMeans(
        { name: `G${before.number}`, values: valuesOf(before.id) },
        { name: `G${build.number}`, values: valuesOf(build.id) },
        undefined,
        primary.unit,
      )
    : null;
  const asked = facts.requirements.filter((r) => r.measure?.startsWith(`run:${protocol.id}:`));
  const limit = asked.find((r) => r.measure === `run:${protocol.id}:${d.primary}` && r.target);
  const counted = runs.filter((r) => facts.assessed.get(r.id)?.comparable);
  const far = outliers(counted.map((r) => facts.assessed.get(r.id)!.values[d.primary]?.value?.value ?? 0));
  const last = runs.at(-1);
  const shown = (value: string | undefined, unit: string, decimals: number) =>
    value ? formatSi(value, unit, decimals) : "";
  return {
    channels,
    primary,
    siblings,
    /** Attempts in their order, each with its assessment and what a correction starts from. */
    rows: runs.map((run) => ({
      run,
      assessed: facts.assessed.get(run.id)!,
      far: far.some((i) => counted[i]!.id === run.id),
      typed: {
        readings: Object.fromEntries(
          d.measures.map((m) => [m.key, shown(run.readings[m.key], m.unit, decimalsFor(m.resolution))]),
        ),
        conditions: Object.fromEntries(
          d.conditions.map((c) => [c.key, shown(run.conditions[c.key], c.unit, Math.max(2, decimalsFor(c.tolerance)))]),
        ),
      },
    })),
    summary: summaryOf(facts, protocol, build.id, d.primary),
    before,
    comparison,
    changed: before ? changedVariables(build, before) : [],
    verdicts: asked.map((r) => ({ code: r.code, status: requirementStatus(facts, r, build) })),
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
    next: Math.max(0, ...runs.filter((r) => r.protocolVersionId === protocol.versionId).map((r) => r.attempt)) + 1,
    generations: siblings.map((b) => {
      const s = summaryOf(facts, protocol, b.id, d.primary).value;
      return {
        label: `G${b.number}`,
        runs: valuesOf(b.id),
        mean: s.mean,
        low: s.interval?.[0] ?? null,
        high: s.interval?.[1] ?? null,
      };
    }),
    teamTested: facts.runs.some((r) => r.teamId === build.teamId && r.protocolId === protocol.id),
  };
}

export type BenchView = ReturnType<typeof benchView>;
