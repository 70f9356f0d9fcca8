import type * as row from "@/platform/db/rows";
import "server-only";
import { command, found, refuse } from "@/platform/command/command";
import { newId } from "@/platform/db/db";
import { reviewActs } from "../acts";
import { ofReview } from "../queries/reviews";
import * as s from "../schema";

/**
 * What a client finds of each wish at a demonstration, ticked again as often as needed. It is evidence for what is not
 * measured; what the bench decides keeps its measured verdict, and the client's word stands beside it.
 */
export const demonstrate = command({
  name: "demonstrate",
  act: reviewActs.demonstrate,
  schema: s.demonstrate,
  subject: (sql, i) => ofReview(sql, i.reviewId),
  async run({ sql, audit, by }, input): Promise<{ evidence: number }> {
    const [r] = await sql<Pick<row.Review, "projectId" | "teamId" | "buildId" | "title" | "kind" | "buildChosen">[]>`
      SELECT project_id, team_id, build_id, title, kind, build_chosen FROM review WHERE id = ${input.reviewId} FOR SHARE
    `;
    const review = found(r, "This review");
    if (review.kind !== "demonstration") refuse("Wishes are ticked at a client demonstration.");
    const ids = input.wishes.map((w) => w.requirementId);
    if (new Set(ids).size < ids.length) refuse("A wish is ticked twice.", "wishes");
    const wishes = await sql<{ id: string; code: string; version: number; measured: boolean }[]>`
      SELECT r.id, r.code, v.number AS version, v.measure IS NOT NULL AS measured
      FROM requirement r
      JOIN LATERAL (
        SELECT number, measure FROM requirement_version WHERE requirement_id = r.id ORDER BY number DESC LIMIT 1
      ) v ON true
      WHERE r.project_id = ${review.projectId} AND r.id IN ${sql(ids)}
    `;
    if (wishes.length < ids.length) refuse("One of the wishes is not in this project.", "wishes");
    const [build] = await sql<Pick<row.Build, "id" | "number" | "revision">[]>`
      SELECT id, number, revision
      FROM build
      WHERE ${review.buildChosen && review.buildId ? sql`id = ${review.buildId}` : sql`team_id = ${review.teamId}`}
      ORDER BY number DESC
      LIMIT 1
    `;
    if (!build) refuse("The team has no build to demonstrate yet.");
    await sql`
      INSERT INTO demonstration_tick ${sql(
        input.wishes.map((w) => ({
          reviewId: input.reviewId,
          requirementId: w.requirementId,
          outcome: w.outcome,
          word: w.word,
          tickedBy: input.who,
        })),
      )}
      ON CONFLICT (review_id, requirement_id) DO UPDATE
      SET outcome = EXCLUDED.outcome, word = EXCLUDED.word, ticked_by = EXCLUDED.ticked_by, ticked_at = app_now()
    `;
    const seen = input.wishes.flatMap((w) => {
      const q = wishes.find((x) => x.id === w.requirementId)!;
      if (q.measured) return [];
      return [
        {
          id: newId(),
          projectId: review.projectId,
          requirementId: w.requirementId,
          buildId: build.id,
          kind: "finding",
          entered: "",
          requirementVersion: q.version,
          buildRevision: build.revision,
          finding: w.outcome,
          note: [`${input.who}, ${review.title}`, w.word].filter(Boolean).join(": "),
          recordedBy: by,
        },
      ];
    });
    if (seen.length) await sql`INSERT INTO evidence ${sql(seen)}`;
    for (const w of input.wishes)
      audit({
        type: "finding",
        id: w.requirementId,
        label: `${wishes.find((x) => x.id === w.requirementId)!.code}: ${w.outcome}`,
        after: { build: `G${build.number}`, word: w.word, by: input.who },
      });
    return { evidence: seen.length };
  },
});
