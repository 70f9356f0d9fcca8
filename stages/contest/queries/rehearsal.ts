import type * as row from "@/platform/db/rows";
import "server-only";
import { db, type Tx } from "@/platform/db/db";

/** When the rehearsal of a contest began; null while nobody rehearses. */
export const rehearsalOf = async (projectId: string, sql: Tx = db()): Promise<string | null> =>
  (
    await sql<{ since: string | null }[]>`
      SELECT settings->>'rehearsal' AS since FROM project WHERE id = ${projectId}
    `
  )[0]?.since ?? null;

/** What is on record of a contest's day, counted by what it is called. */
export async function recordedOf(projectId: string, sql: Tx = db()): Promise<{ what: string; n: number }[]> {
  const rows = await sql<{ what: string; n: number }[]>`
    SELECT x.what, x.n
    FROM (
      SELECT 'attempts' AS what, count(*)::int AS n
      FROM run r
      JOIN entry n ON n.id = r.entry_id
      JOIN event e ON e.id = n.event_id
      WHERE e.project_id = ${projectId}
      UNION ALL
      SELECT 'matches', count(*)::int FROM match_result m JOIN event e ON e.id = m.event_id
      WHERE e.project_id = ${projectId}
      UNION ALL
      SELECT 'sheets of judges', count(*)::int FROM judge_sheet s JOIN entry n ON n.id = s.entry_id
      JOIN event e ON e.id = n.event_id
      WHERE e.project_id = ${projectId}
      UNION ALL
      SELECT 'inspections', count(*)::int FROM inspection i JOIN build b ON b.id = i.build_id
      WHERE b.project_id = ${projectId}
      UNION ALL
      SELECT 'checks of cautions', count(*)::int FROM event_check k JOIN event e ON e.id = k.event_id
      WHERE e.project_id = ${projectId}
      UNION ALL
      SELECT 'halts', count(*)::int FROM event_halt h JOIN event e ON e.id = h.event_id
      WHERE e.project_id = ${projectId}
      UNION ALL
      SELECT 'votes', count(*)::int FROM vote v JOIN ballot b ON b.id = v.ballot_id WHERE b.project_id = ${projectId}
    ) x
    WHERE x.n > 0
  `;
  return [...rows];
}

/** The usual readings of each entry's build under its event's protocol, in SI, by entry and symbol. */
export const usualReadings = (eventId: string, sql: Tx) => sql<
  { entryId: row.Entry["id"]; key: row.Reading["key"]; value: number }[]
>`
  SELECT n.id AS entry_id, x.key, percentile_cont(0.5) WITHIN GROUP (ORDER BY x.value::float8) AS value
  FROM entry n
  JOIN event e ON e.id = n.event_id
  JOIN protocol_version v ON v.id = e.protocol_version_id
  JOIN run r ON r.build_id = n.build_id AND r.state = 'valid' AND r.place = 'bench'
  JOIN protocol_version w ON w.id = r.protocol_version_id AND w.protocol_id = v.protocol_id
  JOIN reading x ON x.run_id = r.id AND x.role = 'measure'
  WHERE e.id = ${eventId}
  GROUP BY n.id, x.key
`;
