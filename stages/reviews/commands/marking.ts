import type * as row from "@/platform/db/rows";
import "server-only";
import { individualPart, type RubricDefinition, teamPart } from "@/core/sheet/sheet";
import { checkVersion, command, found, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { reviewActs } from "../acts";
import { ofReview, restsOf } from "../queries/reviews";
import * as s from "../schema";
import { settleBuild } from "./settle";

/** Marks of persons are of members of the team, by criteria that mark each alone, at one of their levels. */
async function checkPersons(
  sql: Tx,
  reviewId: string,
  definition: RubricDefinition,
  marks: readonly { criterion: string; person: string; points: string }[],
): Promise<void> {
  if (!marks.length) return;
  const members = await sql<{ id: row.Person["id"] }[]>`
    SELECT m.person_id AS id
    FROM review r
    JOIN membership m ON m.team_id = r.team_id AND m.to_on IS NULL
    WHERE r.id = ${reviewId}
  `;
  for (const m of marks) {
    const c = individualPart(definition).criteria.find((x) => x.key === m.criterion);
    if (!c) refuse("The sheet marks a person by something that the rubric does not have.");
    if (!members.some((x) => x.id === m.person)) refuse("One of those who are marked is not in the team (any more).");
    if (!c.levels.some((l) => Number(l.points) === Number(m.points)))
      refuse(`${c.name}: ${m.points} is none of its levels.`, `persons.${m.criterion}.${m.person}`);
  }
}

/**
 * A reviewer's sheet: a person or guest has one a review, and may correct it; after the verdict only with a reason,
 * which stands at the sheet.
 */
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
    const together = teamPart(r.definition).criteria;
    for (const c of together) {
      const m = input.marks.find((x) => x.criterion === c.key);
      if (!m) refuse(`${c.name} is not marked yet.`, `marks.${c.key}`);
      if (!c.levels.some((l) => Number(l.points) === Number(m.points)))
        refuse(
          `${c.name}: ${m.points} is none of its levels (${c.levels.map((l) => l.points).join(", ")}).`,
          `marks.${c.key}`,
        );
    }
    if (input.marks.length > together.length) refuse("The sheet marks something that the rubric does not have.");
    await checkPersons(sql, input.reviewId, r.definition, input.persons ?? []);
    await settleBuild(sql, input.reviewId);
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
    if (r.decided) {
      if (!old) refuse("The review has its verdict; its sheets are closed.");
      if (!input.correction)
        refuse("The review has its verdict. Say why the sheet is corrected after it.", "correction");
    }
    if (old) {
      checkVersion(old, input.version, { comment: "Comment" }, input, {
        comment: "(handed in earlier or in another tab)",
      });
      await sql`DELETE FROM sheet_mark WHERE sheet_id = ${id}`;
      await sql`
        UPDATE sheet
        SET
          comment = ${input.comment}, submitted_at = app_now(), version = version + 1,
          correction = CASE WHEN ${r.decided} THEN ${input.correction} ELSE correction END
        WHERE id = ${id}
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
    if (input.persons) {
      await sql`DELETE FROM sheet_person_mark WHERE sheet_id = ${id}`;
      if (input.persons.length)
        await sql`
          INSERT INTO sheet_person_mark ${sql(
            input.persons.map((m) => ({
              sheetId: id,
              criterion: m.criterion,
              personId: m.person,
              points: m.points,
            })),
          )}
        `;
    }
    audit({
      type: "sheet",
      id,
      label: `${r.title}, ${name}`,
      after: input.marks,
      reason: r.decided ? input.correction : undefined,
    });
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
    await settleBuild(sql, input.id);
    await sql`
      UPDATE review
      SET
        verdict = ${input.verdict}, verdict_note = ${input.note}, decided_by = ${by}, decided_at = app_now(),
        rests = ${sql.json((await restsOf(input.id, sql)) as never)}, version = version + 1
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

/** Takes a verdict back, so that sheets can be corrected and the review decided anew. */
export const reopenReview = command({
  name: "reopenReview",
  act: reviewActs.decide,
  schema: s.reopenReview,
  subject: (sql, i) => ofReview(sql, i.id),
  async run({ sql, audit }, input) {
    const [r] = await sql<
      {
        version: row.Review["version"];
        verdict: row.Review["verdict"];
        note: row.Review["verdictNote"];
        by: row.Review["decidedBy"];
        title: row.Review["title"];
      }[]
    >`
      SELECT version, verdict, verdict_note AS note, decided_by AS by, title
      FROM review
      WHERE id = ${input.id} FOR UPDATE
    `;
    checkVersion(found(r, "This review"), input.version, { verdict: "Verdict" }, { verdict: "" }, r!);
    if (!r!.verdict) refuse("The review has no verdict yet.");
    await sql`
      UPDATE review
      SET
        verdict = NULL, verdict_note = '', decided_by = NULL, decided_at = NULL, rests = NULL, version = version + 1
      WHERE id = ${input.id}
    `;
    audit({
      type: "review",
      id: input.id,
      label: r!.title,
      before: { verdict: r!.verdict, note: r!.note, by: r!.by },
      after: { verdict: null },
      reason: input.reason,
    });
  },
});
