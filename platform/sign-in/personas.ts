import "server-only";
import { db } from "@/platform/db/db";

export interface Persona {
  id: string;
  name: string;
  words: string;
}

/** The people that the demo offers at sign-in: two instructors and a student of each of a few teams. */
export const demoPersonas = () => db()<Persona[]>`
  (
    SELECT p.id, p.name, CASE WHEN p.admin THEN 'instructor, keeps the school' ELSE 'co-instructor' END AS words
    FROM person p
    WHERE p.instructor AND p.erased_at IS NULL
    ORDER BY p.admin DESC, p.name
    LIMIT 3
  )
  UNION ALL (
    SELECT DISTINCT ON (t.name) p.id, p.name, 'student, team ' || t.name
    FROM membership m
    JOIN person p ON p.id = m.person_id
    JOIN team t ON t.id = m.team_id
    JOIN project j ON j.id = m.project_id
    WHERE m.to_on IS NULL AND j.finished_at IS NULL AND t.name IN ('Alder', 'Cistern', 'Downpour')
    ORDER BY t.name, p.name
  )
`;

/** Whether a person may be entered by one click: one of the offered ones. */
export async function demoPersona(id: string): Promise<boolean> {
  return (await demoPersonas()).some((p) => p.id === id);
}
