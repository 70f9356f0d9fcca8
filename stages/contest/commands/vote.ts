import { randomInt } from "node:crypto";
import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, refuse, tellProject } from "@/platform/command/command";
import { inTransaction, newId } from "@/platform/db/db";
import { settingsOf } from "@/platform/project/settings";
import { contestActs } from "../acts";
import { ofBallot } from "../queries/whose";
import * as s from "../schema";
import { giveAwards } from "./overall";

// Letters and digits that nobody takes for one another from the tenth row.
const letters = "BCDFGHJKMNPQRSTVWXYZ23456789";
const newCode = () => Array.from({ length: 6 }, () => letters[randomInt(letters.length)]).join("");

/** Opens the crowd's vote, or opens it again: what was voted before still counts. Its award is given from then on. */
export const openVote = command({
  name: "openVote",
  act: contestActs.edit,
  schema: s.ofProject,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ code: string }> {
    const { projectId } = input;
    const [entered] = await sql`
      SELECT FROM entry n JOIN event e ON e.id = n.event_id WHERE e.project_id = ${projectId} LIMIT 1
    `;
    if (!entered) refuse("No team has entered an event yet: there is nobody to vote for.");
    const [b] = await sql<{ id: row.Ballot["id"]; code: string }[]>`
      INSERT INTO ballot (id, project_id, code)
      VALUES (${newId()}, ${projectId}, ${newCode()})
      ON CONFLICT (project_id) DO UPDATE
      SET code = coalesce(ballot.code, excluded.code), closed_at = NULL, version = ballot.version + 1
      RETURNING id, code
    `;
    audit({ type: "vote", id: b!.id, label: "The crowd's vote is open" });
    const { awards } = await settingsOf(projectId, sql);
    if (!awards.includes("favourite")) await giveAwards({ sql, audit }, projectId, awards, [...awards, "favourite"]);
    return { code: b!.code };
  },
});

/** Closes the crowd's vote: only now it gives an award. */
export const closeVote = command({
  name: "closeVote",
  act: contestActs.edit,
  schema: s.eventVersion,
  subject: (sql, i) => ofBallot(sql, i.id),
  async run({ sql, audit }, input) {
    const [b] = await sql<(Pick<row.Ballot, "version" | "closedAt"> & { votes: number })[]>`
      SELECT version, closed_at, (SELECT count(*)::int FROM vote WHERE ballot_id = b.id) AS votes
      FROM ballot b
      WHERE id = ${input.id} FOR UPDATE
    `;
    checkVersion(found(b, "This vote"), input.version, {}, {}, {});
    if (b!.closedAt) refuse("The vote is closed already.");
    await sql`UPDATE ballot SET closed_at = app_now(), version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "vote", id: input.id, label: "The crowd's vote is closed", after: { votes: b!.votes } });
  },
});

/** One in so many votes is told to those who watch: the count on a board need not be of this second. */
const tellEvery = 5;

/**
 * A device's vote, or another one in its place, as long as the vote is open. Nobody is asked who they are: of a device
 * only the digest of a random number of its browser is kept.
 * @returns the team's name; null where the vote is not open or the team not in it
 */
export const castVote = (code: string, teamId: string, device: string): Promise<string | null> =>
  inTransaction(async (sql) => {
    const [cast] = await sql<{ ballotId: row.Ballot["id"]; projectId: row.Project["id"]; team: row.Team["name"] }[]>`
      WITH voted AS (
        INSERT INTO vote (ballot_id, device, team_id)
        SELECT b.id, ${device}, t.id
        FROM ballot b
        JOIN team t ON t.project_id = b.project_id
        WHERE b.code = ${code} AND b.closed_at IS NULL AND t.id = ${teamId}
          AND EXISTS (SELECT FROM entry n WHERE n.team_id = t.id)
        ON CONFLICT (ballot_id, device) DO UPDATE SET team_id = excluded.team_id, cast_at = excluded.cast_at
        RETURNING ballot_id, team_id
      )
      SELECT v.ballot_id, t.project_id, t.name AS team FROM voted v JOIN team t ON t.id = v.team_id
    `;
    if (!cast) return null;
    const [{ n } = { n: 0 }] = await sql<{ n: number }[]>`
      SELECT count(*)::int AS n FROM vote WHERE ballot_id = ${cast.ballotId}
    `;
    if (n % tellEvery === 1) await tellProject(sql, cast.projectId, "contest");
    return cast.team;
  });
