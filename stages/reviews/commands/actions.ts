import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { actionActs, reviewActs } from "../acts";
import { ofReview } from "../queries/reviews";
import * as s from "../schema";

async function checkOwner(sql: Tx, teamId: string, ownerId: string | undefined): Promise<void> {
  if (
    ownerId &&
    !(await sql`SELECT FROM membership WHERE team_id = ${teamId} AND person_id = ${ownerId} AND to_on IS NULL`).length
  )
    refuse("The owner must be a member of the team.", "ownerId");
}

export const addAction = command({
  name: "addAction",
  act: reviewActs.decide,
  schema: s.action,
  subject: (sql, i) => ofReview(sql, i.reviewId),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const [r] = await sql<
      { projectId: row.Review["projectId"]; teamId: row.Review["teamId"] }[]
    >`SELECT project_id, team_id FROM review WHERE id = ${input.reviewId}`;
    await checkOwner(sql, r!.teamId, input.ownerId);
    const id = newId();
    await sql`
      INSERT INTO action_item ${sql({
        id,
        projectId: r!.projectId,
        reviewId: input.reviewId,
        teamId: r!.teamId,
        what: input.what,
        ownerId: input.ownerId ?? null,
        dueOn: input.dueOn,
      })}
    `;
    audit({ type: "action", id, label: input.what, after: { due: input.dueOn } });
    return { id };
  },
});

const ofAction = async (sql: Tx, id: string) => {
  const [a] = await sql<
    { projectId: row.ActionItem["projectId"]; teamId: row.ActionItem["teamId"] }[]
  >`SELECT project_id, team_id FROM action_item WHERE id = ${id}`;
  return a ? { project: a.projectId, team: a.teamId } : null;
};

/** Closes an action with what shows that it is done. */
export const closeAction = command({
  name: "closeAction",
  act: actionActs.close,
  schema: s.closeAction,
  subject: (sql, i) => ofAction(sql, i.id),
  async run({ sql, audit, by }, input) {
    const [a] = await sql<
      {
        version: row.ActionItem["version"];
        what: row.ActionItem["what"];
        closedAt: row.ActionItem["closedAt"];
        evidence: row.ActionItem["closingEvidence"];
      }[]
    >`SELECT version, what, closed_at, closing_evidence AS evidence FROM action_item WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(found(a, "This action"), input.version, { evidence: "Evidence" }, input, a!);
    if (a!.closedAt) refuse("This action is closed already.");
    await sql`
      UPDATE action_item
      SET closed_at = app_now(), closed_by = ${by}, closing_evidence = ${input.evidence}, version = version + 1
      WHERE id = ${input.id}
    `;
    audit({ type: "action", id: input.id, label: a!.what, after: { closed: input.evidence } });
  },
});

export const reopenAction = command({
  name: "reopenAction",
  act: reviewActs.decide,
  schema: s.reopenAction,
  subject: (sql, i) => ofAction(sql, i.id),
  async run({ sql, audit }, input) {
    const [a] = await sql<
      { version: number; what: string; evidence: string | null }[]
    >`SELECT version, what, closing_evidence AS evidence FROM action_item WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(found(a, "This action"), input.version, {}, {}, {});
    await sql`
      UPDATE action_item
      SET closed_at = NULL, closed_by = NULL, closing_evidence = NULL, version = version + 1
      WHERE id = ${input.id}
    `;
    audit({ type: "action", id: input.id, label: a!.what, before: { closed: a!.evidence }, after: { closed: null } });
  },
});

/** Corrects what an open action says, who does it, or by when. */
export const editAction = command({
  name: "editAction",
  act: reviewActs.decide,
  schema: s.editAction,
  subject: (sql, i) => ofAction(sql, i.id),
  async run({ sql, audit }, input) {
    const [a] = await sql<
      {
        version: row.ActionItem["version"];
        teamId: row.ActionItem["teamId"];
        what: row.ActionItem["what"];
        dueOn: row.ActionItem["dueOn"];
        ownerId: row.ActionItem["ownerId"];
      }[]
    >`SELECT version, team_id, what, due_on, owner_id FROM action_item WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(found(a, "This action"), input.version, { what: "Action", dueOn: "Due" }, input, a!);
    // Who had it may have left the team meanwhile.
    if (input.ownerId !== a!.ownerId) await checkOwner(sql, a!.teamId, input.ownerId);
    await sql`
      UPDATE action_item
      SET what = ${input.what}, owner_id = ${input.ownerId ?? null}, due_on = ${input.dueOn}, version = version + 1
      WHERE id = ${input.id}
    `;
    audit({
      type: "action",
      id: input.id,
      label: input.what,
      before: { what: a!.what, due: a!.dueOn, owner: a!.ownerId },
      after: { what: input.what, due: input.dueOn, owner: input.ownerId ?? null },
    });
  },
});
