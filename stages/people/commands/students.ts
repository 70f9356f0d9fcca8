import type * as row from "@/platform/db/rows";
import "server-only";
import { command, found, refuse } from "@/platform/command/command";
import { firstPassword } from "@/platform/sign-in/secrets";
import { peopleActs } from "../acts";
import { studentSubject } from "../queries/students";
import * as s from "../schema";

/** Gives a student an email to sign in with and a first password, shown once. */
export const giveLogin = command({
  name: "giveLogin",
  shownOnce: true,
  act: peopleActs.edit,
  schema: s.login,
  subject: (sql, i) => studentSubject(sql, i.projectId, i.personId),
  prepare: firstPassword,
  async run({ sql, audit }, input, { password, passwordHash }): Promise<{ password: string }> {
    const [person] = await sql<
      { name: row.Person["name"]; instructor: row.Person["instructor"] }[]
    >`SELECT name, instructor FROM person WHERE id = ${input.personId} AND erased_at IS NULL`;
    if (found(person, "This student").instructor) refuse("An instructor sets their own password.");
    await sql`
      UPDATE person
      SET email = ${input.email.toLowerCase()}, password_hash = ${passwordHash}, version = version + 1
      WHERE id = ${input.personId}
    `;
    await sql`DELETE FROM session_token WHERE person_id = ${input.personId}`;
    audit({ type: "person", id: input.personId, label: person!.name, after: { login: "given" } });
    return { password };
  },
});

/** Takes a student out of the project's sections; the record keeps what they did. */
export const endEnrolment = command({
  name: "endEnrolment",
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
