import type * as row from "@/platform/db/rows";
import "server-only";
import { db, type Tx } from "@/platform/db/db";
import { newestBuilds } from "@/stages/builds/queries/builds";

/** A time at a machine, asked for, placed, running or over. */
export interface Booking extends row.Booking {
  readonly team: row.Team["name"];
  readonly operator: row.Person["name"] | null;
  /** The piece that it is for: whether it can be cut once only, and whether it was released. */
  readonly piece: { name: string; once: boolean; released: boolean; buildId: string } | null;
  /** The section whose sessions the team comes to. */
  readonly home: row.Section["id"] | null;
}

const of = (sql: Tx) => sql`
  SELECT
    b.*, t.name AS team, o.name AS operator, coalesce(b.section_id, t.section_id) AS home,
    (
      SELECT json_build_object(
        'name', p.name, 'once', p.one_chance, 'buildId', p.build_id, 'released',
        EXISTS (SELECT FROM piece_step s WHERE s.piece_id = p.id AND s.step IN ('released', 'cut'))
      )
      FROM piece p
      WHERE p.id = b.piece_id
    ) AS piece
  FROM booking b
  JOIN team t ON t.id = b.team_id
  LEFT JOIN person o ON o.id = b.operator_id
`;

/** The bookings of a machine that wait, that stand between two days, or that run. */
export const bookingsOf = (toolId: string, from: string, to: string, sql: Tx = db()) => sql<Booking[]>`
  ${of(sql)}
  WHERE b.tool_id = ${toolId}
    AND ((b.on_date IS NULL AND b.ended_at IS NULL) OR b.on_date BETWEEN ${from} AND ${to}
      OR (b.started_at IS NOT NULL AND b.ended_at IS NULL))
  ORDER BY b.on_date, b.period, b.starts, b.need_by, b.asked_at
`;

/** One booking. */
export const bookingById = async (id: string, sql: Tx = db()): Promise<Booking | null> =>
  (await sql<Booking[]>`${of(sql)} WHERE b.id = ${id}`)[0] ?? null;

/** Estimated and used minutes of what is over, by machine. */
export const doneTimes = (projectId: string) => db()<{ toolId: row.Tool["id"]; minutes: number; used: number }[]>`
  SELECT tool_id, minutes, used_minutes AS used
  FROM booking
  WHERE project_id = ${projectId} AND used_minutes IS NOT NULL
`;

/** Pieces of the builds of each team's newest generation, that a booking can be for. */
export const piecesToCut = (projectId: string) => db()<
  { id: row.Piece["id"]; name: row.Piece["name"]; teamId: row.Team["id"]; label: string; once: boolean }[]
>`
  SELECT p.id, p.name, b.team_id, p.name || ', G' || b.number AS label, p.one_chance AS once
  FROM piece p
  JOIN (${newestBuilds(db(), projectId)}) b ON b.id = p.build_id
  WHERE NOT EXISTS (SELECT FROM piece_step s WHERE s.piece_id = p.id AND s.step = 'cut')
  ORDER BY p.id
`;
