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

export const tasksOf = (projectId: string) =>
  db()<Task[]>`
    SELECT id, title, length, not_before, deadline, milestone_id, after, done_on, version
    FROM task
    WHERE project_id = ${projectId}
    ORDER BY place, title
  `;
