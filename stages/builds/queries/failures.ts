import type * as row from "@/platform/db/rows";
import "server-only";
import { db, type Tx } from "@/platform/db/db";
import { ofBuild } from "./builds";

export type Failure = row.Failure;

/** A failure with its build and the one that answers it, by name. */
export interface FailureRow extends Failure {
  teamId: row.Team["id"];
  team: row.Team["name"];
  /** Number of its build, and of the one that answers it. */
  build: number;
  answeredBy: number | null;
}

/** The failures of a project, the newest first. */
export const failuresOf = (projectId: string, sql: Tx = db()) => sql<FailureRow[]>`
  SELECT f.*, b.team_id, t.name AS team, b.number AS build, c.number AS answered_by
  FROM failure f
  JOIN build b ON b.id = f.build_id
  JOIN team t ON t.id = b.team_id
  LEFT JOIN build c ON c.id = f.closed_by
  WHERE f.project_id = ${projectId}
  ORDER BY f.recorded_at DESC, f.id DESC
`;

/** How often each cause was named in a project and in the editions before it, with how many were answered. */
export const causesOver = (projectId: string, sql: Tx = db()) => sql<
  { projectId: string; edition: string; startsOn: string; cause: string; failures: number; answered: number }[]
>`
  WITH RECURSIVE edition AS (
    SELECT id, title, starts_on, edition_of FROM project WHERE id = ${projectId}
    UNION
    SELECT p.id, p.title, p.starts_on, p.edition_of FROM project p JOIN edition e ON p.id = e.edition_of
  )
  SELECT
    e.id AS project_id, e.title AS edition, e.starts_on, f.cause, count(*)::int AS failures,
    count(f.closed_by)::int AS answered
  FROM edition e
  JOIN failure f ON f.project_id = e.id
  GROUP BY e.id, e.title, e.starts_on, f.cause
`;

/** A failure's project and team. */
export const ofFailure = async (sql: Tx, id: string) => {
  const [f] = await sql<{ buildId: row.Failure["buildId"] }[]>`SELECT build_id FROM failure WHERE id = ${id}`;
  return f ? ofBuild(sql, f.buildId) : null;
};
