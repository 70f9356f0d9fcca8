import type * as row from "@/platform/db/rows";
import "server-only";
import { drawOrder } from "@/core/draw/draw";
import { command, found, projectOf, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { settingsOf } from "@/platform/project/settings";
import { teamActs } from "../acts";
import { apartIn, peopleIn } from "../queries/forming";
import { teamsOf } from "../queries/teams";
import * as s from "../schema";
import { freeName, joiningOf } from "../view/choosing";

/** What a student who chooses the own team may do it under; refuses where the project does not let them choose. */
async function choosing(sql: Tx, projectId: string, personId: string) {
  const set = await settingsOf(projectId, sql);
  if (set.teamSchool !== "self")
    refuse("In this project you do not choose the team yourself. Tell your wishes, or ask your instructor.");
  await sql`SELECT FROM project WHERE id = ${projectId} FOR UPDATE`;
  const [me] = await sql<{ sectionId: row.Enrolment["sectionId"] }[]>`
    SELECT e.section_id
    FROM enrolment e
    JOIN project_section ps USING (section_id)
    WHERE ps.project_id = ${projectId} AND e.person_id = ${personId} AND e.to_on IS NULL
    LIMIT 1
  `;
  return { set, sectionId: found(me, "Your section").sectionId };
}

/** Takes a student out of the present team and into another, or into none. */
async function seat(sql: Tx, x: { projectId: string; personId: string; teamId: string | null; today: string }) {
  const { projectId, personId, teamId, today } = x;
  await sql`
    UPDATE membership
    SET to_on = ${today}
    WHERE project_id = ${projectId} AND person_id = ${personId} AND to_on IS NULL
  `;
  if (teamId)
    await sql`
      INSERT INTO membership ${sql({ id: newId(), projectId, teamId, personId, role: "", fromOn: today })}
    `;
}

/** A student chooses a team, or leaves it, where the project lets them; within the size limits. */
export const joinTeam = command({
  name: "joinTeam",
  act: teamActs.join,
  schema: s.joinTeam,
  subject: (_, i) => ({ project: i.projectId, person: i.personId }),
  async run({ sql, today, audit }, input) {
    const { projectId, personId } = input;
    const { set, sectionId } = await choosing(sql, projectId, personId);
    const t = input.teamId
      ? found(
          (await teamsOf(projectId)).find((x) => x.id === input.teamId),
          "This team",
        )
      : null;
    if (t) {
      const joining = joiningOf(t, { id: personId, sectionId }, set.teamMax, await apartIn(projectId));
      if (joining === "mine") refuse(`You are in ${t.name} already.`);
      if (joining === "full") refuse(`${t.name} is full: teams here hold ${set.teamMin} to ${set.teamMax}.`);
      if (joining === "other section") refuse(`${t.name} is a team of another section.`);
      if (joining === "ask") refuse(`You cannot join ${t.name}. Ask your instructor.`);
    }
    await seat(sql, { projectId, personId, teamId: t?.id ?? null, today });
    audit({ type: "membership", id: personId, label: t ? `joined ${t.name}` : "left the team" });
  },
});

/** A student founds a team in the own section and is its first member, where the project lets them choose. */
export const foundTeam = command({
  name: "foundTeam",
  act: teamActs.join,
  schema: s.foundTeam,
  subject: (_, i) => ({ project: i.projectId, person: i.personId }),
  async run({ sql, today, audit }, input): Promise<{ id: string }> {
    const { projectId, personId, name } = input;
    const { sectionId } = await choosing(sql, projectId, personId);
    const mine = (await teamsOf(projectId)).find((t) => t.members.some((m) => m.id === personId));
    if (mine) refuse(`You are in ${mine.name}. Leave it before you found another.`);
    const id = newId();
    await sql`INSERT INTO team (id, project_id, section_id, name) VALUES (${id}, ${projectId}, ${sectionId}, ${name})`;
    await seat(sql, { projectId, personId, teamId: id, today });
    audit({ type: "team", id, label: name, after: { founded: true } });
    return { id };
  },
});

export const setTeamConcept = command({
  name: "setTeamConcept",
  act: teamActs.edit,
  schema: s.teamConcept,
  subject: (sql, i) => projectOf(sql, "team", i.id),
  async run({ sql, audit }, input) {
    if (input.conceptId)
      found(
        (
          await sql`
            SELECT
            FROM concept k
            JOIN team t ON t.project_id = k.project_id
            WHERE k.id = ${input.conceptId} AND t.id = ${input.id}
          `
        )[0],
        "This concept",
      );
    const [t] = await sql<{ name: row.Team["name"] }[]>`
      UPDATE team
      SET concept_id = ${input.conceptId ?? null}, version = version + 1
      WHERE id = ${input.id}
      RETURNING name
    `;
    audit({ type: "team", id: input.id, label: t?.name, after: { concept: input.conceptId ?? null } });
  },
});

/**
 * A team for every concept that goes on and has none yet; its authors (the parents' too) become members where they have
 * no team.
 */
export const formByIdea = command({
  name: "formByIdea",
  act: teamActs.edit,
  schema: s.teamsByIdea,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, today, audit }, input): Promise<{ teams: number; placed: number }> {
    const going = await sql<{ id: row.Concept["id"]; title: row.Concept["title"]; authors: string[] }[]>`
      SELECT
        k.id, k.title,
        (
          SELECT array_agg(DISTINCT a.author_id)
          FROM concept a
          WHERE (a.id = k.id OR a.id IN (SELECT parent_id FROM concept_parent WHERE concept_id = k.id))
            AND a.author_id IS NOT NULL
        ) AS authors
      FROM concept k
      WHERE k.project_id = ${input.projectId}
        AND k.fate = 'goes on'
        AND NOT EXISTS (SELECT FROM team t WHERE t.concept_id = k.id AND t.retired_at IS NULL)
      ORDER BY k.created_at
    `;
    if (!going.length) refuse("Every concept that goes on has a team already, or none goes on yet.");
    const people = await peopleIn(sql, input.projectId, []);
    const placed = new Set(
      (
        await sql<
          { personId: row.Membership["personId"] }[]
        >`SELECT person_id FROM membership WHERE project_id = ${input.projectId} AND to_on IS NULL`
      ).map((m) => m.personId),
    );
    const used = new Set((await teamsOf(input.projectId)).map((t) => t.name.toLowerCase()));
    let count = 0;
    for (const k of going) {
      const free = (k.authors ?? []).filter((a) => people.some((p) => p.id === a) && !placed.has(a));
      const section = people.find((p) => (k.authors ?? []).includes(p.id))?.sectionId ?? null;
      const id = newId();
      await sql`
        INSERT INTO team (id, project_id, section_id, name, concept_id)
        VALUES (${id}, ${input.projectId}, ${section}, ${freeName(k.title, used)}, ${k.id})
      `;
      for (const a of free) {
        placed.add(a);
        count++;
        await sql`
          INSERT INTO membership ${sql({
            id: newId(),
            projectId: input.projectId,
            teamId: id,
            personId: a,
            role: "",
            fromOn: today,
          })}
        `;
      }
    }
    audit({ type: "team", label: `${going.length} teams by adopted idea`, after: going.map((k) => k.title) });
    return { teams: going.length, placed: count };
  },
});

/** The order in which teams (or students, before there are teams) choose, drawn by a seed that is shown before. */
export const drawSelectionOrder = command({
  name: "drawSelectionOrder",
  act: teamActs.edit,
  schema: s.drawSelectionOrder,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, by, audit }, input): Promise<{ order: string[] }> {
    const teams = (await teamsOf(input.projectId))
      .filter((t) => !input.sectionId || t.sectionId === input.sectionId)
      .map((t) => ({ id: t.id, name: t.name }));
    const who: { id: string; name: string }[] = teams.length
      ? teams
      : (await peopleIn(sql, input.projectId, input.sectionId ? [input.sectionId] : [])).map(({ id, name }) => ({
          id,
          name,
        }));
    if (who.length < 2) refuse("There is nobody to draw an order of yet.");
    const order = drawOrder(who, input.seed).map((x) => x.name);
    await sql`
      INSERT INTO draw (id, project_id, purpose, seed, inputs, outcome, drawn_by)
      VALUES (
        ${newId()}, ${input.projectId}, 'selection order', ${input.seed}, ${sql.json(who.map((x) => x.name))},
        ${sql.json(order)}, ${by}
      )
    `;
    audit({ type: "draw", label: `selection order, seed ${input.seed}`, after: order });
    return { order };
  },
});
