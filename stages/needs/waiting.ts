import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";
import type { Waiting } from "@/platform/registry/stage";
import { requirementsIn } from "./queries/requirements";

/** Change requests, questions on the client's page, and musts that nobody can check yet. */
export async function needsWaiting(projectIds: readonly string[]): Promise<Waiting[]> {
  const sql = db();
  const [counts, requirements] = await Promise.all([
    sql<{ id: row.Project["id"]; changes: number; asked: number }[]>`
      SELECT
        p.id,
        (SELECT count(*)::int FROM change_request WHERE project_id = p.id AND state = 'open') AS changes,
        (SELECT count(*)::int FROM question WHERE project_id = p.id AND for_client AND NOT dropped) AS asked
      FROM project p
      WHERE p.id IN ${sql(projectIds)}
    `,
    requirementsIn(projectIds),
  ]);
  const stage = "Needs";
  return counts.flatMap(({ id: projectId, changes, asked }): Waiting[] => {
    const own = requirements.filter((r) => r.projectId === projectId);
    const items: Waiting[] = [];
    if (own.length === 0)
      items.push({ projectId, who: "Class", what: "Write the first requirements", stage, path: "/needs" });
    if (changes) {
      const what = `${changes} change ${changes === 1 ? "request waits" : "requests wait"} for a decision`;
      items.push({ projectId, who: "Class", what, stage, path: "/needs/changes" });
    }
    if (asked) {
      const what = `has ${asked} open ${asked === 1 ? "question" : "questions"} on the client's page`;
      items.push({ projectId, who: "Client", what, stage, path: "/needs/questions" });
    }
    for (const r of own)
      if (r.priority === "must" && !r.comparator)
        items.push({ projectId, who: r.code, what: "is a must without a measure", stage, path: `/needs?r=${r.code}` });
    return items;
  });
}
