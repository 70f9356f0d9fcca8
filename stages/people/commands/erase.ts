import type * as row from "@/platform/db/rows";
import "server-only";
import { columnsOf } from "@/platform/bundle/catalog";
import { command, found, refuse } from "@/platform/command/command";
import { tables } from "@/stages/tables";
import { peopleActs } from "../acts";
import { studentSubject } from "../queries/students";
import * as s from "../schema";

/** Erases a student: name, login and marks' names go; team records stay without the name. Cannot be undone. */
export const eraseStudent = command({
  name: "eraseStudent",
  afterFinish: true,
  act: peopleActs.edit,
  schema: s.erase,
  subject: (sql, i) => studentSubject(sql, i.projectId, i.personId),
  async run({ sql, audit, today }, input) {
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
    await sql`UPDATE statement_apart SET told_by = ${blank} WHERE told_by = ${p.name}`;
    await sql`UPDATE audit SET actor_name = ${blank} WHERE actor_id = ${input.personId}`;
    await sql`UPDATE audit SET label = ${blank}, before = NULL, after = NULL WHERE subject_id = ${input.personId}`;
    await sql`
      UPDATE audit
      SET before = NULL, after = NULL
      WHERE project_id = ${input.projectId}
        AND (before::text LIKE ${`%${p.name}%`} OR after::text LIKE ${`%${p.name}%`})
    `;
    // Wherever else the name was written down in the projects of this student: as who recorded something, in a label,
    // in a draw.
    const projects = (
      await sql<{ id: row.ProjectSection["projectId"] }[]>`
        SELECT DISTINCT ps.project_id AS id
        FROM enrolment e
        JOIN project_section ps USING (section_id)
        WHERE e.person_id = ${input.personId}
      `
    ).map((x) => x.id);
    const columns = await columnsOf(sql);
    const owned = new Set(columns.filter((c) => c.column === "project_id").map((c) => c.table));
    const pattern = `\\m${p.name.replace(/[.*+?^${}()|[\]\\]/g, "\\$&")}\\M`;
    for (const c of columns)
      if (owned.has(c.table) && (c.type === "text" || c.type === "jsonb"))
        await sql.unsafe(
          `UPDATE ${c.table} SET ${c.column} = regexp_replace(${c.column}::text, $1, $2, 'g')::${c.type} WHERE ` +
            `project_id = ANY($3::uuid[]) AND ${c.column}::text ~ $1`,
          [pattern, blank, projects],
        );
    audit({ type: "person", id: input.personId, label: blank, reason: "erased at the instructor's order" });
  },
});
