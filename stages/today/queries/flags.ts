import type * as row from "@/platform/db/rows";
import "server-only";
import { type Aside, type Flag, staysAside } from "@/core/log/flags";
import type { ClassSession } from "@/core/sessions/sessions";
import { db } from "@/platform/db/db";
import { calendarsIn } from "@/platform/project/calendars";
import type { Waiting } from "@/platform/registry/stage";
import { type ProjectState, projectStates } from "@/stages/needs/queries/state";
import { type Milestone, milestonesIn } from "@/stages/plan/queries/milestones";
import { tasksIn } from "@/stages/plan/queries/tasks";
import { eventFor, planSays, planView } from "@/stages/plan/view/tasks";
import { flagsIn } from "../view/flags";

/** A flag that was put aside, with what was said of it. */
export interface FlagAside extends Aside {
  id: row.FlagAside["id"];
  reason: row.FlagAside["reason"];
  note: row.FlagAside["note"];
  by: row.FlagAside["setBy"];
  at: row.FlagAside["setAt"];
}

/**
 * A team for each action that is overdue, and for each failure that a later build was made without answering;
 * and the flags that were put aside, the last first.
 */
const leftIn = (projectIds: readonly string[], today: string) => {
  const sql = db();
  return sql<
    {
      projectId: row.ActionItem["projectId"];
      teamId: row.Team["id"];
      kind: "overdue" | "passed over" | "decided" | "aside";
      what: string;
      aside: FlagAside | null;
    }[]
  >`
    SELECT a.project_id, a.team_id, CASE WHEN a.due_on < ${today} THEN 'overdue' ELSE 'decided' END AS kind, a.what,
      NULL::json AS aside
    FROM action_item a
    JOIN review r ON r.id = a.review_id
    WHERE a.project_id IN ${sql(projectIds)} AND a.closed_at IS NULL
      AND (a.due_on < ${today} OR EXISTS (SELECT FROM build l WHERE l.team_id = a.team_id AND l.built_on > r.held_on))
    UNION ALL
    SELECT f.project_id, b.team_id, 'passed over', f.mode, NULL
    FROM failure f
    JOIN build b ON b.id = f.build_id
    WHERE f.project_id IN ${sql(projectIds)} AND f.closed_by IS NULL
      AND EXISTS (SELECT FROM build l WHERE l.team_id = b.team_id AND l.number > b.number)
    UNION ALL
    SELECT a.project_id, a.team_id, 'aside', '', json_build_object(
      'id', a.id, 'team', a.team_id, 'kind', a.kind, 'about', a.about, 'size', a.size, 'reason', a.reason,
      'note', a.note, 'by', a.set_by, 'at', a.set_at
    )
    FROM (SELECT * FROM flag_aside WHERE project_id IN ${sql(projectIds)} ORDER BY set_at DESC) a
  `;
};

type Left = Awaited<ReturnType<typeof leftIn>>[number];

const asideOf = (left: readonly Left[]): FlagAside[] =>
  left.flatMap((x) => x.aside ?? []).sort((a, b) => b.at.localeCompare(a.at));

/** The same of one project, as the flags take it. */
const splitLeft = (left: readonly Left[], projectId: string) => {
  const of = (kind: Left["kind"]) => left.filter((x) => x.projectId === projectId && x.kind === kind);
  const teams = (kind: Left["kind"]) => of(kind).map((x) => x.teamId as string);
  return {
    overdue: teams("overdue"),
    passedOver: teams("passed over"),
    decided: of("decided").map((x) => ({ team: x.teamId as string, what: x.what })),
  };
};

/**
 * The teams of a project that want a look, each with the reason, from what its page has loaded already; and those that
 * were put aside.
 */
export async function flagsOf(
  state: ProjectState,
  around: {
    project: string;
    today: string;
    end: string;
    calendars: ReadonlyMap<string, ClassSession[]>;
    milestones: readonly Milestone[];
  },
): Promise<{ flags: Flag[]; aside: FlagAside[] }> {
  const left = await leftIn([around.project], around.today);
  const aside = asideOf(left);
  const flags = flagsIn(state, { ...around, ...splitLeft(left, around.project) });
  return { flags: flags.filter((f) => !staysAside(f, aside)), aside };
}

/** Plans that do not fit and teams to look at, each with the reasons; as many queries for many projects as for one. */
export async function flagsWaiting(projectIds: readonly string[], today: string): Promise<Waiting[]> {
  if (!projectIds.length) return [];
  const [states, calendars, left, milestones, tasks] = await Promise.all([
    projectStates(projectIds),
    calendarsIn(projectIds),
    leftIn(projectIds, today),
    milestonesIn(projectIds),
    tasksIn(projectIds),
  ]);
  const aside = asideOf(left);
  return projectIds.flatMap((projectId) => {
    const [state, dates] = [states.get(projectId), calendars.get(projectId)];
    if (!state || !dates) return [];
    const flags = flagsIn(state, {
      today,
      end: dates.eventOn ?? dates.endsOn,
      calendars: dates.of,
      ...splitLeft(left, projectId),
      milestones: milestones.filter((m) => m.projectId === projectId),
    }).filter((f) => !staysAside(f, aside));
    const own = {
      tasks: tasks.filter((x) => x.projectId === projectId),
      milestones: milestones.filter((m) => m.projectId === projectId),
    };
    const plans = dates.sections.flatMap((section): Waiting[] => {
      const event = eventFor(dates, section);
      const view = planView(own.tasks, own.milestones, section.id, dates.of.get(section.id) ?? [], event, today);
      const what = planSays(view.lines);
      return what ? [{ projectId, who: `Section ${section.name}`, what, stage: "Plan", path: "/plan" }] : [];
    });
    const classes = dates.sections.flatMap((section): Waiting[] => {
      const sessions = dates.of.get(section.id) ?? [];
      const numbers = sessions.filter((s) => s.date === today).map((s) => s.number);
      if (!numbers.length) return [];
      const what = `class today: session ${numbers.join(" and ")} of ${sessions.length}`;
      return [
        {
          projectId,
          who: `Section ${section.name}`,
          what,
          stage: "Class",
          first: true,
          path: `/class?section=${section.id}`,
        },
      ];
    });
    const teams = state.teams.flatMap((t): Waiting[] => {
      const what = flags
        .filter((f) => f.team === t.id)
        .map((f) => f.reason)
        .join("; ");
      return what ? [{ projectId, who: t.name, what, stage: "Team", path: `/attention#${t.id}` }] : [];
    });
    return [...classes, ...plans, ...teams];
  });
}
