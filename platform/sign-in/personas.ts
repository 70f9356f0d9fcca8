import "server-only";
import { db } from "@/platform/db/db";

export interface Persona {
  id: string;
  name: string;
  words: string;
}

/** The people that the demo offers at sign-in: two instructors, a student of each of a few teams, and one's partner. */
export const demoPersonas = () => db()<Persona[]>`
  (
    SELECT p.id, p.name, CASE WHEN p.admin THEN 'instructor, keeps the school' ELSE 'co-instructor' END AS words
    FROM person p
    WHERE p.instructor AND p.erased_at IS NULL
    ORDER BY p.admin DESC, p.name
    LIMIT 3
  )
  UNION ALL (
    SELECT x.id, x.name, 'student, team ' || x.team
    FROM (
      SELECT p.id, p.name, t.name AS team, row_number() OVER (PARTITION BY t.name ORDER BY p.name) AS nth
      FROM membership m
      JOIN person p ON p.id = m.person_id
      JOIN team t ON t.id = m.team_id
      JOIN project j ON j.id = m.project_id
      WHERE m.to_on IS NULL AND j.finished_at IS NULL AND t.name IN ('Alder', 'Cistern', 'Downpour')
    ) x
    WHERE x.nth = 1 OR (x.nth = 2 AND x.team = 'Downpour')
    ORDER BY x.team, x.name
  )
`;

/** Whether a person may be entered by one click: one of the offered ones. */
export async function demoPersona(id: string): Promise<boolean> {
  return (await demoPersonas()).some((p) => p.id === id);
}
