import type * as row from "@/platform/db/rows";
import "server-only";
import { cache } from "react";
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
  loginName: row.Person["loginName"];
  hasLogin: boolean;
  sectionId: row.Section["id"];
  section: row.Section["name"];
  teamId: row.Team["id"] | null;
  team: row.Team["name"] | null;
  role: row.Membership["role"] | null;
  version: row.Person["version"];
}

/** The students of a project with their section and team, by section and name; asked once a page. */
export const studentsOf = cache(
  (projectId: string): PromiseLike<Student[]> => db()<Student[]>`
  SELECT
    p.id, p.name, p.email, p.login_name, p.password_hash IS NOT NULL AS has_login, c.id AS section_id,
    c.name AS section,
    t.id AS team_id, t.name AS team, m.role, p.version
  FROM enrolment e
  JOIN project_section ps ON ps.section_id = e.section_id
  JOIN section c ON c.id = e.section_id
  JOIN person p ON p.id = e.person_id
  LEFT JOIN membership m ON m.project_id = ps.project_id AND m.person_id = p.id AND m.to_on IS NULL
  LEFT JOIN team t ON t.id = m.team_id
  WHERE ps.project_id = ${projectId} AND e.to_on IS NULL
  ORDER BY c.name, p.name
`,
);

/** Students who left the project's sections, and may come back. */
export const leftOf = (projectId: string) =>
  db()<{ id: row.Person["id"]; name: row.Person["name"]; section: row.Section["name"] }[]>`
    SELECT DISTINCT ON (p.name, p.id) p.id, p.name, c.name AS section
    FROM enrolment e
    JOIN project_section ps ON ps.section_id = e.section_id
    JOIN section c ON c.id = e.section_id
    JOIN person p ON p.id = e.person_id
    WHERE ps.project_id = ${projectId} AND e.to_on IS NOT NULL AND p.erased_at IS NULL
      AND NOT EXISTS (
        SELECT
        FROM enrolment o
        JOIN project_section q ON q.section_id = o.section_id
        WHERE q.project_id = ps.project_id AND o.person_id = p.id AND o.to_on IS NULL
      )
    ORDER BY p.name, p.id, e.to_on DESC
  `;

export const staffOf = (projectId: string) =>
  db()<{ id: row.Person["id"]; name: row.Person["name"]; email: row.Person["email"]; role: row.Staff["role"] }[]>`
    SELECT p.id, p.name, p.email, s.role
    FROM staff s
    JOIN person p ON p.id = s.person_id
    WHERE s.project_id = ${projectId}
    ORDER BY s.role DESC, p.name
  `;

/** Everybody of a project who can look after something: staff first, then students, by name. */
export const ownersOf = (projectId: string) =>
  db()<{ id: row.Person["id"]; name: row.Person["name"] }[]>`
    SELECT p.id, p.name
    FROM (
      SELECT person_id, 0 AS place FROM staff WHERE project_id = ${projectId}
      UNION
      SELECT e.person_id, 1 FROM enrolment e JOIN project_section ps USING (section_id)
      WHERE ps.project_id = ${projectId} AND e.to_on IS NULL
    ) x
    JOIN person p ON p.id = x.person_id
    ORDER BY x.place, p.name
  `;

/** Erased students whose name still stands in texts that people wrote, and where: the instructor decides on them. */
export const mentionsOf = (projectId: string) =>
  db()<{ id: row.Audit["id"]; at: row.Audit["at"]; by: row.Audit["actorName"]; mentions: Mention[] }[]>`
    SELECT id, at, actor_name AS by, after->'textsThatMention' AS mentions
    FROM audit
    WHERE project_id = ${projectId} AND act = 'eraseStudent' AND jsonb_array_length(after->'textsThatMention') > 0
    ORDER BY at DESC
  `;

/** A text that somebody wrote and that holds the name. */
export interface Mention {
  readonly table: string;
  readonly column: string;
  readonly n: number;
}
