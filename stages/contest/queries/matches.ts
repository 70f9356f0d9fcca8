import type { DrawnRound, MatchRules, MatchStanding } from "@/core/contest/matches";
import { type EventState, matchFormat } from "@/core/vocabulary/contest";
import type * as row from "@/platform/db/rows";
import "server-only";
import { db, type Tx } from "@/platform/db/db";
import { factsOf, type MatchEntry, type MatchFacts, type StoredResult } from "./match-facts";
import { freshenStandings } from "./standings";

export interface MatchEvent {
  id: row.Event["id"];
  name: row.Event["name"];
  state: EventState;
  version: number;
  rules: MatchRules;
  entries: MatchEntry[];
  results: StoredResult[];
  drawn: DrawnRound[];
  standings: MatchStanding[];
  /** The seed that the draw was made with; null for seeds by hand or by another event. */
  drawSeed: string | null;
}

type EventRow = Omit<MatchEvent, "rules"> & Pick<MatchFacts, "format" | "definition"> & { stale: boolean };

const rowsOf = (projectId: string, sql: Tx, id?: string) => sql<EventRow[]>`
  SELECT
    e.id, e.name, e.state, e.version, e.format, e.definition, k.standings, k.stale,
    (
      SELECT CASE WHEN w.purpose LIKE 'run order %' THEN w.seed END
      FROM draw w
      WHERE w.project_id = e.project_id AND w.purpose IN ('run order ' || e.id, 'seeds of ' || e.id)
      ORDER BY w.drawn_at DESC
      LIMIT 1
    ) AS draw_seed,
    ${factsOf(sql)}
  FROM event e
  JOIN kept_event k ON k.event_id = e.id
  WHERE
    e.project_id = ${projectId} AND e.format = ANY(${matchFormat.values as string[]})
    ${id ? sql`AND e.id = ${id}` : sql``}
  ORDER BY e.id
`;

/** The events of matches, or one of them, with standings as they are kept; what is marked is computed first. */
export async function matchEventsOf(projectId: string, sql: Tx = db(), id?: string): Promise<MatchEvent[]> {
  let rows = await rowsOf(projectId, sql, id);
  if (rows.some((r) => r.stale)) {
    await freshenStandings(projectId);
    rows = await rowsOf(projectId, sql, id);
  }
  return rows.map(({ stale: _, format, definition, ...event }) => ({ ...event, rules: { ...definition, format } }));
}

/** One event of matches as its facts stand now, for a command that adds to them; locked until it is done. */
export async function lockMatches(
  sql: Tx,
  id: string,
): Promise<(Omit<MatchEvent, "standings" | "drawSeed"> & { projectId: row.Event["projectId"] }) | null> {
  await sql`SELECT FROM event WHERE id = ${id} FOR UPDATE`;
  const [e] = await sql<(Omit<EventRow, "standings" | "drawSeed" | "stale"> & { projectId: row.Event["projectId"] })[]>`
    SELECT e.id, e.project_id, e.name, e.state, e.version, e.format, e.definition, ${factsOf(sql)}
    FROM event e
    WHERE e.id = ${id} AND e.format = ANY(${matchFormat.values as string[]})
  `;
  if (!e) return null;
  const { format, definition, ...event } = e;
  return { ...event, rules: { ...definition, format } };
}

/** The events of a project by name, whatever their format. */
export const eventNames = (projectId: string, sql: Tx = db()) =>
  sql<
    {
      id: row.Event["id"];
      name: row.Event["name"];
      format: row.Event["format"];
      state: row.Event["state"];
      weight: row.Event["weight"];
    }[]
  >`SELECT id, name, format, state, weight FROM event WHERE project_id = ${projectId} ORDER BY id`;
