import "server-only";
import type { Fault } from "@/core/records/cures";
import { db } from "@/platform/db/db";
import type * as row from "@/platform/db/rows";

/** A fault with where it stands in its edition, and what the build that answers it changed. */
export interface ToldFault extends Fault {
  readonly projectId: row.Project["id"];
  readonly slug: row.Project["slug"];
  readonly buildId: row.Build["id"];
  readonly teamId: row.Build["teamId"];
  readonly severity: row.Failure["severity"];
  readonly cureId: row.Build["id"] | null;
  readonly cure: row.Build["whatChanged"] | null;
}

/** What failed in some editions and which build answers it, the newest first. */
export const faultsOver = (projectIds: readonly string[]) => db()<ToldFault[]>`
  SELECT
    f.id, f.mode, f.cause, t.name AS team, p.title AS edition, p.id AS project_id, p.slug, b.id AS build_id, b.team_id,
    b.number AS build, f.severity, c.id AS cure_id, c.number AS answered_by, c.what_changed AS cure,
    EXISTS (
      SELECT
      FROM run r
      JOIN build x ON x.id = r.build_id
      WHERE x.team_id = b.team_id AND x.number >= c.number AND r.state <> 'void'
    ) AS ran_since
  FROM failure f
  JOIN build b ON b.id = f.build_id
  JOIN team t ON t.id = b.team_id
  JOIN project p ON p.id = b.project_id
  LEFT JOIN build c ON c.id = f.closed_by
  WHERE f.project_id IN ${db()(projectIds)}
  ORDER BY f.recorded_at DESC, f.id
`;
