import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";

export interface Task {
  id: row.Task["id"];
  title: row.Task["title"];
  length: row.Task["length"];
  notBefore: row.Task["notBefore"];
  deadline: row.Task["deadline"];
  milestoneId: row.Task["milestoneId"];
  after: row.Task["after"];
  doneOn: row.Task["doneOn"];
  version: row.Task["version"];
}

/** The tasks of these projects, in their order. */
export function tasksIn(projectIds: readonly string[]): PromiseLike<(Task & { projectId: row.Task["projectId"] })[]> {
  const sql = db();
  return sql`
    SELECT project_id, id, title, length, not_before, deadline, milestone_id, after, done_on, version
    FROM task
    WHERE project_id IN ${sql(projectIds)}
    ORDER BY place, title
  `;
}

/** The same of one project. */
export const tasksOf = (projectId: string): PromiseLike<Task[]> => tasksIn([projectId]);
