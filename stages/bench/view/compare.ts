import { type Separation, separate } from "@/core/builds/variables";
import { axisOf } from "@/core/quantity/axis";
import { decimalsFor } from "@/core/quantity/quantity";
import { type Channel, channelsOf, primaryOf, readTo } from "@/core/run/protocol";
import { countLevels } from "@/core/run/reading";
import { describe } from "@/core/stats/describe";
import { foresight } from "@/core/stats/prediction";
import { compareSeveral, type Pair } from "@/core/stats/several";
import { listed } from "@/core/text/listed";
import type { Build } from "@/stages/builds/queries/builds";
import type { ProjectState } from "@/stages/needs/queries/state";

/** What may be held against one another, with the words of its choice. */
export const comparisons = [
  { value: "builds", label: "a team's builds" },
  { value: "teams", label: "teams" },
  { value: "factors", label: "two factors" },
  { value: "variable", label: "one design variable" },
  { value: "predictions", label: "predictions" },
] as const;
export type ComparisonBy = (typeof comparisons)[number]["value"];

/** What the address asks for. */
export interface Wanted {
  readonly by?: string;
  readonly protocol?: string;
  readonly key?: string;
  readonly team?: string;
  readonly x?: string;
  readonly y?: string;
}

export type Facts = Pick<ProjectState, "builds" | "teams" | "protocols" | "summary">;

/** From how many groups on only each against the best is shown. */
const most = 8;

/** What is compared, as the address says it or as it is likely meant: the protocol, the channel, the team. */
export function chosenIn(facts: Facts, wanted: Wanted, ownTeam: string | null) {
  const protocol = facts.protocols.find((p) => p.id === wanted.protocol) ?? facts.protocols[0];
  if (!protocol) return null;
  const asked: ComparisonBy = comparisons.find((c) => c.value === wanted.by)?.value ?? "builds";
  const all = channelsOf(protocol.definition);
  const numbers = all.filter((c) => !c.levels);
  // A level has no mean: what is reckoned with means is offered for numbers only.
  const reckoned = asked === "factors" || asked === "variable";
  const by = reckoned && !numbers.length ? "builds" : asked;
  const channels = by === asked && reckoned ? numbers : all;
  const channel =
    channels.find((c) => c.key === wanted.key) ??
    channels.find((c) => c.key === protocol.definition.primary) ??
    channels[0]!;
  const team = facts.teams.find((t) => t.id === (wanted.team ?? ownTeam));
  return {
    protocol,
    channels,
    channel,
    by,
    team: team ?? (by === "builds" ? facts.teams[0] : undefined),
    /** Decimals of a mean: one more than a single run is read to. */
    digits: decimalsFor(readTo(protocol.definition, channel.key)) + 1,
  };
}

export type Chosen = NonNullable<ReturnType<typeof chosenIn>>;

/** The builds whose runs are read for a comparison. */
export function buildsFor(facts: Facts, chosen: Chosen): Build[] {
  switch (chosen.by) {
    case "builds":
    case "factors":
    case "variable":
      return facts.builds.filter((b) => !chosen.team || b.teamId === chosen.team.id);
    case "teams":
      return facts.teams.flatMap(
        (t) =>
          facts.builds.findLast(
            (b) => b.teamId === t.id && facts.summary(b.id, chosen.protocol.id, chosen.channel.key)?.n,
          ) ?? [],
      );
    case "predictions":
      return [];
  }
}

/** What every part of the comparison's page is given. */
export interface ComparePart {
  readonly slug: string;
  readonly chosen: Chosen;
  readonly builds: readonly Build[];
  /** The runs of a build that count, in the channel's unit. */
  readonly valuesOf: (buildId: string) => readonly number[];
  readonly wanted: Wanted;
  /** The page's address with something else chosen. */
  readonly link: (change: Partial<Wanted>) => string;
}

/** An address that says what is asked for; what is not asked for is left out. */
export function addressOf(base: string, wanted: Readonly<Record<string, string | undefined>> | Wanted): string {
  const said = Object.entries(wanted).filter(([, v]) => v);
  return said.length ? `${base}?${new URLSearchParams(said as [string, string][])}` : base;
}

/** The values of each build; none where there is none. */
export function valuesByBuild(values: readonly { buildId: string; value: number }[]) {
  const byBuild = new Map<string, number[]>();
  for (const v of values) byBuild.set(v.buildId, [...(byBuild.get(v.buildId) ?? []), v.value]);
  return (id: string): readonly number[] => byBuild.get(id) ?? [];
}

/** What changed between two builds, and what would tell several changes apart, in words. */
export function changeWords(s: Separation, first: string, others: readonly string[]): string {
  if (s.kind === "repeat") return "nothing changed: a repeat";
  if (s.changed.length === 1) return `one variable changed: ${s.changed[0]}`;
  const helped = s.helped.map((i) => others[i]!);
  if (s.kind === "clean")
    return `${listed(s.changed)} changed; with ${listed(helped)} on record each can be told by itself`;
  const wanted = s.further.map((f) => (f.value ? `${f.variable} “${f.value}”` : `no ${f.variable}`));
  return (
    `${listed(s.changed)} changed together: the record cannot say which one did it. To tell, also test ` +
    `${first} with ${wanted.join(", and one with ")}${helped.length ? `; ${listed(helped)} helps already` : ""}`
  );
}

export interface Group {
  readonly id: string;
  readonly label: string;
  readonly runs: readonly number[];
  readonly mean: number | null;
  readonly sd: number | null;
  readonly low: number | null;
  readonly high: number | null;
  /** All runs read the same: the scatter is below what the instrument can show. */
  readonly same: boolean;
  readonly middle: number | null;
}

/** Runs under a name, with their spread. */
export const groupOf = (id: string, label: string, runs: readonly number[]): Group => {
  const d = describe(runs);
  return {
    id,
    label,
    runs,
    mean: d?.mean ?? null,
    sd: d?.sd ?? null,
    low: d?.interval?.[0] ?? null,
    high: d?.interval?.[1] ?? null,
    same: runs.length > 1 && d?.min === d?.max,
    middle: d?.median ?? null,
  };
};

/** The axis of a chart over groups of runs. */
export const axisOver = (groups: readonly Group[]) =>
  axisOf(groups.flatMap((g) => [...g.runs, ...(g.low === null ? [] : [g.low, g.high!])]));

export type PairLine = Pair & { readonly changed: string | null };

/** Groups of runs side by side: a team's builds, or the teams' latest tested builds. */
export function groupsView(chosen: Chosen, builds: readonly Build[], valuesOf: (buildId: string) => readonly number[]) {
  const d = chosen.protocol.definition;
  const tested = builds.filter((b) => valuesOf(b.id).length > 0);
  const label = (b: Build) => (chosen.by === "builds" ? `G${b.number}` : `${b.team} G${b.number}`);
  const groups = tested.map((b) => groupOf(b.id, label(b), valuesOf(b.id)));
  const { levels } = chosen.channel;
  const stands = (g: Group) => (levels ? g.middle : g.mean);
  const leader = groups.reduce<Group | null>((best, g) => {
    const [mine, top] = [stands(g), best && stands(best)];
    const ahead = mine !== null && (top === null || (d.better === "more" ? mine > top : mine < top));
    return ahead ? g : best;
  }, null);
  const many = groups.length > most;
  const pairs = compareSeveral(
    groups.map((g) => ({ name: g.label, values: g.runs })),
    {
      unit: chosen.channel.unit,
      resolution: readTo(d, chosen.channel.key),
      levels: levels && { levels, better: d.better },
    },
    (a, b) => !many || a.name === leader?.label || b.name === leader?.label,
  );
  const at = new Map(tested.map((b) => [label(b), b]));
  return {
    groups,
    /** Of a channel of levels: how often each was read, a row a group. */
    levelled: levels ? groups.map((g) => ({ ...g, counts: countLevels(levels, g.runs) })) : null,
    axis: axisOver(groups),
    /** Set where only the pairs with the best are shown. */
    against: many ? (leader?.label ?? null) : null,
    pairs: pairs.map((p): PairLine => {
      if (chosen.by !== "builds") return { ...p, changed: null };
      const [a, b] = [at.get(p.a)!, at.get(p.b)!];
      const others = tested.filter((x) => x !== a && x !== b);
      const told = separate(
        a.variables,
        b.variables,
        others.map((x) => x.variables),
      );
      return { ...p, changed: changeWords(told, p.a, others.map(label)) };
    }),
  };
}

/** Predictions against what the test gave, for all and team by team. */
export function predictionsView(facts: Facts) {
  const protocol = facts.protocols[0];
  if (!protocol) return null;
  const channel: Channel = primaryOf(protocol.definition);
  if (channel.levels) return null;
  const lines = facts.builds.flatMap((b) => {
    const measured = facts.summary(b.id, protocol.id, channel.key)?.counted ?? null;
    return b.predicted === null || measured === null
      ? []
      : [{ build: b, name: `${b.team} G${b.number}`, predicted: Number(b.predicted), measured }];
  });
  return {
    channel,
    protocol,
    all: foresight(lines),
    lines: lines.map((l) => ({ ...l, miss: l.measured === 0 ? null : l.predicted / l.measured - 1 })),
    teams: facts.teams
      .map((t) => ({ team: t, ...foresight(lines.filter((l) => l.build.teamId === t.id)) }))
      .filter((t) => t.value !== null),
  };
}
