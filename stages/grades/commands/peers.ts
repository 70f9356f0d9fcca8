import type * as row from "@/platform/db/rows";
import "server-only";
import { checkRatings } from "@/core/grades/peers";
import { checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { gradeActs } from "../acts";
import * as s from "../schema";
import { ownIn } from "./own";

/** Asks every student to rate the own team. */
export const openPeerRound = command({
  name: "openPeerRound",
  act: gradeActs.edit,
  schema: s.openPeers,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const id = newId();
    await sql`INSERT INTO peer_round ${sql({ id, ...input })}`;
    audit({ type: "peer rating", id, label: input.title, after: { method: input.method } });
    return { id };
  },
});

/** Closes a rating, or opens it again. */
export const setPeerRound = command({
  name: "setPeerRound",
  act: gradeActs.edit,
  schema: s.setPeers,
  subject: (sql, i) => projectOf(sql, "peer_round", i.id),
  async run({ sql, audit }, input) {
    const [r] = await sql<Pick<row.PeerRound, "title" | "closedAt" | "version">[]>`
      SELECT title, closed_at, version FROM peer_round WHERE id = ${input.id} FOR UPDATE
    `;
    const now = (open: boolean) => ({ open: open ? "open" : "closed" });
    checkVersion(found(r, "This rating"), input.version, { open: "Rating" }, now(input.open), now(!r!.closedAt));
    await sql`
      UPDATE peer_round
      SET closed_at = CASE WHEN ${input.open} THEN NULL ELSE app_now() END, version = version + 1
      WHERE id = ${input.id}
    `;
    audit({ type: "peer rating", id: input.id, label: r!.title, before: now(!r!.closedAt), after: now(input.open) });
  },
});

/**
 * What a student gives the others of the team; sent again it takes the place of what was sent, while the rating is
 * open. The record says that it was handed in, not what it says.
 */
export const ratePeers = command({
  name: "ratePeers",
  act: gradeActs.ratePeers,
  schema: s.ratePeers,
  subject: (sql, i, actor) => ownIn(sql, "peer_round", i.roundId, actor),
  async run({ sql, actor, audit }, input) {
    if (actor.kind !== "person") return refuse("Only a student of the project rates a team.");
    const [r] = await sql<Pick<row.PeerRound, "title" | "method" | "closedAt" | "projectId">[]>`
      SELECT title, method, closed_at, project_id FROM peer_round WHERE id = ${input.roundId} FOR SHARE
    `;
    if (found(r, "This rating").closedAt) refuse("This rating is closed. Ask your instructor to open it again.");
    const others = await sql<{ id: row.Person["id"] }[]>`
      SELECT o.person_id AS id
      FROM membership m
      JOIN membership o ON o.team_id = m.team_id AND o.to_on IS NULL AND o.person_id <> m.person_id
      WHERE m.project_id = ${r!.projectId} AND m.person_id = ${actor.id} AND m.to_on IS NULL
    `;
    const wrong = checkRatings(
      r!.method,
      others.map((o) => o.id),
      input.ratings,
    );
    if (wrong.length) refuse(wrong.join(" "), "ratings");
    await sql`DELETE FROM peer_rating WHERE round_id = ${input.roundId} AND rater_id = ${actor.id}`;
    await sql`
      INSERT INTO peer_rating ${sql(
        input.ratings.map((x) => ({
          roundId: input.roundId,
          raterId: actor.id,
          rateeId: x.ratee,
          value: Number(x.value),
          comment: x.comment,
        })),
      )}
    `;
    audit({ type: "peer rating", id: input.roundId, label: r!.title, after: { handedIn: input.ratings.length } });
  },
});

/** Takes out a rating with all that was handed in. */
export const withdrawPeerRound = withdrawal({
  name: "withdrawPeerRound",
  kind: "peer rating",
  table: "peer_round",
  act: gradeActs.edit,
  label: "x.title",
  needsReason: true,
  async refuse(sql, id) {
    const used = await sql`
      SELECT
      FROM peer_round r
      JOIN LATERAL (
        SELECT definition FROM scheme_version WHERE project_id = r.project_id ORDER BY number DESC LIMIT 1
      ) v ON v.definition->'peers'->>'round' = r.id::text
      WHERE r.id = ${id}
    `;
    if (used.length) refuse("The grading scheme takes its peer factor from this rating. Change the scheme first.");
  },
});
