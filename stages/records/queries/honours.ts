import "server-only";
import { db, type Tx } from "@/platform/db/db";
import type * as row from "@/platform/db/rows";

/** An award as it was given, with its team and who was in it. */
export interface HonourRow extends row.Honour {
  readonly team: row.Team["name"];
  readonly edition: row.Project["title"];
  readonly members: readonly row.Person["name"][];
}

/** The awards of some editions as they were given, the newest first. */
export const honoursOf = (projectIds: readonly string[]) => db()<HonourRow[]>`
  SELECT
    h.*, t.name AS team, p.title AS edition,
    ARRAY(
      SELECT s.name
      FROM membership m
      JOIN person s ON s.id = m.person_id
      WHERE m.team_id = t.id AND m.to_on IS NULL
      ORDER BY s.name
    ) AS members
  FROM honour h
  JOIN team t ON t.id = h.team_id
  JOIN project p ON p.id = h.project_id
  WHERE h.project_id IN ${db()(projectIds)}
  ORDER BY p.ends_on DESC, h.given_on DESC, h.kind IS NULL, h.id
`;

/** Events of a project that are not confirmed: while there are any, no award is given. */
export const unconfirmedEvents = async (projectId: string, sql: Tx = db()): Promise<string[]> =>
  (
    await sql<{ name: row.Event["name"] }[]>`
      SELECT name FROM event WHERE project_id = ${projectId} AND state <> 'confirmed' ORDER BY id
    `
  ).map((e) => e.name);
