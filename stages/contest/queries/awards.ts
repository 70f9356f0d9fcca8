import type * as row from "@/platform/db/rows";
import "server-only";
import { db, type Tx } from "@/platform/db/db";
import type { AwardFacts } from "../view/awards";

/** What awards are made of besides the standings: first builds, notebooks, and the crowd's vote. */
export async function awardFacts(projectId: string, sql: Tx = db()): Promise<AwardFacts> {
  const [facts] = await sql<AwardFacts[]>`
    SELECT
      (
        SELECT coalesce(
          json_agg(json_build_object('eventId', f.event_id, 'team', f.team, 'build', f.number, 'value', f.value)), '[]'
        )
        FROM (
          SELECT DISTINCT ON (e.id, t.id)
            e.id AS event_id, t.name AS team, b.number, s.summary->>'counted' AS value
          FROM event e
          JOIN protocol_version v ON v.id = e.protocol_version_id
          JOIN entry n ON n.event_id = e.id
          JOIN team t ON t.id = n.team_id
          JOIN build b ON b.team_id = t.id
          JOIN build_summary s
            ON s.build_id = b.id AND s.protocol_id = v.protocol_id AND s.key = e.definition->>'channel'
          WHERE e.project_id = ${projectId} AND s.summary->>'counted' IS NOT NULL
          ORDER BY e.id, t.id, b.number
        ) f
      ) AS firsts,
      (
        SELECT coalesce(
          json_agg(json_build_object('team', t.name, 'members', m.members, 'days', m.days) ORDER BY t.name), '[]'
        )
        FROM team t
        CROSS JOIN LATERAL (
          SELECT
            count(DISTINCT p.person_id) AS members,
            count(DISTINCT (p.person_id, k.on_date)) FILTER (WHERE k.id IS NOT NULL) AS days
          FROM membership p
          LEFT JOIN notebook_entry k ON k.project_id = t.project_id AND k.person_id = p.person_id
          WHERE p.team_id = t.id AND p.to_on IS NULL
        ) m
        WHERE t.project_id = ${projectId} AND t.retired_at IS NULL
      ) AS notebooks,
      (
        SELECT json_build_object(
          'id', b.id, 'version', b.version, 'code', b.code, 'open', b.closed_at IS NULL,
          'votes', (
            SELECT coalesce(json_agg(json_build_object('name', c.name, 'votes', c.votes) ORDER BY c.name), '[]')
            FROM (
              SELECT t.name, count(*) AS votes
              FROM vote x
              JOIN team t ON t.id = x.team_id
              WHERE x.ballot_id = b.id
              GROUP BY t.name
            ) c
          )
        )
        FROM ballot b
        WHERE b.project_id = ${projectId}
      ) AS ballot
  `;
  return facts!;
}

/** An open vote by the code of its address, with the teams that are voted on; null where there is none. */
export async function openBallot(code: string): Promise<{
  title: row.Project["title"];
  teams: { id: row.Team["id"]; name: row.Team["name"] }[];
} | null> {
  const [b] = await db()<{ title: row.Project["title"]; teams: { id: row.Team["id"]; name: row.Team["name"] }[] }[]>`
    SELECT
      p.title,
      (
        SELECT coalesce(json_agg(json_build_object('id', t.id, 'name', t.name) ORDER BY t.name), '[]')
        FROM team t
        WHERE t.project_id = p.id AND EXISTS (SELECT FROM entry n WHERE n.team_id = t.id)
      ) AS teams
    FROM ballot b
    JOIN project p ON p.id = b.project_id
    WHERE b.code = ${code} AND b.closed_at IS NULL
  `;
  return b ?? null;
}

/** For which team a device has voted. */
export const votedFor = async (code: string, device: string): Promise<string | null> =>
  (
    await db()<{ teamId: row.Vote["teamId"] }[]>`
      SELECT v.team_id FROM vote v JOIN ballot b ON b.id = v.ballot_id WHERE b.code = ${code} AND v.device = ${device}
    `
  )[0]?.teamId ?? null;

/** The crowd's vote of a project as who runs it sees it: not for whom the votes are. */
export const ballotOf = async (projectId: string) =>
  (
    await db()<(Pick<row.Ballot, "id" | "version" | "code"> & { open: boolean; votes: number })[]>`
      SELECT
        id, version, code, closed_at IS NULL AS open,
        (SELECT count(*)::int FROM vote WHERE ballot_id = b.id) AS votes
      FROM ballot b
      WHERE project_id = ${projectId}
    `
  )[0] ?? null;
