import type * as row from "@/platform/db/rows";
import "server-only";
import { checkRubric, type RubricDefinition } from "@/core/sheet/sheet";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { actionActs, reviewActs } from "./acts";
import * as s from "./schema";

export const saveRubric = command({
  name: "saveRubric",
  act: reviewActs.plan,
  schema: s.rubric,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit, by }, input): Promise<{ id: string; number: number }> {
    const definition: RubricDefinition = { criteria: input.criteria };
    const problems = checkRubric(definition);
    if (new Set(input.criteria.map((x) => x.key)).size < input.criteria.length)
      problems.push("Two criteria have the same key.");
    if (problems.length) refuse(problems.join(" "));
    let { id } = input;
    let number = 1;
    if (id) {
      const [r] = await sql<{ version: number; name: string; n: number }[]>`
        SELECT version, name, (SELECT max(number) FROM rubric_version WHERE rubric_id = r.id) AS n
        FROM rubric r
        WHERE id = ${id} AND project_id = ${input.projectId} FOR UPDATE
      `;
      checkVersion(found(r, "This rubric"), input.version, { name: "Name" }, input, r!);
      number = r!.n + 1;
      await sql`UPDATE rubric SET name = ${input.name}, version = version + 1 WHERE id = ${id}`;
    } else {
      id = newId();
      await sql`INSERT INTO rubric (id, project_id, name) VALUES (${id}, ${input.projectId}, ${input.name})`;
    }
    await sql`
      INSERT INTO rubric_version (id, rubric_id, number, definition, created_by)
      VALUES (${newId()}, ${id}, ${number}, ${sql.json(definition as never)}, ${by})
    `;
    audit({ type: "rubric", id, label: `${input.name} v${number}`, after: definition });
    return { id, number };
  },
});

/** Plans one review a team, each of the team's newest build, under the rubric's current version. */
export const planReviews = command({
  name: "planReviews",
  act: reviewActs.plan,
  schema: s.planReviews,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input): Promise<{ count: number }> {
    const [v] = await sql<{ id: row.RubricVersion["id"] }[]>`
      SELECT v.id
      FROM rubric r
      JOIN rubric_version v ON v.rubric_id = r.id
      WHERE r.id = ${input.rubricId} AND r.project_id = ${input.projectId}
      ORDER BY v.number DESC
      LIMIT 1
    `;
    found(v, "This rubric");
    const teams = await sql<{ id: row.Team["id"]; buildId: string | null }[]>`
      SELECT t.id, (SELECT b.id FROM build b WHERE b.team_id = t.id ORDER BY b.number DESC LIMIT 1) AS build_id
      FROM team t
      WHERE t.project_id = ${input.projectId} AND t.retired_at IS NULL AND t.id IN ${sql(input.teamIds)}
    `;
    if (teams.length !== new Set(input.teamIds).size) refuse("One of the teams is not in this project (any more).");
    await sql`
      INSERT INTO review ${sql(
        teams.map((t) => ({
          id: newId(),
          projectId: input.projectId,
          title: input.title,
          heldOn: input.heldOn,
          teamId: t.id,
          buildId: t.buildId,
          rubricVersionId: v!.id,
        })),
      )}
    `;
    audit({ type: "review", label: `${input.title}, ${teams.length} teams`, after: { heldOn: input.heldOn } });
    return { count: teams.length };
  },
});

const ofReview = async (sql: Tx, id: string) => {
  const [r] = await sql<
    { projectId: row.Review["projectId"]; teamId: row.Review["teamId"] }[]
  >`SELECT project_id, team_id FROM review WHERE id = ${id}`;
  return r ? { project: r.projectId, team: r.teamId } : null;
};

/** A reviewer's sheet: a person or guest has one a review, and may correct it until the review is decided. */
export const submitSheet = command({
  name: "submitSheet",
  act: reviewActs.mark,
  schema: s.sheet,
  subject: (sql, i) => ofReview(sql, i.reviewId),
  async run({ sql, actor, audit }, input): Promise<{ id: string }> {
    const [review] = await sql<
      {
        projectId: row.Review["projectId"];
        rubricVersionId: row.Review["rubricVersionId"];
        definition: RubricDefinition;
        decided: boolean;
        title: row.Review["title"];
      }[]
    >`
      SELECT r.project_id, r.rubric_version_id, v.definition, r.verdict IS NOT NULL AS decided, r.title
      FROM review r
      JOIN rubric_version v ON v.id = r.rubric_version_id
      WHERE r.id = ${input.reviewId} FOR UPDATE OF r
    `;
    const r = found(review, "This review");
    if (r.decided) refuse("The review has its verdict; its sheets are closed.");
    for (const c of r.definition.criteria) {
      const m = input.marks.find((x) => x.criterion === c.key);
      if (!m) refuse(`${c.name} is not marked yet.`, `marks.${c.key}`);
      if (!c.levels.some((l) => Number(l.points) === Number(m.points)))
        refuse(
          `${c.name}: ${m.points} is none of its levels (${c.levels.map((l) => l.points).join(", ")}).`,
          `marks.${c.key}`,
        );
    }
    if (input.marks.length > r.definition.criteria.length)
      refuse("The sheet marks something that the rubric does not have.");
    const person = actor.kind === "person";
    const name = person ? actor.name : input.raterName;
    const [old] = person
      ? await sql<
          { id: row.Sheet["id"]; version: row.Sheet["version"] }[]
        >`SELECT id, version FROM sheet WHERE review_id = ${input.reviewId} AND rater_person = ${actor.id}`
      : await sql<{ id: row.Sheet["id"]; version: row.Sheet["version"] }[]>`
          SELECT id, version
          FROM sheet
          WHERE review_id = ${input.reviewId} AND rater_guest = ${actor.id} AND lower(rater_name) = lower(${name})
        `;
    const id = old?.id ?? newId();
    if (old) {
      checkVersion(old, input.version, { comment: "Comment" }, input, {
        comment: "(handed in earlier or in another tab)",
      });
      await sql`DELETE FROM sheet_mark WHERE sheet_id = ${id}`;
      await sql`
        UPDATE sheet SET comment = ${input.comment}, submitted_at = app_now(), version = version + 1 WHERE id = ${id}
      `;
    } else
      await sql`
        INSERT INTO sheet ${sql({
          id,
          projectId: r.projectId,
          reviewId: input.reviewId,
          rubricVersionId: r.rubricVersionId,
          raterPerson: person ? actor.id : null,
          raterGuest: person ? null : actor.id,
          raterName: name,
          comment: input.comment,
        })}
      `;
    await sql`INSERT INTO sheet_mark ${sql(input.marks.map((m) => ({ ...m, sheetId: id })))}`;
    audit({ type: "sheet", id, label: `${r.title}, ${name}`, after: input.marks });
    return { id };
  },
});

export const decideReview = command({
  name: "decideReview",
  act: reviewActs.decide,
  schema: s.decide,
  subject: (sql, i) => ofReview(sql, i.id),
  async run({ sql, audit, by }, input) {
    const [r] = await sql<
      {
        version: row.Review["version"];
        verdict: row.Review["verdict"];
        note: row.Review["verdictNote"];
        title: row.Review["title"];
      }[]
    >`SELECT version, verdict, verdict_note AS note, title FROM review WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(found(r, "This review"), input.version, { verdict: "Verdict", note: "Note" }, input, r!);
    await sql`
      UPDATE review
      SET
        verdict = ${input.verdict}, verdict_note = ${input.note}, decided_by = ${by}, decided_at = app_now(),
        version = version + 1
      WHERE id = ${input.id}
    `;
    audit({
      type: "review",
      id: input.id,
      label: r!.title,
      before: { verdict: r!.verdict },
      after: { verdict: input.verdict },
    });
  },
});

export const addAction = command({
  name: "addAction",
  act: reviewActs.decide,
  schema: s.action,
  subject: (sql, i) => ofReview(sql, i.reviewId),
  async run({ sql, audit }, input): Promise<{ id: string }> {
    const [r] = await sql<
      { projectId: row.Review["projectId"]; teamId: row.Review["teamId"] }[]
    >`SELECT project_id, team_id FROM review WHERE id = ${input.reviewId}`;
    if (
      input.ownerId &&
      !(
        await sql`
          SELECT FROM membership WHERE team_id = ${r!.teamId} AND person_id = ${input.ownerId} AND to_on IS NULL
        `
      ).length
    )
      refuse("The owner must be a member of the team.", "ownerId");
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
