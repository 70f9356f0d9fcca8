import "server-only";
import { command } from "@/platform/command/command";
import { peopleActs } from "../acts";
import { studentSubject } from "../queries/students";
import * as s from "../schema";

/** Takes a student out of the project's sections; the record keeps what they did. */
export const endEnrolment = command({
  name: "endEnrolment",
  afterFinish: true,
  act: peopleActs.edit,
  schema: s.student,
  subject: (sql, i) => studentSubject(sql, i.projectId, i.personId),
  async run({ sql, audit, today }, input) {
    const [p] = await sql<{ name: string }[]>`SELECT name FROM person WHERE id = ${input.personId}`;
    await sql`
      UPDATE enrolment
      SET to_on = ${today}
      WHERE person_id = ${input.personId}
        AND section_id IN (SELECT section_id FROM project_section WHERE project_id = ${input.projectId})
    `;
    await sql`
      UPDATE membership
      SET to_on = ${today}
      WHERE person_id = ${input.personId} AND project_id = ${input.projectId} AND to_on IS NULL
    `;
    audit({ type: "person", id: input.personId, label: p?.name, after: { enrolled: false } });
  },
});
