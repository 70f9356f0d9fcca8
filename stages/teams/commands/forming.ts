import type * as row from "@/platform/db/rows";
import "server-only";
import { costOf } from "@/core/teams/cost";
import { reportTeams } from "@/core/teams/report";
import { command, found, projectOf, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import * as fields from "@/platform/schema/fields";
import { teamActs, wishActs } from "../acts";
import { peopleIn, problemOf, type Setup } from "../queries/forming";
import { teamsOf } from "../queries/teams";
import * as s from "../schema";
import { freeName } from "../view/choosing";

export const saveTraits = command({
  name: "saveTraits",
  act: teamActs.edit,
  schema: s.traits,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    const here = new Set((await peopleIn(sql, input.projectId, [])).map((p) => p.id));
    const rows = input.rows.filter((r) => here.has(r.personId));
    for (const r of rows)
      await sql`
        INSERT INTO trait (project_id, person_id, skills, marked)
        VALUES (${input.projectId}, ${r.personId}, ${sql.json(r.skills)}, ${r.marked})
        ON CONFLICT (project_id, person_id) DO UPDATE SET skills = excluded.skills, marked = excluded.marked
      `;
    audit({ type: "traits", label: `${rows.length} students` });
  },
});

/** A student's wishes: teammates and ideas, in order. Only the student and the instructors see them. */
export const saveWishes = command({
  name: "saveWishes",
  act: wishActs.write,
  schema: s.wishes,
  subject: (_, i) => ({ project: i.projectId, person: i.personId }),
  async run({ sql, audit }, input) {
    const here = new Set((await peopleIn(sql, input.projectId, [])).map((p) => p.id));
    const concepts = new Set(
      (await sql<{ id: row.Concept["id"] }[]>`SELECT id FROM concept WHERE project_id = ${input.projectId}`).map(
        (k) => k.id,
      ),
    );
    if (input.people.some((p) => !here.has(p) || p === input.personId))
      refuse("Wish for students of this project, not for yourself.", "people");
    if (input.ideas.some((k) => !concepts.has(k))) refuse("One of these ideas is not here (any more).", "ideas");
    await sql`DELETE FROM wish WHERE project_id = ${input.projectId} AND person_id = ${input.personId}`;
    const rows = [
      ...input.people.map((target, i) => ({ kind: "person", target, place: i + 1 })),
      ...input.ideas.map((target, i) => ({ kind: "idea", target, place: i + 1 })),
    ];
    if (rows.length)
      await sql`
        INSERT INTO wish ${sql(rows.map((r) => ({ ...r, projectId: input.projectId, personId: input.personId })))}
      `;
    audit({ type: "wishes", id: input.personId, label: `${rows.length} wishes` });
  },
});

export const addConstraint = command({
  name: "addConstraint",
  act: teamActs.edit,
  schema: s.teamConstraint,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, by, audit }, input): Promise<{ id: string }> {
    const here = new Set((await peopleIn(sql, input.projectId, [])).map((p) => p.id));
    if (input.people.some((p) => !here.has(p))) refuse("Choose students of this project.", "people");
    const id = newId();
    const seat = input.kind === "lock" || input.kind === "forbidden" ? input.seat! : null;
    await sql`
      INSERT INTO team_constraint (id, project_id, kind, people, seat, created_by)
      VALUES (${id}, ${input.projectId}, ${input.kind}, ${input.people}::uuid[], ${seat}, ${by})
    `;
    audit({ type: "team constraint", id, label: input.kind, after: { people: input.people.length } });
    return { id };
  },
});

/**
 * Keeps a solver's answer. It is checked here against every limit and its cost computed anew: nothing is taken from the
 * browser but who sits where.
 */
export const saveTeamPlan = command({
  name: "saveTeamPlan",
  act: teamActs.edit,
  schema: s.teamPlan,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, by, audit }, input): Promise<{ id: string }> {
    const problem = await problemOf(input.projectId, input.setup, sql);
    const seats = new Set(problem.teams.map((t) => t.id));
    const assignment = Object.fromEntries(problem.people.map((p) => [p.id, input.assignment[p.id] ?? ""]));
    if (Object.values(assignment).some((t) => !seats.has(t)))
      refuse("The roster, teams or wishes changed while this was computed. Run the solver again.");
    const broken = reportTeams(problem, assignment).constraints.filter((c) => !c.held);
    if (broken.length) refuse(`This arrangement breaks a limit: ${broken[0]!.text}. Run the solver again.`);
    const id = newId();
    await sql`
      INSERT INTO team_plan (id, project_id, name, seed, problem, assignment, cost, made_by)
      VALUES (
        ${id}, ${input.projectId}, ${input.name}, ${input.seed}, ${sql.json(input.setup as never)},
        ${sql.json(assignment)}, ${sql.json(costOf(problem, assignment) as never)}, ${by}
      )
    `;
    audit({ type: "team plan", id, label: input.name, after: { seed: input.seed } });
    return { id };
  },
});

const ofPlan = (sql: Tx, id: string) => projectOf(sql, "team_plan", id);

interface Before {
  members: { personId: string; teamId: string; role: string }[];
  created: string[];
  people: string[];
}

export const adoptTeamPlan = command({
  name: "adoptTeamPlan",
  act: teamActs.edit,
  schema: fields.byId,
  subject: (sql, i) => ofPlan(sql, i.id),
  async run({ sql, today, audit }, input): Promise<{ teams: number }> {
    const [plan] = await sql<
      {
        projectId: row.TeamPlan["projectId"];
        name: row.TeamPlan["name"];
        problem: Setup;
        assignment: Record<string, string>;
        adoptedAt: row.TeamPlan["adoptedAt"];
      }[]
    >`SELECT project_id, name, problem, assignment, adopted_at FROM team_plan WHERE id = ${input.id} FOR UPDATE`;
    const { projectId } = found(plan, "This plan");
    if (plan!.adoptedAt) refuse("This plan is adopted already.");
    const problem = await problemOf(projectId, plan!.problem, sql);
    if (problem.people.some((p) => !problem.teams.some((t) => t.id === plan!.assignment[p.id])))
      refuse("The roster or the teams changed since this plan was made. Run the solver again.");
    const people = problem.people.map((p) => p.id);
    const members = await sql<Before["members"]>`
      SELECT person_id, team_id, role
      FROM membership
      WHERE project_id = ${projectId} AND to_on IS NULL AND person_id IN ${sql(people)}
    `;
    const teams = await teamsOf(projectId);
    const live = new Set(teams.map((t) => t.id));
    const used = new Set(teams.map((t) => t.name.toLowerCase()));
    const created: string[] = [];
    await sql`
      UPDATE membership
      SET to_on = ${today}
      WHERE project_id = ${projectId} AND to_on IS NULL AND person_id IN ${sql(people)}
    `;
    for (const t of problem.teams) {
      const mine = people.filter((p) => plan!.assignment[p] === t.id);
      if (!mine.length) continue;
      let id = t.id;
      if (!live.has(t.id)) {
        id = newId();
        created.push(id);
        const [first] = await sql<{ sectionId: row.Enrolment["sectionId"] }[]>`
          SELECT e.section_id
          FROM enrolment e
          JOIN project_section ps USING (section_id)
          WHERE ps.project_id = ${projectId} AND e.person_id = ${mine[0]!} AND e.to_on IS NULL
          LIMIT 1
        `;
        await sql`
          INSERT INTO team (id, project_id, section_id, name, concept_id)
          VALUES (
            ${id}, ${projectId}, ${first?.sectionId ?? null}, ${freeName(t.name.replace(/^New team/, "Team"), used)},
            ${t.idea}
          )
        `;
      }
      await sql`
        INSERT INTO membership ${sql(
          mine.map((p) => ({
            id: newId(),
            projectId,
            teamId: id,
            personId: p,
            role: members.find((m) => m.personId === p && m.teamId === id)?.role ?? "",
            fromOn: today,
          })),
        )}
      `;
    }
    // Another plan that was adopted before is replaced by this one.
    await sql`UPDATE team_plan SET adopted_at = NULL WHERE project_id = ${projectId} AND adopted_at IS NOT NULL`;
    await sql`
      UPDATE team_plan
      SET adopted_at = app_now(), before = ${sql.json({ members, created, people } as never)}
      WHERE id = ${input.id}
    `;
    audit({ type: "team plan", id: input.id, label: `${plan!.name} adopted`, before: members });
    return { teams: new Set(Object.values(plan!.assignment)).size };
  },
});

/** Takes an adopted plan back: everybody sits where they sat before it. */
export const undoTeamPlan = command({
  name: "undoTeamPlan",
  act: teamActs.edit,
  schema: fields.byId,
  subject: (sql, i) => ofPlan(sql, i.id),
  async run({ sql, today, audit }, input) {
    const [plan] = await sql<
      {
        projectId: row.TeamPlan["projectId"];
        name: row.TeamPlan["name"];
        before: Before | null;
        adoptedAt: row.TeamPlan["adoptedAt"];
      }[]
    >`SELECT project_id, name, before, adopted_at FROM team_plan WHERE id = ${input.id} FOR UPDATE`;
    if (!found(plan, "This plan").adoptedAt || !plan!.before)
      refuse("This plan is not adopted, so there is nothing to undo.");
    const { members, created, people } = plan!.before!;
    const [built] = created.length
      ? await sql<{ name: string }[]>`
          SELECT t.name
          FROM team t
          WHERE t.id IN ${sql(created)} AND EXISTS (SELECT FROM build WHERE team_id = t.id)
          LIMIT 1
        `
      : [];
    if (built) refuse(`${built.name} has recorded a build already. Move students by hand instead.`);
    await sql`
      UPDATE membership
      SET to_on = ${today}
      WHERE project_id = ${plan!.projectId} AND to_on IS NULL AND person_id IN ${sql(people)}
    `;
    if (created.length)
      await sql`UPDATE team SET retired_at = app_now(), version = version + 1 WHERE id IN ${sql(created)}`;
    if (members.length)
      await sql`
        INSERT INTO membership ${sql(
          members.map((m) => ({ ...m, id: newId(), projectId: plan!.projectId, fromOn: today })),
        )}
      `;
    await sql`UPDATE team_plan SET adopted_at = NULL WHERE id = ${input.id}`;
    audit({ type: "team plan", id: input.id, label: `${plan!.name} undone` });
  },
});
