import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import * as fields from "@/platform/schema/fields";
import { needsActs, statementActs } from "../acts";
import * as s from "../schema";

const ofStatement = (sql: Tx, id: string) => projectOf(sql, "statement", id);

export const saveStatement = command({
  name: "saveStatement",
  act: statementActs.edit,
  schema: s.statement,
  async subject(sql, i) {
    if (!i.id) return { project: i.projectId };
    const [r] = await sql`SELECT FROM statement WHERE id = ${i.id} AND project_id = ${i.projectId}`;
    return r ? { project: i.projectId } : null;
  },
  async run({ sql, by, audit }, input): Promise<{ id: string }> {
    const id = input.id ?? newId();
    if (input.id) {
      const [old] = await sql<
        { version: number; text: string }[]
      >`SELECT version, text FROM statement WHERE id = ${input.id} FOR UPDATE`;
      checkVersion(found(old, "This statement"), input.version, { text: "Statement" }, input, old!);
      await sql`UPDATE statement SET text = ${input.text}, version = version + 1 WHERE id = ${id}`;
      audit({ type: "statement", id, label: input.text, before: { text: old!.text }, after: { text: input.text } });
    } else {
      await sql`
        INSERT INTO statement (id, project_id, text, created_by)
        VALUES (${id}, ${input.projectId}, ${input.text}, ${by})
      `;
      audit({ type: "statement", id, label: input.text, after: { notes: input.noteIds } });
    }
    if (input.noteIds.length)
      await sql`
        INSERT INTO statement_note (statement_id, note_id)
        SELECT ${id}, id
        FROM note
        WHERE id IN ${sql(input.noteIds)} AND project_id = ${input.projectId}
        ON CONFLICT DO NOTHING
      `;
    return { id };
  },
});

/** A person decides that statements say the same: one stands for all, with the notes of all. */
export const mergeStatements = command({
  name: "mergeStatements",
  act: statementActs.edit,
  schema: s.mergeStatements,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, audit }, input) {
    const from = input.from.filter((x) => x !== input.into);
    if (!from.length) refuse("Choose which statements are the same.");
    found(
      (
        await sql`
          SELECT FROM statement WHERE id = ${input.into} AND project_id = ${input.projectId} AND merged_into IS NULL
        `
      )[0],
      "The statement to keep",
    );
    const rows = await sql<{ id: row.Statement["id"]; text: row.Statement["text"] }[]>`
      UPDATE statement
      SET merged_into = ${input.into}, version = version + 1
      WHERE project_id = ${input.projectId} AND (id IN ${sql(from)} OR merged_into IN ${sql(from)})
      RETURNING id, text
    `;
    await sql`
      INSERT INTO statement_note (statement_id, note_id)
      SELECT ${input.into}, note_id
      FROM statement_note
      WHERE statement_id IN ${sql(from)}
      ON CONFLICT DO NOTHING
    `;
    audit({ type: "statement", id: input.into, label: `${rows.length} merged`, before: rows });
  },
});

export const unmergeStatement = command({
  name: "unmergeStatement",
  act: statementActs.edit,
  schema: fields.byId,
  subject: (sql, i) => ofStatement(sql, i.id),
  async run({ sql, audit }, input) {
    const [r] = await sql<
      { text: row.Statement["text"] }[]
    >`UPDATE statement SET merged_into = NULL, version = version + 1 WHERE id = ${input.id} RETURNING text`;
    audit({ type: "statement", id: input.id, label: r?.text, after: { merged: false } });
  },
});

/** A person decides that two statements are different: they are not offered as duplicates again. */
export const tellApart = command({
  name: "tellApart",
  act: statementActs.edit,
  schema: s.tellApart,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, by, audit }, input) {
    const [a, b] = [input.a, input.b].sort() as [string, string];
    const rows = await sql`
        INSERT INTO statement_apart (a, b, told_by)
        SELECT ${a}, ${b}, ${by}
        WHERE (SELECT count(*) FROM statement WHERE id IN (${a}, ${b}) AND project_id = ${input.projectId}) = 2
        ON CONFLICT DO NOTHING
        RETURNING a
      `;
    audit({ type: "statement", id: a, label: "told apart", after: { b, new: rows.length } });
  },
});

export const setStatementAside = command({
  name: "setStatementAside",
  act: statementActs.edit,
  schema: s.setAside,
  subject: (sql, i) => ofStatement(sql, i.id),
  async run({ sql, audit }, input) {
    const reason = input.aside ? input.reason : null;
    const [r] = await sql<{ text: row.Statement["text"] }[]>`
      UPDATE statement
      SET set_aside = ${reason}, version = version + 1
      WHERE id = ${input.id}
      RETURNING text
    `;
    audit({
      type: "statement",
      id: input.id,
      label: r?.text,
      after: { aside: reason },
      reason: reason ?? "",
    });
  },
});

/** Says which requirement a statement became: the trace from the client's words. */
export const linkStatement = command({
  name: "linkStatement",
  act: needsActs.edit,
  schema: s.linkStatement,
  subject: (sql, i) => ofStatement(sql, i.id),
  async run({ sql, audit }, input) {
    if (input.requirementId)
      found(
        (
          await sql`
            SELECT
            FROM requirement r
            JOIN statement s ON s.project_id = r.project_id
            WHERE r.id = ${input.requirementId} AND s.id = ${input.id}
          `
        )[0],
        "This requirement",
      );
    const [r] = await sql<{ text: row.Statement["text"] }[]>`
      UPDATE statement
      SET requirement_id = ${input.requirementId ?? null}, version = version + 1
      WHERE id = ${input.id}
      RETURNING text
    `;
    audit({ type: "statement", id: input.id, label: r?.text, after: { requirement: input.requirementId ?? null } });
  },
});

/**
 * Something that must be asked again: the question stands on the client's page, and its answer joins the statement's
 * notes.
 */
export const askClient = command({
  name: "askClient",
  act: needsActs.edit,
  schema: s.openQuestion,
  subject: (sql, i) => ofStatement(sql, i.statementId),
  async run({ sql, actor, by, audit }, input): Promise<{ id: string }> {
    const [st] = await sql<
      { projectId: row.Statement["projectId"] }[]
    >`SELECT project_id FROM statement WHERE id = ${input.statementId}`;
    const id = newId();
    await sql`
      INSERT INTO question (id, project_id, text, drafted_by, drafter_id, for_client, statement_id)
      VALUES (
        ${id}, ${st!.projectId}, ${input.text}, ${by}, ${actor.kind === "person" ? actor.id : null}, true,
        ${input.statementId}
      )
    `;
    audit({ type: "question", id, label: input.text, after: { forClient: true } });
    return { id };
  },
});
