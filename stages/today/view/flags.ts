import { anotherStep } from "@/core/builds/growth";
import { type Flag, teamFlags } from "@/core/log/flags";
import { marginOf } from "@/core/needs/requirement";
import { fromSi } from "@/core/quantity/quantity";
import { type ClassSession, sessionsHeld } from "@/core/sessions/sessions";
import type { Build } from "@/stages/builds/queries/builds";
import type { RequirementRow } from "@/stages/needs/queries/requirements";
import type { ProjectState } from "@/stages/needs/queries/state";
import { limitOf } from "@/stages/needs/view/requirements";
import type { Milestone } from "@/stages/plan/queries/milestones";
import { dueFor } from "@/stages/plan/view/tasks";

/** By how much a build breaks a limit on its mass or cost, in words; nothing where it does not. */
function overLimit(r: RequirementRow, build: Build | undefined): string[] {
  const limit = limitOf(r);
  const value = r.measure === "mass" || r.measure === "cost" ? build?.[r.measure] : null;
  const margin = limit && value !== null && value !== undefined ? marginOf(limit, value) : null;
  if (!limit || !margin?.lt(0)) return [];
  const unit = limit.unit === "1" ? "" : ` ${limit.unit}`;
  return [`${r.measure} is ${fromSi(margin.abs(), limit.unit).toDecimalPlaces(3)}${unit} over its limit (${r.code})`];
}

/**
 * What another step like the last one brings the team's mass or cost to, where that is over the limit, in words. A
 * mock-up is of other material: it is no step.
 */
function heading(r: RequirementRow, builds: readonly Build[]): string[] {
  const limit = limitOf(r);
  const measure = r.measure === "mass" || r.measure === "cost" ? r.measure : null;
  if (!limit?.target || limit.comparator !== "≤" || !measure) return [];
  const real = builds.filter((b) => b.stage !== "mock-up").flatMap((b) => b[measure] ?? []);
  const next = anotherStep(real, limit.target);
  if (next === null) return [];
  const shown = (si: string) =>
    `${fromSi(si, limit.unit).toDecimalPlaces(2)}${limit.unit === "1" ? "" : ` ${limit.unit}`}`;
  return [
    `another step like the last brings ${measure} to ${shown(next)}, the limit is ${shown(limit.target)} (${r.code})`,
  ];
}

/** The teams of a project that want a look, each with the reason. */
export function flagsIn(
  state: ProjectState,
  around: {
    readonly today: string;
    /** The event's day, or the project's last. */
    readonly end: string;
    /** Sessions by section, the first section first. */
    readonly calendars: ReadonlyMap<string, readonly ClassSession[]>;
    /** A team for each action that is overdue. */
    readonly overdue: readonly string[];
    readonly milestones: readonly Milestone[];
    /** A team for each failure that a later build was made without answering. */
    readonly passedOver: readonly string[];
    /** What reviews decided and a build made since does not carry, with its team. */
    readonly decided: readonly { readonly team: string; readonly what: string }[];
  },
): Flag[] {
  const { today, end, calendars, overdue, milestones, passedOver, decided } = around;
  const primary = state.protocols[0];
  const first = [...calendars.values()][0] ?? [];
  const musts = state.requirements.filter((r) => r.priority === "must");
  const teams = state.teams.map((t) => {
    const sessions = calendars.get(t.sectionId ?? "") ?? first;
    const newest = state.newest.get(t.id);
    const count = (v: string) => musts.filter((r) => state.verdict(r.id, newest?.id) === v).length;
    return {
      id: t.id,
      name: t.name,
      sinceBuild: newest ? sessionsHeld(sessions, today) - sessionsHeld(sessions, newest.builtOn) : null,
      mustsUntested: count("untested"),
      staleMusts: count("stale"),
      results: primary
        ? state.builds
            .filter((b) => b.teamId === t.id)
            .map((b) => state.summary(b.id, primary.id, primary.definition.primary)?.counted ?? null)
        : [],
      overdueActions: overdue.filter((team) => team === t.id).length,
      overdueMilestones: milestones
        .filter((m) => m.scope === "team" && dueFor(m, t.sectionId) < today && !m.checks.some((k) => k.teamId === t.id))
        .map((m) => m.title),
      overLimits: state.requirements.flatMap((r) => overLimit(r, newest)),
      trends: state.requirements.flatMap((r) =>
        heading(
          r,
          state.builds.filter((b) => b.teamId === t.id),
        ),
      ),
      passedOver: passedOver.filter((team) => team === t.id).length,
      decided: decided.filter((d) => d.team === t.id).map((d) => d.what),
    };
  });
  const left = first.filter((s) => s.date > today && s.date <= end).length;
  return teamFlags(teams, left, primary?.definition.better ?? "more");
}
