import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { reviewActs } from "../acts";
import { ofReview } from "../queries/reviews";
import * as s from "../schema";

const ofQuestion = async (sql: Tx, id: string) => {
  const [q] = await sql<Pick<row.ReviewQuestion, "reviewId">[]>`
    SELECT review_id FROM review_question WHERE id = ${id}
  `;
  return q ? ofReview(sql, q.reviewId) : null;
};

/** Writes down what was asked at a review. */
export const askQuestion = command({
  name: "askQuestion",
  act: reviewActs.mark,
  schema: s.askQuestion,
  subject: (sql, i) => ofReview(sql, i.reviewId),
  async run({ sql, actor, audit, by }, input): Promise<{ id: string }> {
    const review = found(await ofReview(sql, input.reviewId), "This review");
    const id = newId();
    const askedBy = actor.kind === "guest" && input.raterName ? input.raterName : by;
    await sql`
      INSERT INTO review_question ${sql({
        id,
        projectId: review.project,
        reviewId: input.reviewId,
        question: input.question,
        askedBy,
      })}
    `;
    audit({ type: "review question", id, label: input.question });
    return { id };
  },
});

/** Writes down what was answered, or corrects it; nothing takes the answer back. */
export const answerQuestion = command({
  name: "answerQuestion",
  act: reviewActs.answer,
  schema: s.answerQuestion,
  subject: (sql, i) => ofQuestion(sql, i.id),
  async run({ sql, audit, by }, input) {
    const [q] = await sql<Pick<row.ReviewQuestion, "question" | "answer" | "version">[]>`
      SELECT question, answer, version FROM review_question WHERE id = ${input.id} FOR UPDATE
    `;
    checkVersion(found(q, "This question"), input.version, { answer: "Answer" }, input, q!);
    const { answer } = input;
    await sql`
      UPDATE review_question
      SET
        answer = ${answer}, answered_by = ${answer ? by : null},
        answered_at = ${answer ? sql`app_now()` : null}, version = version + 1
      WHERE id = ${input.id}
    `;
    audit({
      type: "review question",
      id: input.id,
      label: q!.question,
      before: { answer: q!.answer },
      after: { answer },
    });
  },
});

export const withdrawQuestion = withdrawal({
  name: "withdrawQuestion",
  kind: "review question",
  table: "review_question",
  act: reviewActs.decide,
  label: "left(x.question, 80)",
});
