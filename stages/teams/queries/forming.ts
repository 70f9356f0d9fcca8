import type * as row from "@/platform/db/rows";
import "server-only";
import { cache } from "react";
import type { Cost } from "@/core/teams/cost";
import type { SolverWeights, TeamProblem } from "@/core/teams/problem";
import { db, newId, type Tx } from "@/platform/db/db";
import { teamsOf } from "./teams";

export interface Trait {
  personId: row.Trait["personId"];
  skills: Record<string, number>;
  marked: row.Trait["marked"];
}

export interface Wish {
  personId: row.Wish["personId"];
  kind: row.Wish["kind"];
  target: row.Wish["target"];
  place: row.Wish["place"];
}

export interface TeamConstraint {
  id: row.TeamConstraint["id"];
  kind: row.TeamConstraint["kind"];
  people: row.TeamConstraint["people"];
  seat: row.TeamConstraint["seat"];
  createdBy: row.TeamConstraint["createdBy"];
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
  id: row.TeamPlan["id"];
  name: row.TeamPlan["name"];
  seed: row.TeamPlan["seed"];
  problem: Setup;
  assignment: Record<string, string>;
  cost: Cost;
  madeBy: row.TeamPlan["madeBy"];
  madeAt: row.TeamPlan["madeAt"];
  adoptedAt: row.TeamPlan["adoptedAt"];
  undone: boolean;
}

/** The skills of a project's students, and who is of the marked group; asked once a page. */
export const traitsOf = cache(
  (projectId: string): PromiseLike<Trait[]> => db()<Trait[]>`
    SELECT person_id, skills, marked FROM trait WHERE project_id = ${projectId}
  `,
);

/** What the students wish, each in the own order; asked once a page. */
export const wishesOf = cache(
  (projectId: string): PromiseLike<Wish[]> => db()<Wish[]>`
    SELECT person_id, kind, target, place FROM wish WHERE project_id = ${projectId} ORDER BY person_id, kind, place
  `,
);

/** The limits on teams; asked once a page. */
export const constraintsOf = cache(
  (projectId: string): PromiseLike<TeamConstraint[]> => db()<TeamConstraint[]>`
    SELECT id, kind, people, seat, created_by FROM team_constraint WHERE project_id = ${projectId} ORDER BY id
  `,
);

/** The groups of students who are kept apart. */
export const apartIn = async (projectId: string): Promise<string[][]> =>
  (await constraintsOf(projectId)).filter((c) => c.kind === "apart").map((c) => c.people);

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
export const peopleIn = (sql: Tx, projectId: string, sectionIds: readonly string[]) => sql<
  { id: row.Person["id"]; name: row.Person["name"]; sectionId: row.Enrolment["sectionId"] }[]
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
    sql<{ id: row.Concept["id"]; title: row.Concept["title"]; sectionId: string | null }[]>`
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
    sql<{ a: row.Membership["personId"]; b: row.Membership["personId"] }[]>`
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
