import { isBuildMeasure, marginOf } from "@/core/needs/requirement";
import { compareEnvelope } from "@/core/quantity/envelope";
import { formatSi } from "@/core/quantity/quantity";
import { type ProjectUnits, showSide, showSides } from "@/core/quantity/systems";
import { primaryOf } from "@/core/run/protocol";
import { showIn } from "@/core/run/reading";
import { weekOf } from "@/core/sessions/sessions";
import type { Protocol } from "@/stages/bench/queries/runs";
import type { RequirementRow } from "@/stages/needs/queries/requirements";
import type { ProjectState } from "@/stages/needs/queries/state";
import { limitOf, limitWords, measureWords } from "@/stages/needs/view/requirements";
import type { Build } from "../queries/builds";

/** The newest build of each team. */
export const newestBuilds = (builds: readonly Build[]): Map<string, Build> => new Map(builds.map((b) => [b.teamId, b]));

/**
 * Margin of a build's recorded mass, cost or size against a limit, in the limit's unit; null where there is nothing to
 * compare.
 */
export function margin(r: RequirementRow, b: Build, units: ProjectUnits): { text: string; bad: boolean } | null {
  const limit = limitOf(r);
  if (!limit) return null;
  if (r.measure === "envelope" && b.sides && limit.sides) {
    const worst = compareEnvelope(b.sides, limit.sides)
      .map((s) => Number(s.margin))
      .sort((a, c) => a - c)[0]!;
    return { text: `${showSide(worst, units)} ${units.side}`, bad: worst < 0 };
  }
  const value = r.measure === "mass" || r.measure === "cost" ? b[r.measure] : null;
  const m = value === null || value === undefined ? null : marginOf(limit, value);
  return m
    ? { text: `${formatSi(m, limit.unit, 2)}${limit.unit === "1" ? "" : ` ${limit.unit}`}`, bad: m.lt(0) }
    : null;
}

export const size = (b: Build, units: ProjectUnits) => (b.sides ? showSides(b.sides, units) : null);

/** What a build weighs, costs and measures, as far as it was recorded, each with its name. */
export const weightOf = (b: Build, units: ProjectUnits, currency: string): (readonly [string, string])[] => [
  ...(b.mass === null ? [] : [["Mass", `${formatSi(b.mass, units.mass, 2)} ${units.mass}`] as const]),
  ...(b.cost === null ? [] : [["Cost", `${formatSi(b.cost, "1", 2)} ${currency}`.trim()] as const]),
  ...(b.sides ? [["Size", `${showSides(b.sides, units)} ${units.side}`] as const] : []),
];

interface Shown {
  readonly value: number | null;
  readonly shown: string | null;
  /** By how much it breaks a limit, in words. */
  readonly over: string | null;
}

/** What the page of generations shows: the builds of a team or of all, each with what it weighs, costs and reached. */
export function generationsView(
  facts: Pick<ProjectState, "requirements" | "teams" | "builds" | "protocols" | "summary">,
  project: { startsOn: string; currency: string },
  wanted: { team?: string; week?: string },
  units: ProjectUnits,
) {
  const chosen = facts.teams.find((t) => t.id === wanted.team);
  const teams = chosen ? [chosen] : facts.teams;
  const limits = facts.requirements.filter((r) => isBuildMeasure(r.measure));
  const protocol: Protocol | undefined = facts.protocols[0];
  const channel = protocol && primaryOf(protocol.definition);
  const held = (b: Build, measure: "mass" | "cost" | "envelope", shown: string | null): Shown => {
    const over = limits
      .filter((r) => r.measure === measure)
      .map((r) => margin(r, b, units))
      .find((m) => m?.bad);
    const value = measure === "envelope" ? b.sides?.reduce((v, s) => v * Number(s), 1) : b[measure];
    return {
      value: value === null || value === undefined ? null : Number(value),
      shown,
      over: over ? `${over.text.replace("−", "")} over the limit` : null,
    };
  };
  const ofTeam = (id: string) => facts.builds.filter((b) => b.teamId === id);
  return {
    chosen,
    channel,
    protocol,
    limits: limits.map((r) => `${measureWords(r, facts.protocols)} ${limitWords(r, project.currency)}`),
    bare: teams.filter((t) => ofTeam(t.id).length === 0),
    lines: teams.flatMap((t) =>
      ofTeam(t.id).map((b) => ({
        build: b,
        team: t,
        mass: held(b, "mass", b.mass === null ? null : formatSi(b.mass, units.mass, 2)),
        cost: held(b, "cost", b.cost === null ? null : formatSi(b.cost, "1", 2)),
        size: held(b, "envelope", size(b, units)),
        predicted: b.predicted === null ? null : showIn(channel ?? {}, Number(b.predicted), 1),
        reached: protocol && channel ? (facts.summary(b.id, protocol.id, channel.key)?.counted ?? null) : null,
        /** Built in the week that was asked for. */
        marked: !!chosen && !!wanted.week && weekOf(project.startsOn, b.builtOn) === Number(wanted.week),
      })),
    ),
  };
}
export type GenerationLine = ReturnType<typeof generationsView>["lines"][number];
