import type * as row from "@/platform/db/rows";
import "server-only";
import { drawTeams as drawSizes } from "@/core/draw/draw";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { teamActs } from "../acts";
import * as s from "../schema";

const ofTeam = async (sql: Tx, id: string) => {
  const [t] = await sql<{ projectId: row.Team["projectId"] }[]>`SELECT project_id FROM team WHERE id = ${id}`;
  return t ? { project: t.projectId, team: id } : null;
};

export const createTeam = command({
  name: "createTeam",
  act: teamActs.edit,
  schema: s.newTeam,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    if (input.sectionId)
      found(
        (
          await sql`
            SELECT FROM project_section WHERE project_id = ${input.projectId} AND section_id = ${input.sectionId}
          `
        )[0],
        "This section",
      );
    const id = newId();
    await sql`
      INSERT INTO team (id, project_id, section_id, name)
      VALUES (${id}, ${input.projectId}, ${input.sectionId ?? null}, ${input.name})
    `;
    audit({ type: "team", id, label: input.name });
    return { id };
  },
});

export const renameTeam = command({
  name: "renameTeam",
  act: teamActs.edit,
  schema: s.renameTeam,
  subject: (sql, i) => ofTeam(sql, i.id),
  async run({ sql, audit }, input) {
    const [t] = await sql<
      { version: number; name: string }[]
    >`SELECT version, name FROM team WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(found(t, "This team"), input.version, { name: "Name" }, input, t!);
    await sql`UPDATE team SET name = ${input.name}, version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "team", id: input.id, label: input.name, before: { name: t!.name }, after: { name: input.name } });
  },
});

/** Takes a team out of the project: its members are free again, its record stays. */
export const retireTeam = command({
  name: "retireTeam",
  act: teamActs.edit,
  schema: s.teamId,
  subject: (sql, i) => ofTeam(sql, i.id),
  async run({ sql, audit, today }, input) {
    const [t] = await sql<{ name: string }[]>`
      UPDATE team
      SET retired_at = app_now(), version = version + 1
      WHERE id = ${input.id} AND retired_at IS NULL
      RETURNING name
    `;
    await sql`UPDATE membership SET to_on = ${today} WHERE team_id = ${input.id} AND to_on IS NULL`;
    audit({ type: "team", id: input.id, label: found(t, "This team").name, after: { retired: true } });
  },
});

/** Takes a team that was retired in again; members who have no team by now come back into it. */
export const restoreTeam = command({
  name: "restoreTeam",
  act: teamActs.edit,
  schema: s.teamId,
  subject: (sql, i) => ofTeam(sql, i.id),
  async run({ sql, audit, today }, input): Promise<{ members: number }> {
    const [t] = await sql<
      { name: row.Team["name"]; projectId: row.Team["projectId"] }[]
    >`SELECT name, project_id FROM team WHERE id = ${input.id} AND retired_at IS NOT NULL`;
    const team = found(t, "This retired team");
    await sql`UPDATE team SET retired_at = NULL, version = version + 1 WHERE id = ${input.id}`;
    const back = await sql<{ personId: row.Membership["personId"]; role: row.Membership["role"] }[]>`
      SELECT DISTINCT ON (m.person_id) m.person_id, m.role
      FROM membership m
      JOIN enrolment e ON e.person_id = m.person_id AND e.to_on IS NULL
      JOIN project_section ps ON ps.section_id = e.section_id AND ps.project_id = m.project_id
      WHERE m.team_id = ${input.id} AND m.to_on = (SELECT max(to_on) FROM membership WHERE team_id = ${input.id})
        AND NOT EXISTS (
          SELECT FROM membership o
          WHERE o.project_id = m.project_id AND o.person_id = m.person_id AND o.to_on IS NULL
        )
      ORDER BY m.person_id, m.to_on DESC
    `;
    if (back.length)
      await sql`
        INSERT INTO membership ${sql(
          back.map((m) => ({ id: newId(), projectId: team.projectId, teamId: input.id, ...m, fromOn: today })),
        )}
      `;
    audit({ type: "team", id: input.id, label: team.name, after: { restored: true, members: back.length } });
    return { members: back.length };
  },
});

/** Puts a student into a team (with a role), or out of all teams. */
export const moveStudent = command({
  name: "moveStudent",
  act: teamActs.edit,
  schema: s.moveStudent,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, today }, input) {
    const [p] = await sql<{ name: row.Person["name"] }[]>`
      SELECT p.name
      FROM person p
      JOIN enrolment e ON e.person_id = p.id
      JOIN project_section ps USING (section_id)
      WHERE p.id = ${input.personId} AND ps.project_id = ${input.projectId} AND e.to_on IS NULL FOR UPDATE OF p
    `;
    found(p, "This student");
    const [t] = input.teamId
      ? await sql<
          { name: row.Team["name"] }[]
        >`SELECT name FROM team WHERE id = ${input.teamId} AND project_id = ${input.projectId} AND retired_at IS NULL`
      : [undefined];
    if (input.teamId) found(t, "This team");
    const [old] = await sql<{ team: row.Team["name"]; teamId: row.Team["id"]; role: row.Membership["role"] }[]>`
      SELECT t.name AS team, t.id AS team_id, m.role
      FROM membership m
      JOIN team t ON t.id = m.team_id
      WHERE m.project_id = ${input.projectId} AND m.person_id = ${input.personId} AND m.to_on IS NULL
    `;
    if (old && old.teamId === input.teamId) {
      await sql`
        UPDATE membership
        SET role = ${input.role}
        WHERE project_id = ${input.projectId} AND person_id = ${input.personId} AND to_on IS NULL
      `;
    } else {
      await sql`
        UPDATE membership
        SET to_on = ${today}
        WHERE project_id = ${input.projectId} AND person_id = ${input.personId} AND to_on IS NULL
      `;
      if (input.teamId)
        await sql`
          INSERT INTO membership (id, project_id, team_id, person_id, role, from_on)
          VALUES (${newId()}, ${input.projectId}, ${input.teamId}, ${input.personId}, ${input.role}, ${today})
        `;
    }
    audit({
      type: "membership",
      id: input.personId,
      label: p!.name,
      before: { team: old?.team ?? null, role: old?.role },
      after: { team: t?.name ?? null, role: input.role },
    });
  },
});

/**
 * Draws the section's students who have no team into new teams; the seed and its outcome are kept, so that anyone can
 * repeat it.
 */
export const drawTeams = command({
  name: "drawTeams",
  act: teamActs.edit,
  schema: s.drawTeams,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by, today }, input): Promise<{ teams: number }> {
    found(
      (
        await sql`
          SELECT
          FROM project_section
          WHERE project_id = ${input.projectId} AND section_id = ${input.sectionId} FOR UPDATE
        `
      )[0],
      "This section",
    );
    const people = await sql<{ id: row.Person["id"]; name: row.Person["name"] }[]>`
      SELECT p.id, p.name
      FROM enrolment e
      JOIN person p ON p.id = e.person_id
      WHERE e.section_id = ${input.sectionId}
        AND e.to_on IS NULL
        AND NOT EXISTS (
          SELECT FROM membership m WHERE m.project_id = ${input.projectId} AND m.person_id = p.id AND m.to_on IS NULL
        )
      ORDER BY p.name, p.id
    `;
    if (!people.length) refuse("Every student of this section has a team already.");
    const drawn = drawSizes(people, input.min, input.max, input.seed);
    if (!drawn)
      refuse(
        `${people.length} students cannot be cut into teams of ${input.min}` +
          `${input.max > input.min ? ` to ${input.max}` : ""}. Change the sizes, or place somebody by hand ` +
          "first.",
        "max",
      );
    const used = new Set(
      (
        await sql<
          { name: string }[]
        >`SELECT lower(name) AS name FROM team WHERE project_id = ${input.projectId} AND retired_at IS NULL`
      ).map((t) => t.name),
    );
    let n = 0;
    const outcome: { team: string; members: string[] }[] = [];
    for (const members of drawn) {
      do n++;
      while (used.has(`team ${n}`));
      const id = newId();
      await sql`
        INSERT INTO team (id, project_id, section_id, name)
        VALUES (${id}, ${input.projectId}, ${input.sectionId}, ${`Team ${n}`})
      `;
      await sql`
        INSERT INTO membership ${sql(
          members.map((m) => ({
            id: newId(),
            projectId: input.projectId,
            teamId: id,
            personId: m.id,
            role: "",
            fromOn: today,
          })),
        )}
      `;
      outcome.push({ team: id, members: members.map((m) => m.id) });
    }
    await sql`
      INSERT INTO draw (id, project_id, purpose, seed, inputs, outcome, drawn_by)
      VALUES (
        ${newId()}, ${input.projectId}, 'teams', ${input.seed},
        ${sql.json({ people: people.map((p) => p.id), min: input.min, max: input.max })}, ${sql.json(outcome)}, ${by}
      )
    `;
    audit({ type: "draw", label: `${drawn.length} teams, seed ${input.seed}`, after: outcome });
    return { teams: drawn.length };
  },
});
