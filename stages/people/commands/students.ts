import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
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
        AND to_on IS NULL
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

/** A student who left comes back into the section that they left last. */
export const restoreEnrolment = command({
  name: "restoreEnrolment",
  act: peopleActs.edit,
  schema: s.student,
  subject: (sql, i) => studentSubject(sql, i.projectId, i.personId),
  async run({ sql, audit }, input) {
    const [e] = await sql<{ id: row.Enrolment["id"]; name: row.Person["name"]; here: boolean; erased: boolean }[]>`
      SELECT e.id, p.name, e.to_on IS NULL AS here, p.erased_at IS NOT NULL AS erased
      FROM enrolment e
      JOIN project_section ps USING (section_id)
      JOIN person p ON p.id = e.person_id
      WHERE ps.project_id = ${input.projectId} AND e.person_id = ${input.personId}
      ORDER BY e.to_on DESC NULLS FIRST, e.id DESC
      LIMIT 1
    `;
    const last = found(e, "This student");
    if (last.erased) refuse("This student was erased; that cannot be undone.");
    if (last.here) refuse(`${last.name} is in a section of the project already.`);
    await sql`UPDATE enrolment SET to_on = NULL WHERE id = ${last.id}`;
    audit({ type: "person", id: input.personId, label: last.name, after: { enrolled: true } });
  },
});

const inProject = async (sql: Tx, projectId: string, sectionId: string) => {
  const [c] = await sql<{ name: row.Section["name"] }[]>`
    SELECT c.name
    FROM section c
    JOIN project_section ps ON ps.section_id = c.id
    WHERE c.id = ${sectionId} AND ps.project_id = ${projectId}
  `;
  return found(c, "This section of the project").name;
};

/** Adds one student; another of the same name in the section only where it is said that they are two. */
export const addStudent = command({
  name: "addStudent",
  act: peopleActs.edit,
  schema: s.newStudent,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const section = await inProject(sql, input.projectId, input.sectionId);
    const twins = await sql`
      SELECT
      FROM enrolment e
      JOIN person p ON p.id = e.person_id
      WHERE e.section_id = ${input.sectionId} AND e.to_on IS NULL AND lower(p.name) = lower(${input.name})
    `;
    if (twins.length && !input.twin)
      refuse(
        `${input.name} is in section ${section} already. If this is somebody else, say so below; a second name or a ` +
          "letter behind the name tells them apart in lists.",
        "name",
      );
    const id = newId();
    await sql`INSERT INTO person ${sql({ id, name: input.name, email: input.email.toLowerCase() || null })}`;
    await sql`INSERT INTO enrolment ${sql({ id: newId(), sectionId: input.sectionId, personId: id })}`;
    audit({ type: "person", id, label: input.name, after: { section } });
    return { id };
  },
});

/** Corrects a student's name and email, or moves them to another section of the project; the team stays. */
export const editStudent = command({
  name: "editStudent",
  act: peopleActs.edit,
  schema: s.editStudent,
  subject: (sql, i) => studentSubject(sql, i.projectId, i.personId),
  async run({ sql, audit, today }, input): Promise<{ team: string | null }> {
    const [p] = await sql<
      {
        version: row.Person["version"];
        name: row.Person["name"];
        email: row.Person["email"];
        instructor: boolean;
        enrolmentId: row.Enrolment["id"] | null;
        sectionId: row.Section["id"] | null;
        otherTeam: row.Team["name"] | null;
      }[]
    >`
      SELECT
        p.version, p.name, p.email, p.instructor, e.id AS enrolment_id, e.section_id,
        (
          SELECT t.name
          FROM membership m
          JOIN team t ON t.id = m.team_id
          WHERE m.person_id = p.id AND m.project_id = ${input.projectId} AND m.to_on IS NULL
            AND t.section_id <> ${input.sectionId}
        ) AS other_team
      FROM person p
      LEFT JOIN LATERAL (
        SELECT e.id, e.section_id
        FROM enrolment e
        JOIN project_section ps USING (section_id)
        WHERE e.person_id = p.id AND ps.project_id = ${input.projectId} AND e.to_on IS NULL
        LIMIT 1
      ) e ON true
      WHERE p.id = ${input.personId} AND p.erased_at IS NULL FOR UPDATE OF p
    `;
    const old = found(p, "This student");
    const email = input.email.toLowerCase() || null;
    checkVersion(old, input.version, { name: "Name", email: "Email" }, { name: input.name, email }, old);
    if (old.instructor) refuse("An instructor changes the own name; here are students.");
    const section = await inProject(sql, input.projectId, input.sectionId);
    await sql`
      UPDATE person SET name = ${input.name}, email = ${email}, version = version + 1 WHERE id = ${input.personId}
    `;
    if (old.sectionId !== input.sectionId) {
      if (old.enrolmentId) await sql`UPDATE enrolment SET to_on = ${today} WHERE id = ${old.enrolmentId}`;
      await sql`
        INSERT INTO enrolment ${sql({ id: newId(), sectionId: input.sectionId, personId: input.personId })}
        ON CONFLICT (section_id, person_id) DO UPDATE SET to_on = NULL
      `;
    }
    audit({
      type: "person",
      id: input.personId,
      label: input.name,
      before: { name: old.name, email: old.email, section: old.sectionId },
      after: { name: input.name, email, section },
    });
    return { team: old.sectionId === input.sectionId ? null : old.otherTeam };
  },
});
