import type * as row from "@/platform/db/rows";
import "server-only";
import { db, type Tx } from "@/platform/db/db";

/** Checks of machines on a day. */
export const checksOn = (projectId: string, day: string, sql: Tx = db()) =>
  sql<row.MachineCheck[]>`
    SELECT * FROM machine_check WHERE project_id = ${projectId} AND on_date = ${day} ORDER BY checked_at
  `;

/** The last checks of all machines, the newest first. */
export const checksOf = (projectId: string) =>
  db()<row.MachineCheck[]>`
    SELECT * FROM machine_check WHERE project_id = ${projectId} ORDER BY checked_at DESC LIMIT 40
  `;

/** What happened in the shop, the newest first. */
export const incidentsOf = (projectId: string, sql: Tx = db()) =>
  sql<(row.Incident & { tool: row.Tool["name"] | null })[]>`
    SELECT i.*, t.name AS tool
    FROM incident i
    LEFT JOIN tool t ON t.id = i.tool_id
    WHERE i.project_id = ${projectId}
    ORDER BY i.on_date DESC, i.reported_at DESC
  `;

/** Names of a project's students, that no export of incidents carries. */
export const studentNames = async (projectId: string): Promise<string[]> =>
  (
    await db()<{ name: row.Person["name"] }[]>`
      SELECT DISTINCT p.name
      FROM person p
      JOIN enrolment e ON e.person_id = p.id
      JOIN project_section s USING (section_id)
      WHERE s.project_id = ${projectId}
    `
  ).map((p) => p.name);
