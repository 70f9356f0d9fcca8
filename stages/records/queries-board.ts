import type * as row from "@/platform/db/rows";
import "server-only";
import type { Better } from "@/core/vocabulary/runs";
import { db } from "@/platform/db/db";
import { freshen } from "@/stages/needs/queries/kept";

/** The best comparable run of a build in a measure, with what is told of the build. */
export interface BuildBest {
  readonly buildId: row.Build["id"];
  readonly number: row.Build["number"];
  readonly projectId: row.Project["id"];
  readonly team: row.Team["name"];
  readonly section: row.Section["name"] | null;
  readonly protocol: row.Protocol["name"];
  readonly key: row.RunValue["key"];
  readonly value: number;
  readonly place: row.Run["place"];
  readonly at: row.Run["recordedAt"];
  /** Comparable runs of the build in this measure. */
  readonly runs: number;
}

/**
 * The best run of every build of some editions in these measures, from the values that are kept; pilot runs aside. Of
 * equal values the first.
 */
export async function buildBests(
  projectIds: readonly string[],
  lines: readonly { readonly protocol: string; readonly key: string; readonly better: Better }[],
): Promise<BuildBest[]> {
  if (!projectIds.length || !lines.length) return [];
  await freshen(projectIds);
  const sql = db();
  return sql<BuildBest[]>`
    WITH line AS (
      SELECT *
      FROM unnest(
        ${lines.map((l) => l.protocol)}::text[], ${lines.map((l) => l.key)}::text[],
        ${lines.map((l) => (l.better === "more" ? 1 : -1))}::int[]
      ) AS l (protocol, key, sign)
    )
    SELECT
      x.build_id, b.number, b.project_id, t.name AS team, s.name AS section, x.protocol, x.key, x.value, x.place, x.at,
      x.runs
    FROM (
      SELECT DISTINCT ON (v.build_id, l.protocol, l.key)
        v.build_id, l.protocol, l.key, v.value, r.place, r.recorded_at AS at,
        count(*) OVER (PARTITION BY v.build_id, l.protocol, l.key)::int AS runs
      FROM run_value v
      JOIN run r ON r.id = v.run_id AND r.place <> 'pilot'
      JOIN protocol_version o ON o.id = r.protocol_version_id
      JOIN protocol p ON p.id = o.protocol_id
      JOIN line l ON l.protocol = p.name AND l.key = v.key
      WHERE r.project_id IN ${sql(projectIds)} AND v.comparable AND v.value IS NOT NULL
      ORDER BY v.build_id, l.protocol, l.key, v.value * l.sign DESC, r.recorded_at
    ) x
    JOIN build b ON b.id = x.build_id
    JOIN team t ON t.id = b.team_id
    LEFT JOIN section s ON s.id = t.section_id
  `;
}

/** Settings, features and a picture of some builds. */
export async function toldOfBuilds(buildIds: readonly string[]) {
  if (!buildIds.length) return [];
  const sql = db();
  return sql<
    {
      id: row.Build["id"];
      features: string[];
      settings: { name: string; value: string }[];
      picture: row.FileUse["id"] | null;
    }[]
  >`
    SELECT
      b.id, b.features,
      (
        SELECT coalesce(json_agg(json_build_object('name', v.name, 'value', v.value) ORDER BY v.name), '[]')
        FROM variable_setting v
        WHERE v.build_id = b.id
      ) AS settings,
      (SELECT u.id FROM file_use u WHERE u.build_id = b.id ORDER BY u.added_at DESC LIMIT 1) AS picture
    FROM build b
    WHERE b.id IN ${sql(buildIds)}
  `;
}
