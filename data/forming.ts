import "server-only";
import { drawOrder } from "@/core/draw/draw";
import type { SolverWeights, TeamProblem } from "@/core/teams/problem";
import { costOf, reportTeams, type Cost } from "@/core/teams/solver";
import { checkVersion, command, found, projectOf, refuse } from "./command";
import { db, newId, type Tx } from "./db";
import * as s from "./schemas/front";
import { settingsOf } from "./settings";
import { teamsOf } from "./teams";

export interface Trait {
  personId: string;
  skills: Record<string, number>;
  marked: boolean;
}
export interface Wish {
  personId: string;
  kind: "person" | "idea";
  target: string;
  place: number;
}
export interface TeamConstraint {
  id: string;
  kind: "apart" | "together" | "lock" | "forbidden";
  people: string[];
  seat: string | null;
  createdBy: string;
}
export interface Setup {
  min: number;
  max: number;
  teams: number;
  conceptIds: string[];
  sectionIds: string[];
  weights: SolverWeights;
}
export interface TeamPlan {
  id: string;
  name: string;
  seed: string;
  problem: Setup;
  assignment: Record<string, string>;
  cost: Cost;
  madeBy: string;
  madeAt: string;
  adoptedAt: string | null;
  undone: boolean;
}

export const traitsOf = (projectId: string) =>
  db()<Trait[]>`SELECT person_id, skills, marked FROM trait WHERE project_id = ${projectId}`;
export const wishesOf = (projectId: string) =>
  db()<
    Wish[]
  >`SELECT person_id, kind, target, place FROM wish WHERE project_id = ${projectId} ORDER BY person_id, kind, place`;
export const constraintsOf = (projectId: string) =>
  db()<
    TeamConstraint[]
  >`SELECT id, kind, people, seat, created_by FROM team_constraint WHERE project_id = ${projectId} ORDER BY id`;
export const teamPlansOf = (projectId: string) =>
  db()<TeamPlan[]>`
    SELECT
      id, name, seed, problem, assignment, cost, made_by, made_at, adopted_at,
      adopted_at IS NULL AND before IS NOT NULL AS undone
    FROM team_plan
    WHERE project_id = ${projectId}
    ORDER BY made_at DESC
  `;

/** The students of some sections (all when none is named) now in a project. */
const peopleIn = (sql: Tx, projectId: string, sectionIds: readonly string[]) => sql<
  { id: string; name: string; sectionId: string }[]
>`
  SELECT p.id, p.name, e.section_id
  FROM enrolment e
  JOIN project_section ps USING (section_id)
  JOIN person p ON p.id = e.person_id
  WHERE ps.project_id = ${projectId}
    AND e.to_on IS NULL
    AND (${sectionIds.length === 0} OR e.section_id IN ${sql([...sectionIds, newId()])})
  ORDER BY p.name, p.id
`;

/** The team problem of a project under a setup, as the worker solves it and as the server checks its answer. */
export async function problemOf(projectId: string, setup: Setup, sql: Tx = db()): Promise<TeamProblem> {
  const [people, traits, wishes, constraints, teams, concepts, last] = await Promise.all([
    peopleIn(sql, projectId, setup.sectionIds),
    traitsOf(projectId),
    wishesOf(projectId),
    constraintsOf(projectId),
    teamsOf(projectId),
    sql<{ id: string; title: string; sectionId: string | null }[]>`
      SELECT
        k.id, k.title,
        (
          SELECT e.section_id
          FROM enrolment e
          JOIN project_section ps USING (section_id)
          WHERE ps.project_id = k.project_id AND e.person_id = k.author_id AND e.to_on IS NULL
          LIMIT 1
        ) AS section_id
      FROM concept k
      WHERE k.project_id = ${projectId}
    `,
    sql<{ a: string; b: string }[]>`
      SELECT DISTINCT x.person_id AS a, y.person_id AS b
      FROM membership x
      JOIN membership y ON y.team_id = x.team_id AND y.person_id > x.person_id
      WHERE x.project_id <> ${projectId}
        AND x.person_id IN (
          SELECT e.person_id
          FROM enrolment e
          JOIN project_section ps USING (section_id)
          WHERE ps.project_id = ${projectId} AND e.to_on IS NULL
        )
    `,
  ]);
  const here = new Set(people.map((p) => p.id));
  const sections = [...new Set(people.map((p) => p.sectionId))];
  const skills = [...new Set(traits.flatMap((t) => Object.keys(t.skills)))].sort();
  const section = (id: string | null) => (sections.length > 1 ? id : null);
  const { min, max } = setup;
  const live = teams.filter((t) => t.sectionId === null || sections.includes(t.sectionId));
  const worked = new Set(live.map((t) => t.conceptId));
  // New teams go where the fewest seats for the section's students are.
  const room = new Map(
    sections.map((c) => [
      c,
      people.filter((p) => p.sectionId === c).length - live.filter((t) => t.sectionId === c).length * max,
    ]),
  );
  const ideas = setup.conceptIds
    .filter((id) => !worked.has(id))
    .flatMap((id) => concepts.find((k) => k.id === id) ?? []);
  for (const k of ideas) if (k.sectionId && room.has(k.sectionId)) room.set(k.sectionId, room.get(k.sectionId)! - max);
  const fresh = Array.from({ length: setup.teams }, (_, i) => {
    const to = [...room.entries()].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null;
    if (to) room.set(to, room.get(to)! - max);
    return { id: `new-${i + 1}`, name: `New team ${i + 1}`, min, max, section: section(to), idea: null };
  });
  const slots = [
    ...live.map((t) => ({ id: t.id, name: t.name, min, max, section: section(t.sectionId), idea: t.conceptId })),
    ...ideas.map((k) => ({ id: k.id, name: k.title, min, max, section: section(k.sectionId), idea: k.id })),
    ...fresh,
  ];
  const seat = (id: string | null) => slots.find((t) => t.id === id || (t.idea !== null && t.idea === id))?.id;
  const among = (kind: TeamConstraint["kind"]) => constraints.filter((c) => c.kind === kind);
  const groups = (kind: "apart" | "together") =>
    among(kind)
      .map((c) => c.people.filter((p) => here.has(p)))
      .filter((g) => g.length > 1);
  const seats = (kind: "lock" | "forbidden") =>
    among(kind).flatMap((c) => {
      const t = seat(c.seat);
      return t ? c.people.filter((p) => here.has(p)).map((person) => ({ person, team: t })) : [];
    });
  const mates = new Map<string, string[]>();
  for (const { a, b } of last) mates.set(a, [...(mates.get(a) ?? []), b]);
  return {
    people: people.map((p) => {
      const t = traits.find((x) => x.personId === p.id);
      const mine = (kind: Wish["kind"]) =>
        wishes.filter((w) => w.personId === p.id && w.kind === kind).map((w) => w.target);
      return {
        id: p.id,
        name: p.name,
        section: section(p.sectionId),
        skills: skills.map((k) => t?.skills[k] ?? 0),
        groups: t?.marked ? ["the marked group"] : [],
        ideas: mine("idea"),
        wishes: mine("person").filter((x) => here.has(x)),
        last: (mates.get(p.id) ?? []).filter((x) => here.has(x)),
      };
    }),
    teams: slots,
    skills,
    apart: groups("apart"),
    together: groups("together"),
    locks: seats("lock"),
    forbidden: seats("forbidden"),
    weights: setup.weights,
  };
}

export const saveTraits = command({
  name: "saveTraits",
  act: "team.edit",
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
  act: "wish.write",
  schema: s.wishes,
  subject: (_, i) => ({ project: i.projectId, person: i.personId }),
  async run({ sql, audit }, input) {
    const here = new Set((await peopleIn(sql, input.projectId, [])).map((p) => p.id));
    const concepts = new Set(
      (await sql<{ id: string }[]>`SELECT id FROM concept WHERE project_id = ${input.projectId}`).map((k) => k.id),
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
  act: "team.edit",
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

export const removeConstraint = command({
  name: "removeConstraint",
  act: "team.edit",
  schema: s.byId,
  subject: (sql, i) => projectOf(sql, "team_constraint", i.id),
  async run({ sql, audit }, input) {
    const [c] = await sql`DELETE FROM team_constraint WHERE id = ${input.id} RETURNING kind, people, seat`;
    audit({ type: "team constraint", id: input.id, label: String(c?.kind), before: c });
  },
});

/** A student chooses a team, or leaves it, where the project lets them; within the size limits. */
export const joinTeam = command({
  name: "joinTeam",
  act: "team.join",
  schema: s.joinTeam,
  subject: (_, i) => ({ project: i.projectId, person: i.personId }),
  async run({ sql, today, audit }, input) {
    const set = await settingsOf(input.projectId, sql);
    if (set.teamSchool !== "self")
      refuse("In this project you do not choose the team yourself. Tell your wishes, or ask your instructor.");
    await sql`SELECT FROM project WHERE id = ${input.projectId} FOR UPDATE`;
    const [me] = await sql<{ sectionId: string }[]>`
      SELECT e.section_id
      FROM enrolment e
      JOIN project_section ps USING (section_id)
      WHERE ps.project_id = ${input.projectId} AND e.person_id = ${input.personId} AND e.to_on IS NULL
      LIMIT 1
    `;
    const t = input.teamId
      ? found(
          (await teamsOf(input.projectId)).find((x) => x.id === input.teamId),
          "This team",
        )
      : null;
    if (t?.members.some((m) => m.id === input.personId)) refuse(`You are in ${t.name} already.`);
    if (t && t.members.length >= set.teamMax)
      refuse(`${t.name} is full: teams here hold ${set.teamMin} to ${set.teamMax}.`);
    if (t && t.sectionId !== null && t.sectionId !== me?.sectionId) refuse(`${t.name} is a team of another section.`);
    const apart =
      t &&
      (await constraintsOf(input.projectId)).find(
        (c) =>
          c.kind === "apart" &&
          c.people.includes(input.personId) &&
          c.people.some((p) => t.members.some((m) => m.id === p)),
      );
    if (apart) refuse(`You cannot join ${t!.name}. Ask your instructor.`);
    await sql`
      UPDATE membership
      SET to_on = ${today}
      WHERE project_id = ${input.projectId} AND person_id = ${input.personId} AND to_on IS NULL
    `;
    if (t)
      await sql`
        INSERT INTO membership ${sql({
          id: newId(),
          projectId: input.projectId,
          teamId: t.id,
          personId: input.personId,
          role: "",
          fromOn: today,
        })}
      `;
    audit({ type: "membership", id: input.personId, label: t ? `joined ${t.name}` : "left the team" });
  },
});

export const setTeamConcept = command({
  name: "setTeamConcept",
  act: "team.edit",
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
    const [t] = await sql<{ name: string }[]>`
      UPDATE team
      SET concept_id = ${input.conceptId ?? null}, version = version + 1
      WHERE id = ${input.id}
      RETURNING name
    `;
    audit({ type: "team", id: input.id, label: t?.name, after: { concept: input.conceptId ?? null } });
  },
});

const freeName = (wanted: string, used: Set<string>): string => {
  let name = wanted.slice(0, 54);
  for (let n = 2; used.has(name.toLowerCase()); n++) name = `${wanted.slice(0, 54)} ${n}`;
  used.add(name.toLowerCase());
  return name;
};

/**
 * A team for every concept that goes on and has none yet; its authors (the parents' too) become members where they have
 * no team.
 */
export const formByIdea = command({
  name: "formByIdea",
  act: "team.edit",
  schema: s.teamsByIdea,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, today, audit }, input): Promise<{ teams: number; placed: number }> {
    const going = await sql<{ id: string; title: string; authors: string[] }[]>`
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
          { personId: string }[]
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

/**
 * Keeps a solver's answer. It is checked here against every limit and its cost computed anew: nothing is taken from the
 * browser but who sits where.
 */
export const saveTeamPlan = command({
  name: "saveTeamPlan",
  act: "team.edit",
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
  act: "team.edit",
  schema: s.byId,
  subject: (sql, i) => ofPlan(sql, i.id),
  async run({ sql, today, audit }, input): Promise<{ teams: number }> {
    const [plan] = await sql<
      {
        projectId: string;
        name: string;
        problem: Setup;
        assignment: Record<string, string>;
        adoptedAt: string | null;
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
        const [first] = await sql<{ sectionId: string }[]>`
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
  act: "team.edit",
  schema: s.byId,
  subject: (sql, i) => ofPlan(sql, i.id),
  async run({ sql, today, audit }, input) {
    const [plan] = await sql<
      { projectId: string; name: string; before: Before | null; adoptedAt: string | null }[]
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

/** The order in which teams (or students, before there are teams) choose, drawn by a seed that is shown before. */
export const drawSelectionOrder = command({
  name: "drawSelectionOrder",
  act: "team.edit",
  schema: s.drawSelectionOrder,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, by, audit }, input): Promise<{ order: string[] }> {
    const teams = (await teamsOf(input.projectId))
      .filter((t) => !input.sectionId || t.sectionId === input.sectionId)
      .map((t) => ({ id: t.id, name: t.name }));
    const who = teams.length
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

// Parts --------------------------------------------------------------------------------------------------------------

export interface PartRow {
  id: string;
  teamId: string;
  name: string;
  role: string;
  owners: string[];
  version: number;
}
export const partsOf = (projectId: string) =>
  db()<PartRow[]>`
    SELECT
      p.id, p.team_id, p.name, p.role, p.version,
      (SELECT coalesce(array_agg(o.person_id), '{}') FROM part_owner o WHERE o.part_id = p.id) AS owners
    FROM part p
    WHERE p.project_id = ${projectId}
    ORDER BY p.name
  `;

const ofPart = async (sql: Tx, id: string) => {
  const [p] = await sql<{ projectId: string; teamId: string }[]>`SELECT project_id, team_id FROM part WHERE id = ${id}`;
  return p ? { project: p.projectId, team: p.teamId } : null;
};

export const savePart = command({
  name: "savePart",
  act: "part.edit",
  schema: s.part,
  twice: "This team has a part of this name.",
  async subject(sql, i) {
    const [t] = await sql<{ projectId: string }[]>`SELECT project_id FROM team WHERE id = ${i.teamId}`;
    if (i.id && (await ofPart(sql, i.id))?.team !== i.teamId) return null;
    return t ? { project: t.projectId, team: i.teamId } : null;
  },
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const [t] = await sql<{ projectId: string }[]>`SELECT project_id FROM team WHERE id = ${input.teamId}`;
    const members = new Set(
      (
        await sql<
          { personId: string }[]
        >`SELECT person_id FROM membership WHERE team_id = ${input.teamId} AND to_on IS NULL`
      ).map((m) => m.personId),
    );
    if (input.owners.some((o) => !members.has(o))) refuse("A part's owners are members of the team.", "owners");
    const id = input.id ?? newId();
    if (input.id) {
      const [old] = await sql<
        { version: number; name: string; role: string }[]
      >`SELECT version, name, role FROM part WHERE id = ${id} FOR UPDATE`;
      checkVersion(found(old, "This part"), input.version, { name: "Part", role: "Role" }, input, old!);
      await sql`UPDATE part SET name = ${input.name}, role = ${input.role}, version = version + 1 WHERE id = ${id}`;
      await sql`DELETE FROM part_owner WHERE part_id = ${id}`;
    } else
      await sql`
        INSERT INTO part ${sql({
          id,
          projectId: t!.projectId,
          teamId: input.teamId,
          name: input.name,
          role: input.role,
        })}
      `;
    if (input.owners.length)
      await sql`INSERT INTO part_owner ${sql(input.owners.map((personId) => ({ partId: id, personId })))}`;
    audit({ type: "part", id, label: input.name, after: { owners: input.owners.length } });
    return { id };
  },
});

export const removePart = command({
  name: "removePart",
  act: "part.edit",
  schema: s.byId,
  subject: (sql, i) => ofPart(sql, i.id),
  async run({ sql, audit }, input) {
    const [p] = await sql`DELETE FROM part WHERE id = ${input.id} RETURNING name, role`;
    audit({ type: "part", id: input.id, label: String(p?.name), before: p });
  },
});
