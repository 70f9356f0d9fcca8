import type * as row from "@/platform/db/rows";
import "server-only";
import { teamFlags } from "@/core/log/flags";
import { marginOf } from "@/core/needs/requirement";
import { fromSi } from "@/core/quantity/quantity";
import { sessionsHeld } from "@/core/sessions/sessions";
import { db } from "@/platform/db/db";
import { calendarsOf } from "@/platform/project/calendars";
import type { Waiting } from "@/platform/registry/stage";
import { type ProjectState, projectState } from "@/stages/needs/queries/state";
import { limitOf } from "@/stages/needs/view/requirements";
import { milestonesOf } from "@/stages/plan/queries/milestones";
import { dueFor } from "@/stages/plan/view/tasks";

/** The teams' flags with their reasons, from facts already loaded where given. */
export async function flagsOf(
  projectId: string,
  today: string,
  given?: ProjectState,
): Promise<{ team: string; reason: string }[]> {
  const [project] = await db()<
    {
      id: row.Project["id"];
      startsOn: row.Project["startsOn"];
      endsOn: row.Project["endsOn"];
      eventOn: row.Project["eventOn"];
    }[]
  >`SELECT id, starts_on, ends_on, event_on FROM project WHERE id = ${projectId}`;
  const [facts, { of: calendars }, overdue, milestones] = await Promise.all([
    given ?? projectState(projectId),
    calendarsOf(project!),
    db()<{ teamId: row.ActionItem["teamId"] }[]>`
      SELECT team_id FROM action_item WHERE project_id = ${projectId} AND closed_at IS NULL AND due_on < ${today}
    `,
    milestonesOf(projectId),
  ]);
  const primary = facts.protocols[0];
  const first = [...calendars.values()][0] ?? [];
  const end = project!.eventOn ?? project!.endsOn;
  const left = first.filter((s) => s.date > today && s.date <= end).length;
  const teams = facts.teams.map((t) => {
    const sessions = calendars.get(t.sectionId ?? "") ?? first;
    const builds = facts.builds.filter((b) => b.teamId === t.id);
    const newest = facts.newest.get(t.id);
    const verdict = (id: string) => facts.verdict(id, newest?.id);
    const musts = facts.requirements.filter((r) => r.priority === "must");
    return {
      id: t.id,
      name: t.name,
      sinceBuild: newest ? sessionsHeld(sessions, today) - sessionsHeld(sessions, newest.builtOn) : null,
      mustsUntested: musts.filter((r) => verdict(r.id) === "untested").length,
      staleMusts: musts.filter((r) => verdict(r.id) === "stale").length,
      results: primary
        ? builds.map((b) => facts.summary(b.id, primary.id, primary.definition.primary)?.counted ?? null)
        : [],
      overdueActions: overdue.filter((x) => x.teamId === t.id).length,
      overdueMilestones: milestones
        .filter((m) => m.scope === "team" && dueFor(m, t.sectionId) < today && !m.checks.some((k) => k.teamId === t.id))
        .map((m) => m.title),
      overLimits: facts.requirements.flatMap((r) => {
        const limit = limitOf(r);
        const value = r.measure === "mass" || r.measure === "cost" ? newest?.[r.measure] : null;
        const margin = limit && value != null ? marginOf(limit, value) : null;
        return margin && margin.lt(0)
          ? [
              `${r.measure} is ${fromSi(margin.abs(), limit!.unit).toDecimalPlaces(3)}` +
                `${limit!.unit === "1" ? "" : ` ${limit!.unit}`} over its limit (${r.code})`,
            ]
          : [];
      }),
    };
  });
  return teamFlags(teams, left, primary?.definition.better ?? "more");
}

/** Teams to look at, each with the reasons. */
export async function flagsWaiting(projectIds: readonly string[], today: string): Promise<Waiting[]> {
  const found = await Promise.all(
    projectIds.map(async (projectId) => {
      const state = await projectState(projectId);
      const flags = await flagsOf(projectId, today, state);
      return state.teams.flatMap((t): Waiting[] => {
        const reasons = flags.filter((f) => f.team === t.id).map((f) => f.reason);
        const what = reasons.join("; ");
        return reasons.length ? [{ projectId, who: t.name, what, stage: "Team", path: `/builds?team=${t.id}` }] : [];
      });
    }),
  );
  return found.flat();
}
