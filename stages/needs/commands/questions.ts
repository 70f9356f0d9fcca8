import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { needsActs, questionActs } from "../acts";
import type { Question } from "../queries/questions";
import * as s from "../schema";

const ofQuestion = (sql: Tx, id: string) => projectOf(sql, "question", id);

export const draftQuestion = command({
  name: "draftQuestion",
  act: questionActs.draft,
  schema: s.question,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, actor, by, audit }, input): Promise<{ id: string }> {
    const id = newId();
    await sql`
      INSERT INTO question (id, project_id, text, drafted_by, drafter_id)
      VALUES (${id}, ${input.projectId}, ${input.text}, ${by}, ${actor.kind === "person" ? actor.id : null})
    `;
    audit({ type: "question", id, label: input.text });
    return { id };
  },
});

export const editQuestion = command({
  name: "editQuestion",
  act: needsActs.edit,
  schema: s.editQuestion,
  subject: (sql, i) => ofQuestion(sql, i.id),
  async run({ sql, audit }, input) {
    const [q] = await sql<Question[]>`SELECT * FROM question WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(found(q, "This question"), input.version, { text: "Question" }, input, { text: q!.text });
    await sql`
      UPDATE question
      SET
        text = ${input.text}, asker_id = ${input.askerId ?? null}, for_client = ${input.forClient},
        version = version + 1
      WHERE id = ${input.id}
    `;
    audit({ type: "question", id: input.id, label: input.text, before: { text: q!.text }, after: input });
  },
});

/** Merges drafts into one question; they stay on record under it, with who drafted them. */
export const mergeQuestions = command({
  name: "mergeQuestions",
  act: questionActs.draft,
  schema: s.mergeQuestions,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    const from = input.from.filter((x) => x !== input.into);
    if (!from.length) refuse("Choose at least two questions.");
    const rows = await sql`
        UPDATE question
        SET merged_into = ${input.into}, version = version + 1
        WHERE project_id = ${input.projectId}
          AND (id IN ${sql(from)} OR merged_into IN ${sql(from)})
          AND EXISTS (
            SELECT FROM question WHERE id = ${input.into} AND project_id = ${input.projectId} AND merged_into IS NULL
          )
        RETURNING id
      `;
    if (!rows.length) refuse("The question to merge into is not here (any more).");
    await sql`UPDATE note SET question_id = ${input.into} WHERE question_id IN ${sql(from)}`;
    audit({ type: "question", id: input.into, label: `${rows.length} merged`, after: from });
  },
});

export const orderQuestions = command({
  name: "orderQuestions",
  act: questionActs.draft,
  schema: s.orderQuestions,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    await sql`
      UPDATE question q
      SET place = o.place
      FROM (SELECT id::uuid, place::int FROM unnest(${input.ids}::text[]) WITH ORDINALITY AS u(id, place)) o
      WHERE q.id = o.id AND q.project_id = ${input.projectId}
    `;
    audit({ type: "question", label: "order", after: input.ids });
  },
});

/** Takes a question out of the list, or puts a merged or dropped one back. */
export const dropQuestion = command({
  name: "dropQuestion",
  act: needsActs.edit,
  schema: s.dropQuestion,
  subject: (sql, i) => ofQuestion(sql, i.id),
  async run({ sql, audit }, input) {
    const [q] = await sql<{ text: string }[]>`
      UPDATE question
      SET
        dropped = ${input.dropped}, merged_into = NULL, for_client = for_client AND NOT ${input.dropped},
        version = version + 1
      WHERE id = ${input.id}
      RETURNING text
    `;
    audit({ type: "question", id: input.id, label: q?.text, after: { dropped: input.dropped } });
  },
});

/**
 * The client answers an open question on their page: the answer becomes a source with one note, and the question is
 * open no more.
 */
export const answerQuestion = command({
  name: "answerQuestion",
  act: questionActs.answer,
  schema: s.answer,
  subject: (sql, i) => ofQuestion(sql, i.questionId),
  async run({ sql, by, today, audit }, input) {
    const [q] = await sql<
      {
        projectId: row.Question["projectId"];
        text: row.Question["text"];
        forClient: row.Question["forClient"];
        statementId: row.Question["statementId"];
      }[]
    >`SELECT project_id, text, for_client, statement_id FROM question WHERE id = ${input.questionId} FOR UPDATE`;
    if (!found(q, "This question").forClient) refuse("This question has been answered already. Thank you.");
    const sourceId = newId();
    const noteId = newId();
    await sql`
      INSERT INTO source ${sql({
        id: sourceId,
        projectId: q!.projectId,
        kind: "answer",
        title: `Answer: ${q!.text}`.slice(0, 160),
        who: by,
        heldOn: today,
        createdBy: by,
      })}
    `;
    await sql`UPDATE source SET closed_at = app_now() WHERE id = ${sourceId}`;
    await sql`
      INSERT INTO note (id, project_id, source_id, question_id, text, author)
      VALUES (${noteId}, ${q!.projectId}, ${sourceId}, ${input.questionId}, ${input.text}, ${by})
    `;
    if (q!.statementId)
      await sql`INSERT INTO statement_note (statement_id, note_id) VALUES (${q!.statementId}, ${noteId})`;
    await sql`UPDATE question SET for_client = false, version = version + 1 WHERE id = ${input.questionId}`;
    audit({ type: "question", id: input.questionId, label: q!.text, after: { answer: input.text } });
  },
});
