import type * as row from "@/platform/db/rows";
import "server-only";
import { featureLines } from "@/core/records/features";
import type { Channel } from "@/core/run/protocol";
import type { Better } from "@/core/vocabulary/runs";
import { db } from "@/platform/db/db";
import type { Protocol } from "@/stages/bench/queries/runs";
import { freshen } from "@/stages/needs/queries/kept";
import { measuresOf } from "../view/records";

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
 * The best run of every build of some editions in these measures, on the bench and in the contest, from the values that
 * are kept; of equal values the first.
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
    ),
    reached AS (
      SELECT
        s.build_id, l.protocol, l.key, l.sign, (s.summary ->> 'best')::float8 AS value, r.place, r.recorded_at AS at,
        (s.summary ->> 'n')::int AS runs
      FROM build_summary s
      JOIN protocol p ON p.id = s.protocol_id
      JOIN line l ON l.protocol = p.name AND l.key = s.key
      JOIN run r ON r.id = (s.summary ->> 'bestRun')::uuid
      WHERE p.project_id IN ${sql(projectIds)} AND s.summary ->> 'best' IS NOT NULL
      UNION ALL
      -- In the contest there are few.
      SELECT v.build_id, l.protocol, l.key, l.sign, v.value, r.place, r.recorded_at, 1
      FROM run r
      JOIN protocol_version o ON o.id = r.protocol_version_id
      JOIN protocol p ON p.id = o.protocol_id
      JOIN line l ON l.protocol = p.name
      JOIN run_value v ON v.run_id = r.id AND v.key = l.key
      WHERE r.project_id IN ${sql(projectIds)} AND r.place = 'contest' AND v.comparable AND v.value IS NOT NULL
    )
    SELECT
      x.build_id, b.number, b.project_id, t.name AS team, s.name AS section, x.protocol, x.key, x.value, x.place, x.at,
      x.runs
    FROM (
      SELECT DISTINCT ON (build_id, protocol, key)
        build_id, protocol, key, value, place, at,
        sum(runs) OVER (PARTITION BY build_id, protocol, key)::int AS runs
      FROM reached
      ORDER BY build_id, protocol, key, value * sign DESC, at
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

/** A build of one of some editions, with its features, what it was made from, and what failed on it. */
interface BuildOver {
  readonly id: row.Build["id"];
  readonly features: row.Build["features"];
  readonly parents: string[];
  readonly faults: string[];
}

/** The builds of some editions; mock-ups too. */
const buildsOver = (projectIds: readonly string[]) => db()<BuildOver[]>`
  SELECT
    b.id, b.features,
    ARRAY(SELECT parent_id::text FROM build_parent WHERE build_id = b.id)
      || CASE WHEN b.from_edition IS NULL THEN '{}' ELSE ARRAY[b.from_edition::text] END AS parents,
    ARRAY(SELECT f.mode FROM failure f WHERE f.build_id = b.id ORDER BY f.recorded_at) AS faults
  FROM build b
  WHERE b.project_id IN ${db()(projectIds)}
  ORDER BY b.built_on, b.id
`;

/** The features of some editions' builds, with how the builds did in a measure; and how many builds there are. */
export async function featuresOver(
  projectIds: readonly string[],
  line: { readonly protocol: Protocol; readonly channel: Channel } | undefined,
) {
  const [builds, bests] = await Promise.all([
    buildsOver(projectIds),
    buildBests(projectIds, measuresOf(line ? [line] : [])),
  ]);
  const value = new Map(bests.map((b) => [b.buildId as string, b.value]));
  return { builds: builds.length, lines: featureLines(builds.map((b) => ({ ...b, value: value.get(b.id) ?? null }))) };
}
