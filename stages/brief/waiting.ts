import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";
import type { Waiting } from "@/platform/registry/stage";
import { requirementsIn } from "@/stages/needs/queries/requirements";
import { rulesAgainst } from "./view";

/** Projects without a brief, and briefs whose numbers differ from the register's. */
export async function briefWaiting(projectIds: readonly string[]): Promise<Waiting[]> {
  const sql = db();
  const [briefs, requirements] = await Promise.all([
    sql<
      {
        projectId: row.BriefVersion["projectId"];
        body: row.BriefVersion["body"];
        links: { key: row.BriefRule["key"]; requirementId: row.BriefRule["requirementId"] }[];
      }[]
    >`
      SELECT DISTINCT ON (v.project_id)
        v.project_id, v.body,
        (
          SELECT coalesce(json_agg(json_build_object('key', key, 'requirementId', requirement_id)), '[]')
          FROM brief_rule
          WHERE project_id = v.project_id
        ) AS links
      FROM brief_version v
      WHERE v.project_id IN ${sql(projectIds)}
      ORDER BY v.project_id, v.number DESC
    `,
    requirementsIn(projectIds),
  ]);
  return projectIds.flatMap((projectId): Waiting[] => {
    const brief = briefs.find((b) => b.projectId === projectId);
    if (!brief) return [{ projectId, who: "Class", what: "Write the brief", stage: "Brief", path: "/brief" }];
    const differ = rulesAgainst(
      brief.body,
      brief.links,
      requirements.filter((r) => r.projectId === projectId),
    ).find((r) => r.differs && r.requirement);
    if (!differ) return [];
    const what = `${differ.requirement!.code}: ${differ.differs}`;
    return [{ projectId, who: "Brief", what, stage: "Brief", path: "/brief" }];
  });
}
