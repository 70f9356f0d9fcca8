import "server-only";
import { db } from "@/platform/db/db";

export interface Task {
  id: string;
  title: string;
  length: number;
  notBefore: string | null;
  deadline: string | null;
  milestoneId: string | null;
  after: string[];
  doneOn: string | null;
  version: number;
}

export const tasksOf = (projectId: string) =>
  db()<Task[]>`
    SELECT id, title, length, not_before, deadline, milestone_id, after, done_on, version
    FROM task
    WHERE project_id = ${projectId}
    ORDER BY place, title
  `;
