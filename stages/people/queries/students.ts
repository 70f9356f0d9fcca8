import type * as row from "@/platform/db/rows";
import "server-only";
import { db, type Sql } from "@/platform/db/db";

export const studentSubject = async (sql: Sql, projectId: string, personId: string) => {
  const [row] = await sql`
      SELECT
      FROM enrolment e
      JOIN project_section ps USING (section_id)
      WHERE ps.project_id = ${projectId} AND e.person_id = ${personId}
    `;
  return row ? { project: projectId, person: personId } : null;
};

export interface Student {
  id: row.Person["id"];
  name: row.Person["name"];
  email: row.Person["email"];
  hasLogin: boolean;
  sectionId: row.Section["id"];
  section: row.Section["name"];
  teamId: row.Team["id"] | null;
  team: row.Team["name"] | null;
  role: row.Membership["role"] | null;
}

/** The students now in a project's sections with their teams, by section and name. */
export const studentsOf = (projectId: string) => db()<Student[]>`
  SELECT
    p.id, p.name, p.email, p.password_hash IS NOT NULL AS has_login, c.id AS section_id, c.name AS section,
    t.id AS team_id, t.name AS team, m.role
  FROM enrolment e
  JOIN project_section ps ON ps.section_id = e.section_id
  JOIN section c ON c.id = e.section_id
  JOIN person p ON p.id = e.person_id
  LEFT JOIN membership m ON m.project_id = ps.project_id AND m.person_id = p.id AND m.to_on IS NULL
  LEFT JOIN team t ON t.id = m.team_id
  WHERE ps.project_id = ${projectId} AND e.to_on IS NULL
  ORDER BY c.name, p.name
`;

export const staffOf = (projectId: string) =>
  db()<{ id: row.Person["id"]; name: row.Person["name"]; email: row.Person["email"]; role: row.Staff["role"] }[]>`
    SELECT p.id, p.name, p.email, s.role
    FROM staff s
    JOIN person p ON p.id = s.person_id
    WHERE s.project_id = ${projectId}
    ORDER BY s.role DESC, p.name
  `;
