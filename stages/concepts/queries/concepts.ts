import type { Claim } from "@/core/concepts/screen";
import type * as row from "@/platform/db/rows";
import { conceptActs } from "../acts";
import "server-only";
import { type Actor, can } from "@/core/access/can";

import { db, type Tx } from "@/platform/db/db";
import { settingsOf } from "@/platform/project/settings";

export interface Concept {
  id: row.Concept["id"];
  title: row.Concept["title"];
  idea: row.Concept["idea"];
  dimensions: row.Concept["dimensions"];
  author: row.Person["name"] | null;
  authorId: row.Concept["authorId"];
  team: row.Team["name"] | null;
  mass: row.Concept["mass"];
  cost: row.Concept["cost"];
  sides: row.Concept["sides"];
  entered: row.Concept["entered"];
  fate: row.Concept["fate"];
  fateReason: row.Concept["fateReason"];
  fateBy: row.Concept["fateBy"];
  createdAt: row.Concept["createdAt"];
  version: row.Concept["version"];
  sketches: { id: string; caption: string }[];
  parents: { id: string; title: string }[];
  claims: Record<string, Claim>;
}

/** The claims of concept k, by requirement. */
const claimsOf = (sql: Tx) => sql`
  (
    SELECT coalesce(
      json_object_agg(
        c.requirement_id, json_build_object('says', c.says, 'how', c.how, 'estimate', c.estimate::text)
      ),
      '{}'
    )
    FROM concept_claim c
    WHERE c.concept_id = k.id
  )
`;

/** Every concept of a project with its sketches, parents and claims, whoever asks. */
export const everyConcept = (projectId: string, sql: Tx = db()) => sql<Concept[]>`
  SELECT
    k.id, k.title, k.idea, k.dimensions, k.author_id, p.name AS author, t.name AS team, k.mass, k.cost, k.sides,
    k.entered, k.fate, k.fate_reason, k.fate_by, k.created_at, k.version,
    (
      SELECT coalesce(json_agg(json_build_object('id', u.id, 'caption', u.caption) ORDER BY u.added_at), '[]')
      FROM file_use u
      WHERE u.concept_id = k.id
    ) AS sketches,
    (
      SELECT coalesce(json_agg(json_build_object('id', x.id, 'title', x.title) ORDER BY x.title), '[]')
      FROM concept_parent cp
      JOIN concept x ON x.id = cp.parent_id
      WHERE cp.concept_id = k.id
    ) AS parents,
    ${claimsOf(sql)} AS claims
  FROM concept k
  LEFT JOIN person p ON p.id = k.author_id
  LEFT JOIN team t ON t.id = k.team_id
  WHERE k.project_id = ${projectId}
  ORDER BY k.fate <> 'goes on', k.fate <> 'open', k.created_at, k.id
`;

/** What a team's adopted concept proposed, with its sketches; null where it took up none. */
export async function proposalOf(teamId: string) {
  const [k] = await db()<
    Pick<Concept, "title" | "idea" | "dimensions" | "mass" | "cost" | "sides" | "sketches" | "claims">[]
  >`
    SELECT
      k.title, k.idea, k.dimensions, k.mass, k.cost, k.sides, ${claimsOf(db())} AS claims,
      (
        SELECT coalesce(json_agg(json_build_object('id', u.id, 'caption', u.caption) ORDER BY u.added_at), '[]')
        FROM file_use u
        WHERE u.concept_id = k.id
      ) AS sketches
    FROM team t
    JOIN concept k ON k.id = t.concept_id
    WHERE t.id = ${teamId}
  `;
  return k ?? null;
}

/**
 * The concepts that an actor may see: a student sees only the own ones until the instructor opens them all; guests see
 * them when they are open.
 */
export async function conceptsOf(projectId: string, actor: Actor): Promise<Concept[]> {
  const [all, { conceptsOpen }] = await Promise.all([everyConcept(projectId), settingsOf(projectId)]);
  if (conceptsOpen || can(actor, conceptActs.decide, { project: projectId })) return all;
  return actor.kind === "person" ? all.filter((k) => k.authorId === actor.id) : [];
}

export interface Fate {
  id: row.ConceptFate["id"];
  conceptId: row.ConceptFate["conceptId"];
  fate: row.ConceptFate["fate"];
  reason: row.ConceptFate["reason"];
  decidedBy: row.ConceptFate["decidedBy"];
  decidedAt: row.ConceptFate["decidedAt"];
}

export const fatesOf = (conceptId: string) =>
  db()<Fate[]>`
    SELECT id, concept_id, fate, reason, decided_by, decided_at
    FROM concept_fate
    WHERE concept_id = ${conceptId}
    ORDER BY decided_at
  `;
