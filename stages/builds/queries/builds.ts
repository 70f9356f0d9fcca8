import type * as row from "@/platform/db/rows";
import "server-only";
import { db, type Tx } from "@/platform/db/db";
import { isId } from "@/platform/db/id";

/** A build with its team, its parents, its variables and its photos. */
export interface Build extends row.Build {
  team: row.Team["name"];
  parents: string[];
  variables: Record<string, string>;
  photos: { id: string; caption: string }[];
  /** Features of its parents that it does without, with the reason. */
  dropped: Record<string, string>;
}

const columns = (sql: Tx) => sql`
  b.*, t.name AS team,
  (SELECT coalesce(json_agg(parent_id), '[]') FROM build_parent WHERE build_id = b.id) AS parents,
  (SELECT coalesce(json_object_agg(name, value), '{}') FROM variable_setting WHERE build_id = b.id) AS variables,
  (SELECT coalesce(json_object_agg(feature, reason), '{}') FROM feature_drop WHERE build_id = b.id) AS dropped,
  (
    SELECT coalesce(json_agg(json_build_object('id', id, 'caption', caption) ORDER BY id), '[]')
    FROM file_use
    WHERE build_id = b.id
  ) AS photos
`;

/** Every build of these projects, by team and number. */
export const buildsIn = (projectIds: readonly string[], sql: Tx = db()) =>
  sql<Build[]>`
    SELECT ${columns(sql)}
    FROM build b
    JOIN team t ON t.id = b.team_id
    WHERE b.project_id IN ${sql(projectIds)} AND t.retired_at IS NULL
    ORDER BY t.name, b.number
  `;

/** The same of one project. */
export const buildsOf = (projectId: string, sql: Tx = db()) => buildsIn([projectId], sql);

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

/** A build's project and team, to whom it belongs. */
export const ofBuild = async (sql: Tx, id: string) => {
  const [b] = await sql<
    { projectId: row.Build["projectId"]; teamId: row.Build["teamId"] }[]
  >`SELECT project_id, team_id FROM build WHERE id = ${id}`;
  return b ? { project: b.projectId, team: b.teamId } : null;
};
