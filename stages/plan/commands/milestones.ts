import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { milestoneActs, planActs } from "../acts";
import * as s from "../schema";

export const moveMilestone = command({
  name: "moveMilestone",
  act: planActs.edit,
  schema: s.moveMilestone,
  subject: (sql, i) => projectOf(sql, "milestone", i.id),
  async run({ sql, audit }, input) {
    const [m] = await sql<
      { version: number; title: string; dueOn: string }[]
    >`SELECT version, title, due_on FROM milestone WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(m!, input.version, { dueOn: "Due" }, input, m!);
    await sql`UPDATE milestone SET due_on = ${input.dueOn}, version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "milestone", id: input.id, label: m!.title, before: { due: m!.dueOn }, after: { due: input.dueOn } });
  },
});

/** A section's own date of a milestone; empty takes the project's again. */
export const setMilestoneDate = command({
  name: "setMilestoneDate",
  act: planActs.edit,
  schema: s.milestoneDate,
  async subject(sql, i) {
    const [m] = await sql<{ projectId: row.Milestone["projectId"] }[]>`
      SELECT m.project_id
      FROM milestone m
      JOIN project_section ps ON ps.project_id = m.project_id
      WHERE m.id = ${i.milestoneId} AND ps.section_id = ${i.sectionId}
    `;
    return m ? { project: m.projectId } : null;
  },
  async run({ sql, audit }, input) {
    await sql`DELETE FROM milestone_date WHERE milestone_id = ${input.milestoneId} AND section_id = ${input.sectionId}`;
    if (input.dueOn)
      await sql`
        INSERT INTO milestone_date ${sql({
          milestoneId: input.milestoneId,
          sectionId: input.sectionId,
          dueOn: input.dueOn,
        })}
      `;
    audit({
      type: "milestone",
      id: input.milestoneId,
      label: "date of a section",
      after: { section: input.sectionId, due: input.dueOn ?? null },
    });
  },
});

/** Adds a milestone, or corrects one; whom it is for stays once somebody has passed it. */
export const saveMilestone = command({
  name: "saveMilestone",
  act: planActs.edit,
  schema: s.milestone,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const { title, dueOn, scope } = input;
    const [p] = await sql<{ startsOn: row.Project["startsOn"]; last: string }[]>`
      SELECT starts_on, greatest(ends_on, event_on)::text AS last FROM project WHERE id = ${input.projectId}
    `;
    if (!input.meant && (dueOn < p!.startsOn || dueOn > p!.last))
      refuse(
        `The project runs from ${p!.startsOn} to ${p!.last}. Correct the date, or tick below that it is meant.`,
        "dueOn",
      );
    const id = input.id ?? newId();
    let before: object | undefined;
    if (input.id) {
      const [old] = await sql<
        {
          version: row.Milestone["version"];
          title: row.Milestone["title"];
          dueOn: row.Milestone["dueOn"];
          scope: row.Milestone["scope"];
          passed: boolean;
        }[]
      >`
        SELECT version, title, due_on, scope, EXISTS (SELECT FROM milestone_check WHERE milestone_id = m.id) AS passed
        FROM milestone m
        WHERE id = ${id} AND project_id = ${input.projectId} FOR UPDATE
      `;
      checkVersion(found(old, "This milestone"), input.version, { title: "Milestone", dueOn: "Due" }, input, old!);
      if (old!.passed && old!.scope !== scope)
        refuse("It has been passed already: whether it is a team's or a student's stays.", "scope");
      before = old;
      await sql`
        UPDATE milestone
        SET title = ${title}, due_on = ${dueOn}, scope = ${scope}, version = version + 1
        WHERE id = ${id}
      `;
    } else await sql`INSERT INTO milestone ${sql({ id, projectId: input.projectId, title, dueOn, scope })}`;
    audit({ type: "milestone", id, label: title, before, after: { due: dueOn, scope } });
    return { id };
  },
});

const ofMilestone = (sql: Tx, id: string) => projectOf(sql, "milestone", id);

/** Says that a team or a student has passed a milestone on a date; without a date the check is taken back. */
export const checkMilestone = command({
  name: "checkMilestone",
  act: milestoneActs.check,
  schema: s.milestoneCheck,
  subject: (sql, i) => ofMilestone(sql, i.milestoneId),
  async run({ sql, audit, by }, input) {
    const [row] = await sql<
      {
        title: row.Milestone["title"];
        scope: row.Milestone["scope"];
        projectId: row.Milestone["projectId"];
        subject: string | null;
      }[]
    >`
      SELECT
        m.title, m.scope, m.project_id,
        coalesce(
          (SELECT name FROM team WHERE id = ${input.teamId ?? null} AND project_id = m.project_id),
          (
            SELECT p.name
            FROM person p
            JOIN enrolment e ON e.person_id = p.id
            JOIN project_section ps USING (section_id)
            WHERE p.id = ${input.personId ?? null} AND ps.project_id = m.project_id
            LIMIT 1
          )
        ) AS subject
      FROM milestone m
      WHERE m.id = ${input.milestoneId}
    `;
    const m = found(row, "The milestone");
    if (!m.subject || (m.scope === "team") !== !!input.teamId || (m.scope === "person") !== !!input.personId)
      refuse(m.scope === "team" ? "Choose a team of this project." : "Choose a student of this project.");
    await sql`
      DELETE
      FROM milestone_check
      WHERE milestone_id = ${input.milestoneId}
        AND team_id IS NOT DISTINCT FROM ${input.teamId ?? null}
        AND person_id IS NOT DISTINCT FROM ${input.personId ?? null}
    `;
    if (input.doneOn)
      await sql`
        INSERT INTO milestone_check (id, project_id, milestone_id, team_id, person_id, done_on, checked_by)
        VALUES (
          ${newId()}, ${m.projectId}, ${input.milestoneId}, ${input.teamId ?? null}, ${input.personId ?? null},
          ${input.doneOn}, ${by}
        )
      `;
    audit({
      type: "milestone",
      id: input.milestoneId,
      label: `${m.title}: ${m.subject}`,
      after: { done: input.doneOn ?? null },
    });
  },
});
