import type * as row from "@/platform/db/rows";
import "server-only";
import { command, found, refuse } from "@/platform/command/command";
import { tables } from "@/stages/tables";
import { peopleActs } from "../acts";
import { type Mention, studentSubject } from "../queries/students";
import * as s from "../schema";
import { forgetName } from "./forget-name";

/**
 * Erases a student: name, login and marks' names go; team records stay without the name. Cannot be undone. Gives the
 * places of texts that people wrote and that still hold the name: what is done with those an instructor decides.
 */
export const eraseStudent = command({
  name: "eraseStudent",
  afterFinish: true,
  act: peopleActs.edit,
  schema: s.erase,
  subject: (sql, i) => studentSubject(sql, i.projectId, i.personId),
  async run({ sql, audit, today }, input): Promise<{ mentions: readonly Mention[] }> {
    const [row] = await sql<
      { name: row.Person["name"]; instructor: row.Person["instructor"] }[]
    >`SELECT name, instructor FROM person WHERE id = ${input.personId} AND erased_at IS NULL`;
    const p = found(row, "This student");
    if (p.instructor) refuse("An instructor cannot be erased as a student.");
    if (input.confirm.trim() !== p.name) refuse(`Write the student's name, ${p.name}, to confirm.`, "confirm");
    const blank = "erased student";
    await sql`
      UPDATE person
      SET
        name = ${blank}, email = NULL, login_name = NULL, password_hash = NULL, erased_at = now(),
        version = version + 1
      WHERE id = ${input.personId}
    `;
    await sql`DELETE FROM session_token WHERE person_id = ${input.personId}`;
    for (const statement of tables.flatMap((t) => t.erase ?? [])) {
      // Only the parameters that a statement names are sent, numbered as they come.
      const values = { person: input.personId, words: blank, day: today };
      const given: string[] = [];
      const text = statement.replaceAll(/:(person|words|day)\b/g, (_, key: keyof typeof values) => {
        given.push(values[key]);
        return `$${given.length}`;
      });
      await sql.unsafe(text, given);
    }
    await sql`UPDATE audit SET actor_name = ${blank} WHERE actor_id = ${input.personId}`;
    await sql`UPDATE audit SET label = ${blank}, before = NULL, after = NULL WHERE subject_id = ${input.personId}`;
    const projects = (
      await sql<{ id: row.ProjectSection["projectId"] }[]>`
        SELECT DISTINCT ps.project_id AS id
        FROM enrolment e
        JOIN project_section ps USING (section_id)
        WHERE e.person_id = ${input.personId}
      `
    ).map((x) => x.id);
    const mentions = await forgetName(sql, p.name, blank, projects);
    audit({
      type: "person",
      id: input.personId,
      label: blank,
      after: { textsThatMention: mentions },
      reason: "erased at the instructor's order",
    });
    return { mentions };
  },
});
