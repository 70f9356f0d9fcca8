import type * as row from "@/platform/db/rows";
import "server-only";
import type { ProtocolDefinition } from "@/core/run/protocol";
import { teamOf } from "@/platform/command/command";
import { db, type Tx } from "@/platform/db/db";
import { isId } from "@/platform/db/id";

/** A build of an edition before. */
export interface Ancestor {
  id: string;
  name: string;
  edition: row.Project["title"];
  slug: row.Project["slug"];
  stage: row.Build["stage"];
  features: string[];
}

/** A build with its team, its parents, its variables and its photos. */
export interface Build extends row.Build {
  team: row.Team["name"];
  parents: string[];
  variables: Record<string, string>;
  photos: { id: string; caption: string }[];
  /** Who made it alone; null where the team did. */
  maker: row.Person["name"] | null;
  /** The build of the edition before that it was made from. */
  ancestor: Ancestor | null;
  /** Features of its parents that it does without, with the reason. */
  dropped: Record<string, string>;
}

const columns = (sql: Tx) => sql`
  b.*, t.name AS team, (SELECT name FROM person WHERE id = b.maker_id) AS maker,
  (
    SELECT json_build_object(
      'id', a.id, 'name', at.name || ' G' || a.number, 'edition', ap.title, 'slug', ap.slug, 'stage', a.stage,
      'features', a.features
    )
    FROM build a
    JOIN team at ON at.id = a.team_id
    JOIN project ap ON ap.id = a.project_id
    WHERE a.id = b.from_edition
  ) AS ancestor,
  (SELECT coalesce(json_agg(parent_id), '[]') FROM build_parent WHERE build_id = b.id) AS parents,
  (SELECT coalesce(json_object_agg(name, value), '{}') FROM variable_setting WHERE build_id = b.id) AS variables,
  (SELECT coalesce(json_object_agg(feature, reason), '{}') FROM feature_drop WHERE build_id = b.id) AS dropped,
  (
    SELECT coalesce(json_agg(json_build_object('id', id, 'caption', caption) ORDER BY piece_id IS NOT NULL, id), '[]')
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
export const ofBuild = (sql: Tx, id: string) => teamOf(sql, "build", id);

/** The builds of the edition right before a project, the last generation of each team first, with what they reached. */
export const buildsBefore = (projectId: string) => db()<
  {
    id: row.Build["id"];
    teamId: row.Build["teamId"];
    number: row.Build["number"];
    name: string;
    edition: row.Project["title"];
    features: row.Build["features"];
    variables: Record<string, string>;
    reached: number | null;
    definition: ProtocolDefinition | null;
  }[]
>`
  SELECT
    b.id, b.team_id, b.number, t.name || ' G' || b.number AS name, e.title AS edition, b.features,
    (SELECT coalesce(json_object_agg(name, value), '{}') FROM variable_setting WHERE build_id = b.id) AS variables,
    k.reached, k.definition
  FROM project p
  JOIN project e ON e.id = p.edition_of
  JOIN build b ON b.project_id = e.id
  JOIN team t ON t.id = b.team_id
  LEFT JOIN LATERAL (
    SELECT (s.summary->>'counted')::float AS reached, v.definition
    FROM protocol o
    JOIN LATERAL (
      SELECT * FROM protocol_version WHERE protocol_id = o.id ORDER BY number DESC LIMIT 1
    ) v ON true
    JOIN build_summary s ON s.protocol_id = o.id AND s.build_id = b.id AND s.key = v.definition->>'primary'
    WHERE o.project_id = e.id
    ORDER BY o.id
    LIMIT 1
  ) k ON true
  WHERE p.id = ${projectId}
  ORDER BY t.name, b.number DESC
`;

/** Whether a build belongs to the edition right before a project. */
export const isOfEditionBefore = async (sql: Tx, projectId: string, buildId: string): Promise<boolean> =>
  (
    await sql`
      SELECT FROM build b JOIN project p ON p.edition_of = b.project_id WHERE p.id = ${projectId} AND b.id = ${buildId}
    `
  ).length > 0;

/** Another build of the project, from which something is taken over: its name, and whether its team is the same. */
export async function otherBuild(
  sql: Tx,
  { buildId, fromId }: { readonly buildId: string; readonly fromId: string },
): Promise<{ label: string; same: boolean } | null> {
  const [from] = await sql<{ label: string; same: boolean }[]>`
    SELECT t.name || ' G' || f.number AS label, f.team_id = b.team_id AS same
    FROM build f
    JOIN team t ON t.id = f.team_id
    JOIN build b ON b.id = ${buildId} AND b.project_id = f.project_id
    WHERE f.id = ${fromId} AND f.id <> b.id
  `;
  return from ?? null;
}

/** SQL of each team's newest build in a project: its id, team and number. */
export const newestBuilds = (sql: Tx, projectId: string) => sql`
  SELECT DISTINCT ON (team_id) id, team_id, number
  FROM build
  WHERE project_id = ${projectId}
  ORDER BY team_id, number DESC
`;
