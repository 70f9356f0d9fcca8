import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, refuse, teamOf } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { readPicture, usePicture } from "@/platform/files/files";
import { actionActs, reviewActs } from "../acts";
import { ofReview } from "../queries/reviews";
import * as s from "../schema";
import { settleBuild } from "./settle";

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
    await settleBuild(sql, input.reviewId);
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
        changesDesign: input.changesDesign,
      })}
    `;
    audit({ type: "action", id, label: input.what, after: { due: input.dueOn } });
    return { id };
  },
});

const ofAction = (sql: Tx, id: string) => teamOf(sql, "action_item", id);

/** What shows that an action is done is of its own team. */
async function checkEvidence(sql: Tx, teamId: string, buildId: string | undefined, runId: string | undefined) {
  if (buildId && !(await sql`SELECT FROM build WHERE id = ${buildId} AND team_id = ${teamId}`).length)
    refuse("This build is not of the team.", "buildId");
  if (
    runId &&
    !(await sql`SELECT FROM run r JOIN build b ON b.id = r.build_id WHERE r.id = ${runId} AND b.team_id = ${teamId}`)
      .length
  )
    refuse("This run is not of the team.", "runId");
}

/** Closes an action with what shows that it is done: words, and a build or a run of the team. */
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
        teamId: row.ActionItem["teamId"];
        closedAt: row.ActionItem["closedAt"];
        evidence: row.ActionItem["closingEvidence"];
      }[]
    >`
      SELECT version, what, team_id, closed_at, closing_evidence AS evidence
      FROM action_item
      WHERE id = ${input.id} FOR UPDATE
    `;
    checkVersion(found(a, "This action"), input.version, { evidence: "Evidence" }, input, a!);
    if (a!.closedAt) refuse("This action is closed already.");
    await checkEvidence(sql, a!.teamId, input.buildId, input.runId);
    await sql`
      UPDATE action_item
      SET
        closed_at = app_now(), closed_by = ${by}, closing_evidence = ${input.evidence},
        closing_build = ${input.buildId ?? null}, closing_run = ${input.runId ?? null}, version = version + 1
      WHERE id = ${input.id}
    `;
    audit({ type: "action", id: input.id, label: a!.what, after: { closed: input.evidence } });
  },
});

/** A picture that shows what was done, while the action is open or after. */
export const addActionPhoto = command({
  name: "addActionPhoto",
  act: actionActs.close,
  schema: s.actionPhoto,
  subject: (sql, i) => ofAction(sql, i.id),
  prepare: (i) => readPicture(Buffer.from(i.base64, "base64")),
  async run({ sql, audit, by }, input, picture): Promise<{ id: string }> {
    const { project } = (await ofAction(sql, input.id))!;
    const of = { projectId: project, actionId: input.id, caption: input.caption, addedBy: by };
    const id = await usePicture(sql, picture, of);
    audit({ type: "photo", id, label: input.caption || "picture of an action" });
    return { id };
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
      SET
        closed_at = NULL, closed_by = NULL, closing_evidence = NULL, closing_build = NULL, closing_run = NULL,
        version = version + 1
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
      SET
        what = ${input.what}, owner_id = ${input.ownerId ?? null}, due_on = ${input.dueOn},
        changes_design = ${input.changesDesign}, version = version + 1
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
