import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";

/** The teams of which an attempt was scored by two people and nobody has chosen yet, by event. */
export async function twiceScored(projectId: string): Promise<Map<string, string[]>> {
  const rows = await db()<{ eventId: row.Event["id"]; teams: string[] }[]>`
    SELECT n.event_id, array_agg(DISTINCT t.name) AS teams
    FROM run r
    JOIN entry n ON n.id = r.entry_id
    JOIN team t ON t.id = n.team_id
    WHERE r.project_id = ${projectId} AND r.rival_of IS NOT NULL
    GROUP BY n.event_id
  `;
  return new Map(rows.map((r) => [r.eventId, r.teams]));
}
