import type { JudgedStanding } from "@/core/contest/judged";
import type { EventState } from "@/core/vocabulary/contest";
import type * as row from "@/platform/db/rows";
import "server-only";
import { db, type Tx } from "@/platform/db/db";
import { type JudgedFacts, judgedFacts } from "./judged-facts";
import { freshenStandings } from "./standings";

export interface JudgedEvent extends JudgedFacts {
  state: EventState;
  standings: JudgedStanding[];
  /** The seed that the order of presentation was drawn with. */
  orderSeed: string | null;
}

const rowsOf = (projectId: string, sql: Tx, id?: string) => sql<(JudgedEvent & { stale: boolean })[]>`
  SELECT
    e.id, e.name, e.state, e.version, e.definition AS rules, k.standings, k.stale,
    (
      SELECT seed FROM draw w
      WHERE w.project_id = e.project_id AND w.purpose = 'run order ' || e.id
      ORDER BY drawn_at DESC
      LIMIT 1
    ) AS order_seed,
    ${judgedFacts(sql)}
  FROM event e
  JOIN kept_event k ON k.event_id = e.id
  WHERE e.project_id = ${projectId} AND e.format = 'judged' ${id ? sql`AND e.id = ${id}` : sql``}
  ORDER BY e.id
`;

/** The judged events, or one of them, with standings as they are kept; what is marked is computed first. */
export async function judgedEventsOf(projectId: string, sql: Tx = db(), id?: string): Promise<JudgedEvent[]> {
  let rows = await rowsOf(projectId, sql, id);
  if (rows.some((r) => r.stale)) {
    await freshenStandings(projectId);
    rows = await rowsOf(projectId, sql, id);
  }
  return rows.map(({ stale: _, ...event }) => event);
}

/** Who can judge a project with a link of their own that is open now. */
export const judgesOf = (projectId: string) =>
  db()<{ id: row.GuestLink["id"]; name: row.GuestLink["label"] }[]>`
    SELECT id, label AS name
    FROM guest_link
    WHERE project_id = ${projectId} AND role = 'judge' AND revoked_at IS NULL AND expires_at > now()
    ORDER BY label, id
  `;
