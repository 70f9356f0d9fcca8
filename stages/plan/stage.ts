import "server-only";
import { shortDate } from "@/platform/pages/dates";
import * as settings from "@/platform/project/save-settings";
import type { HomePart, Stage } from "@/platform/registry/stage";
import * as calendar from "./commands/calendar";
import * as daysOff from "./commands/days-off";
import * as gates from "./commands/gates";
import * as milestones from "./commands/milestones";
import * as projects from "./commands/projects";
import * as tasks from "./commands/tasks";
import * as withdrawals from "./withdrawals";

interface Home {
  milestones: { title: string; dueOn: string }[];
}

const home: HomePart = {
  columns: (sql, me) => sql`
    (
      SELECT coalesce(json_agg(json_build_object('title', title, 'dueOn', due) ORDER BY due), '[]')
      FROM (
        SELECT
          m.*,
          coalesce(
            (
              SELECT d.due_on
              FROM milestone_date d
              JOIN enrolment e ON e.section_id = d.section_id AND e.person_id = ${me.id} AND e.to_on IS NULL
              WHERE d.milestone_id = m.id
              LIMIT 1
            ),
            m.due_on
          ) AS due
        FROM milestone m
      ) m
      WHERE m.project_id = p.id
        AND NOT EXISTS (
          SELECT
          FROM milestone_check k
          WHERE k.milestone_id = m.id AND (k.team_id = t.id OR k.person_id = ${me.id})
        )
    ) AS milestones
  `,
  due: (row) => (row as unknown as Home).milestones.map((m) => ({ what: m.title, on: m.dueOn })),
  items: (row, today) =>
    (row as unknown as Home).milestones.slice(0, 2).map((m) => ({
      what: m.title,
      note: `milestone, ${m.dueOn < today ? "was due" : "due"} ${shortDate(m.dueOn)}`,
      path: "/plan",
      rank: 2,
    })),
};

export const plan: Stage = {
  key: "plan",
  name: "Plan",
  pages: [
    { label: "Plan", path: "/plan" },
    { label: "Calendar", path: "/plan/calendar" },
    { label: "Gates and tools", path: "/plan/gates" },
  ],
  shows: ["plan", "gate", "tool", "milestone", "project"],
  commands: [calendar, daysOff, gates, milestones, projects, settings, tasks, withdrawals],
  below: "everyone",
  home,
};
