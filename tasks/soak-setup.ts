// Who writes and reads while the application is soaked: sessions of students and of the instructor, as JSON.
import { closeDb, db } from "@/platform/db/db";
import { openSession } from "@/platform/sign-in/sessions";

async function main(): Promise<void> {
  const sql = db();
  const [project] = await sql<{ id: string; slug: string }[]>`
    SELECT id, slug FROM project WHERE finished_at IS NULL ORDER BY starts_on DESC, slug DESC LIMIT 1
  `;
  const students = await sql<{ id: string }[]>`
    SELECT DISTINCT e.person_id AS id
    FROM enrolment e
    JOIN project_section ps USING (section_id)
    WHERE ps.project_id = ${project!.id} AND e.to_on IS NULL
    ORDER BY e.person_id
  `;
  const [admin] = await sql<{ id: string }[]>`SELECT id FROM person WHERE admin`;
  const cookie = async (id: string) => `ironstone_session=${(await openSession(id)).secret}`;
  const writers = [];
  for (const s of students) writers.push({ id: s.id, cookie: await cookie(s.id) });
  console.log(JSON.stringify({ project, writers, reader: await cookie(admin!.id) }));
}
main().finally(closeDb);
