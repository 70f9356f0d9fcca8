import type * as row from "@/platform/db/rows";
import "server-only";
import { db, type Tx } from "@/platform/db/db";
import { isId } from "@/platform/db/id";

export interface Build {
  id: row.Build["id"];
  teamId: row.Build["teamId"];
  team: row.Team["name"];
  number: row.Build["number"];
  stage: row.Build["stage"];
  builtOn: row.Build["builtOn"];
  whatChanged: row.Build["whatChanged"];
  why: row.Build["why"];
  expected: row.Build["expected"];
  predicted: row.Build["predicted"];
  mass: row.Build["mass"];
  cost: row.Build["cost"];
  sides: row.Build["sides"];
  learned: row.Build["learned"];
  features: row.Build["features"];
  recordedBy: row.Build["recordedBy"];
  createdAt: row.Build["createdAt"];
  version: row.Build["version"];
  revision: row.Build["revision"];
  parents: string[];
  variables: Record<string, string>;
  photos: { id: string; caption: string }[];
}

const columns = (sql: Tx) => sql`
  b.id, b.team_id, t.name AS team, b.number, b.stage, b.built_on, b.what_changed, b.why, b.expected, b.predicted,
  b.mass, b.cost, b.sides, b.learned, b.features, b.recorded_by, b.created_at, b.version, b.revision,
  (SELECT coalesce(json_agg(parent_id), '[]') FROM build_parent WHERE build_id = b.id) AS parents,
  (SELECT coalesce(json_object_agg(name, value), '{}') FROM variable_setting WHERE build_id = b.id) AS variables,
  (
    SELECT coalesce(json_agg(json_build_object('id', id, 'caption', caption) ORDER BY id), '[]')
    FROM file_use
    WHERE build_id = b.id
  ) AS photos
`;

/** Every build of a project, by team and number. */
export const buildsOf = (projectId: string, sql: Tx = db()) =>
  sql<Build[]>`
    SELECT ${columns(sql)}
    FROM build b
    JOIN team t ON t.id = b.team_id
    WHERE b.project_id = ${projectId} AND t.retired_at IS NULL
    ORDER BY t.name, b.number
  `;

export async function buildById(projectId: string, id: string): Promise<Build | null> {
  if (!isId(id)) return null;
  return (
    (
      await db()<Build[]>`
        SELECT ${columns(db())}
        FROM build b
        JOIN team t ON t.id = b.team_id
        WHERE b.id = ${id} AND b.project_id = ${projectId}
      `
    )[0] ?? null
  );
}
