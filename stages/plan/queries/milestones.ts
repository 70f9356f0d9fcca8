import type * as row from "@/platform/db/rows";
import "server-only";
import { cache } from "react";
import { db, type Tx } from "@/platform/db/db";

export interface Milestone {
  id: row.Milestone["id"];
  title: row.Milestone["title"];
  dueOn: row.Milestone["dueOn"] /** Sections with a date of their own. */;
  dates: Record<string, string>;
  scope: row.Milestone["scope"];
  gateStage: row.Milestone["gateStage"];
  version: row.Milestone["version"];
  checks: { teamId: string | null; personId: string | null; doneOn: string; checkedBy: string }[];
}

/** The milestones of these projects with who has passed them, by date. */
export const milestonesIn = (projectIds: readonly string[], sql: Tx = db()) => sql<
  (Milestone & { projectId: string })[]
>`
  SELECT
    m.project_id, m.id, m.title, m.due_on, m.scope, m.gate_stage, m.version,
    (SELECT coalesce(json_object_agg(section_id, due_on), '{}') FROM milestone_date WHERE milestone_id = m.id) AS dates,
    (
      SELECT coalesce(
        json_agg(
          json_build_object('teamId', team_id, 'personId', person_id, 'doneOn', done_on, 'checkedBy', checked_by)
        ),
        '[]'
      )
      FROM milestone_check
      WHERE milestone_id = m.id
    ) AS checks
  FROM milestone m
  WHERE m.project_id IN ${sql(projectIds)}
  ORDER BY m.due_on, m.title
`;

/** The same of one project; asked once a page. */
export const milestonesOf = cache((projectId: string): PromiseLike<Milestone[]> => milestonesIn([projectId]));
