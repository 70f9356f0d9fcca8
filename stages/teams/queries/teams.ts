import type * as row from "@/platform/db/rows";
import "server-only";
import { cache } from "react";
import { db, type Tx } from "@/platform/db/db";

export interface Team {
  id: row.Team["id"];
  name: row.Team["name"];
  sectionId: row.Team["sectionId"];
  section: row.Section["name"] | null;
  conceptId: row.Team["conceptId"];
  concept: row.Concept["title"] | null;
  version: row.Team["version"];
  members: { id: string; name: string; role: string }[];
}

/** The teams of these projects with their members, by name. */
export const teamsIn = (projectIds: readonly string[], sql: Tx = db()) => sql<(Team & { projectId: string })[]>`
  SELECT
    t.project_id, t.id, t.name, t.section_id, c.name AS section, t.concept_id, k.title AS concept, t.version,
    (
      SELECT coalesce(json_agg(json_build_object('id', p.id, 'name', p.name, 'role', m.role) ORDER BY p.name), '[]')
      FROM membership m
      JOIN person p ON p.id = m.person_id
      WHERE m.team_id = t.id AND m.to_on IS NULL
    ) AS members
  FROM team t
  LEFT JOIN section c ON c.id = t.section_id
  LEFT JOIN concept k ON k.id = t.concept_id
  WHERE t.project_id IN ${sql(projectIds)} AND t.retired_at IS NULL
  ORDER BY t.name
`;

/** The teams of a project with their members, by name; asked once a page. */
export const teamsOf = cache((projectId: string): PromiseLike<Team[]> => teamsIn([projectId]));

/** Teams that were retired, the last first. */
export const retiredTeamsOf = (projectId: string) =>
  db()<{ id: row.Team["id"]; name: row.Team["name"] }[]>`
    SELECT id, name FROM team WHERE project_id = ${projectId} AND retired_at IS NOT NULL ORDER BY retired_at DESC
  `;

export const drawsOf = (projectId: string, purpose: string) =>
  db()<
    {
      id: row.Draw["id"];
      seed: row.Draw["seed"];
      drawnBy: row.Draw["drawnBy"];
      drawnAt: row.Draw["drawnAt"];
      outcome: unknown;
    }[]
  >`
    SELECT id, seed, drawn_by, drawn_at, outcome
    FROM draw
    WHERE project_id = ${projectId} AND purpose = ${purpose}
    ORDER BY drawn_at DESC
  `;
