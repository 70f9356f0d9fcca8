import type { RunPlace } from "@/core/vocabulary/runs";
import type * as row from "@/platform/db/rows";
import "server-only";
import type { RecordedRun } from "@/core/run/assess";
import type { ProtocolDefinition } from "@/core/run/protocol";
import { db, type Tx } from "@/platform/db/db";

export interface Protocol {
  id: row.Protocol["id"];
  name: row.Protocol["name"];
  version: row.Protocol["version"];
  versionId: row.ProtocolVersion["id"];
  number: row.ProtocolVersion["number"];
  definition: ProtocolDefinition;
  whatChanged: row.ProtocolVersion["whatChanged"];
  createdBy: row.ProtocolVersion["createdBy"];
  createdAt: row.ProtocolVersion["createdAt"];
  runs: number;
}

/**
 * The protocols of these projects in their current version, in the order in which they were written: the first is the
 * project's main test.
 */
export const protocolsIn = (projectIds: readonly string[], sql: Tx = db()) => sql<(Protocol & { projectId: string })[]>`
  SELECT
    p.project_id, p.id, p.name, p.version, v.id AS version_id, v.number, v.definition, v.what_changed, v.created_by,
    v.created_at,
    (
      SELECT count(*)::int
      FROM run r
      JOIN protocol_version o ON o.id = r.protocol_version_id
      WHERE o.protocol_id = p.id AND r.place = 'bench'
    ) AS runs
  FROM protocol p
  JOIN LATERAL (SELECT * FROM protocol_version WHERE protocol_id = p.id ORDER BY number DESC LIMIT 1) v ON true
  WHERE p.project_id IN ${sql(projectIds)}
  ORDER BY p.id
`;

/** The same of one project. */
export const protocolsOf = (projectId: string, sql: Tx = db()): PromiseLike<Protocol[]> =>
  protocolsIn([projectId], sql);

/** Whether something was recorded under a protocol's version `v`: it stays as it was then. */
export const leanedOn = (sql: Tx) => sql`(
  EXISTS (SELECT FROM run WHERE protocol_version_id = v.id)
  OR EXISTS (SELECT FROM series WHERE protocol_version_id = v.id)
  OR EXISTS (SELECT FROM event WHERE protocol_version_id = v.id)
)`;

/** The same of one version. */
export async function isLeanedOn(versionId: string, sql: Tx = db()): Promise<boolean> {
  const [v] = await sql<{ used: boolean }[]>`
    SELECT ${leanedOn(sql)} AS used FROM protocol_version v WHERE v.id = ${versionId}
  `;
  return v?.used ?? false;
}

export interface StoredRun extends RecordedRun {
  buildId: row.Run["buildId"];
  teamId: row.Build["teamId"];
  protocolId: row.ProtocolVersion["protocolId"];
  protocolVersionId: row.Run["protocolVersionId"];
  protocolNumber: row.ProtocolVersion["number"];
  buildRevision: row.Run["buildRevision"];
  place: row.Run["place"];
  entryId: row.Run["entryId"];
  version: row.Run["version"];
  by: row.Run["recordedBy"];
  at: row.Run["recordedAt"];
  note: row.Run["note"];
  photos: { id: string; caption: string }[];
  /** What it is charged. */
  penalties: { key: string; count: number; reason: string }[];
}

/** Runs with their readings, oldest first; narrowed by protocol, build, place or events of a contest. */
export const runsOf = (
  projectId: string,
  narrow: {
    protocolId?: string;
    buildIds?: readonly string[];
    place?: RunPlace;
    eventIds?: readonly string[];
    /** Only so many, the latest. */
    latest?: number;
  } = {},
  sql: Tx = db(),
) => sql<StoredRun[]>`
  SELECT
    r.id, r.build_id, b.team_id, v.protocol_id, r.protocol_version_id, v.number AS protocol_number, r.build_revision,
    r.attempt, r.place, r.entry_id, r.state, r.reason, r.recorded_by AS by, r.recorded_at AS at, r.version,
    r.note,
    (
      SELECT coalesce(
        json_agg(json_build_object('key', y.key, 'count', y.count, 'reason', y.reason) ORDER BY y.key), '[]'
      )
      FROM penalty y
      WHERE y.run_id = r.id
    ) AS penalties,
    (
      SELECT coalesce(json_agg(json_build_object('id', u.id, 'caption', u.caption) ORDER BY u.id), '[]')
      FROM file_use u
      WHERE u.run_id = r.id
    ) AS photos,
    coalesce(d.readings, '{}') AS readings, coalesce(d.conditions, '{}') AS conditions
  FROM run r
  JOIN build b ON b.id = r.build_id
  JOIN protocol_version v ON v.id = r.protocol_version_id
  LEFT JOIN LATERAL (
    SELECT
      json_object_agg(key, value::text) FILTER (WHERE role = 'measure') AS readings,
      json_object_agg(key, value::text) FILTER (WHERE role = 'condition') AS conditions
    FROM reading
    WHERE run_id = r.id
  ) d ON true
  WHERE r.project_id = ${projectId}
    ${
      narrow.latest && narrow.buildIds
        ? sql`AND r.id IN (
            SELECT x.id
            FROM run x
            JOIN protocol_version y ON y.id = x.protocol_version_id
            WHERE x.build_id IN ${sql(narrow.buildIds)} AND y.protocol_id = ${narrow.protocolId ?? null}
              AND x.place = 'bench'
            ORDER BY x.recorded_at DESC, x.id DESC
            LIMIT ${narrow.latest}
          )`
        : sql``
    }
    ${narrow.protocolId ? sql`AND v.protocol_id = ${narrow.protocolId}` : sql``}
    ${narrow.buildIds ? sql`AND r.build_id IN ${sql(narrow.buildIds)}` : sql``}
    ${narrow.place ? sql`AND r.place = ${narrow.place}` : sql``}
    ${
      narrow.eventIds
        ? sql`AND r.entry_id IN (SELECT id FROM entry WHERE event_id = ANY(${[...narrow.eventIds]}))`
        : sql``
    }
  ORDER BY r.build_id, v.number, r.attempt, r.recorded_at
`;

/** The comparable bench values of some builds in a channel, oldest first, and each build's last attempt so far. */
export async function benchValues(buildIds: readonly string[], protocolId: string, key: string) {
  if (!buildIds.length) return { values: [], attempts: [] };
  const sql = db();
  const [values, attempts] = await Promise.all([
    sql<{ buildId: string; runId: string; value: number }[]>`
      SELECT v.build_id, v.run_id, v.value
      FROM run_value v
      JOIN run r ON r.id = v.run_id
      JOIN protocol_version o ON o.id = r.protocol_version_id
      WHERE v.build_id IN ${sql(buildIds)} AND v.key = ${key} AND v.comparable AND v.value IS NOT NULL
        AND o.protocol_id = ${protocolId} AND r.place = 'bench'
      ORDER BY o.number, r.attempt, r.recorded_at
    `,
    sql<{ buildId: string; runs: number; last: number }[]>`
      SELECT r.build_id, count(*)::int AS runs, max(r.attempt) FILTER (WHERE o.number = n.newest) AS last
      FROM run r
      JOIN protocol_version o ON o.id = r.protocol_version_id
      CROSS JOIN (SELECT max(number) AS newest FROM protocol_version WHERE protocol_id = ${protocolId}) n
      WHERE r.build_id IN ${sql(buildIds)} AND o.protocol_id = ${protocolId} AND r.place = 'bench'
      GROUP BY r.build_id
    `,
  ]);
  return { values, attempts };
}

export interface SafetyCheck {
  id: row.SafetyCheck["id"];
  teamId: row.SafetyCheck["teamId"];
  cautions: row.SafetyCheck["cautions"];
  by: row.SafetyCheck["checkedBy"];
  at: row.SafetyCheck["checkedAt"];
}

/** The safety checks of a protocol that teams ticked on a day. */
export const safetyChecksOf = (protocolId: string, day: string) => db()<SafetyCheck[]>`
  SELECT id, team_id, cautions, checked_by AS by, checked_at AS at
  FROM safety_check
  WHERE protocol_id = ${protocolId} AND on_date = ${day}
`;

/** The readings of the latest valid run under a version, as they were typed, by symbol: an example of what is read. */
export async function lastReadings(versionId: string): Promise<Record<string, string>> {
  const rows = await db()<{ key: row.Reading["key"]; entered: row.Reading["entered"] }[]>`
    SELECT d.key, d.entered
    FROM reading d
    WHERE d.role = 'measure' AND d.run_id = (
      SELECT id FROM run WHERE protocol_version_id = ${versionId} AND state = 'valid' ORDER BY recorded_at DESC LIMIT 1
    ) AND NOT EXISTS (SELECT FROM series s WHERE s.run_id = d.run_id AND s.key = d.key)
  `;
  return Object.fromEntries(rows.map((r) => [r.key, r.entered]));
}

/** What was kept at what in a run, by symbol, in SI; where nothing was measured it was as the protocol sets it. */
export async function conditionsOf(runId: string): Promise<Record<string, string>> {
  const rows = await db()<{ key: string; value: string }[]>`
    SELECT key, value::text FROM reading WHERE run_id = ${runId} AND role = 'condition'
  `;
  return Object.fromEntries(rows.map((r) => [r.key, r.value]));
}
