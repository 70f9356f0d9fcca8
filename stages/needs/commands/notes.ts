import type * as row from "@/platform/db/rows";
import "server-only";
import { checkVersion, command, found, projectOf, refuse } from "@/platform/command/command";
import { newId, type Tx } from "@/platform/db/db";
import { needsActs, noteActs } from "../acts";
import * as s from "../schema";

const ofSource = (sql: Tx, id: string) => projectOf(sql, "source", id);

export const openSource = command({
  name: "openSource",
  act: noteActs.write,
  schema: s.source,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, by, audit }, input): Promise<{ id: string }> {
    const id = newId();
    await sql`INSERT INTO source ${sql({ id, ...input, createdBy: by })}`;
    audit({ type: "source", id, label: `${input.kind}: ${input.title}` });
    return { id };
  },
});

/** Corrects what a source is called, with whom it was, and when. */
export const editSource = command({
  name: "editSource",
  act: needsActs.edit,
  schema: s.editSource,
  subject: (sql, i) => ofSource(sql, i.id),
  async run({ sql, audit }, input) {
    const [x] = await sql<
      {
        version: row.Source["version"];
        title: row.Source["title"];
        who: row.Source["who"];
        heldOn: row.Source["heldOn"];
      }[]
    >`SELECT version, title, who, held_on FROM source WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(
      found(x, "This source"),
      input.version,
      { title: "Title", who: "With whom, or where", heldOn: "On" },
      input,
      x!,
    );
    await sql`
      UPDATE source
      SET title = ${input.title}, who = ${input.who}, held_on = ${input.heldOn}, version = version + 1
      WHERE id = ${input.id}
    `;
    audit({ type: "source", id: input.id, label: input.title, before: x, after: input });
  },
});

export const closeSource = command({
  name: "closeSource",
  act: needsActs.edit,
  schema: s.sourceState,
  subject: (sql, i) => ofSource(sql, i.id),
  async run({ sql, audit }, input) {
    const [r] = await sql<{ title: row.Source["title"] }[]>`
      UPDATE source
      SET closed_at = CASE WHEN ${input.closed} THEN app_now() END, version = version + 1
      WHERE id = ${input.id}
      RETURNING title
    `;
    audit({ type: "source", id: input.id, label: r?.title, after: { closed: input.closed } });
  },
});

/**
 * A note of an interview, observation or research. Its id is made where it is typed: sent again it is the same note,
 * and one written without network arrives later.
 * A late note is taken although the session has been closed meanwhile, when it was written before.
 */
export const writeNote = command({
  name: "writeNote",
  together: true,
  act: noteActs.write,
  schema: s.note,
  subject: (sql, i) => ofSource(sql, i.sourceId),
  async run({ sql, actor, by, audit }, input): Promise<{ id: string }> {
    const [source] = await sql<
      { projectId: row.Source["projectId"]; closedAt: row.Source["closedAt"]; title: row.Source["title"] }[]
    >`SELECT project_id, closed_at, title FROM source WHERE id = ${input.sourceId}`;
    const [here] = await sql<
      { authorId: row.Note["authorId"]; text: row.Note["text"] }[]
    >`SELECT author_id, text FROM note WHERE id = ${input.id}`;
    const me = actor.kind === "person" ? actor.id : null;
    if (here && (here.authorId !== me || here.text !== input.text))
      refuse("This note was saved already with another text. Correct it there.");
    const at =
      input.writtenAt &&
      !Number.isNaN(Date.parse(input.writtenAt)) &&
      Date.parse(input.writtenAt) <= Date.now() + 60_000
        ? new Date(input.writtenAt).toISOString()
        : null;
    if (!here && source!.closedAt && (at === null || at > source!.closedAt))
      refuse("This session is closed. Ask the instructor to open it again; your note stays here.");
    if (input.questionId)
      found(
        (await sql`SELECT FROM question WHERE id = ${input.questionId} AND project_id = ${source!.projectId}`)[0],
        "This question",
      );
    if (!here)
      await sql`
        INSERT INTO note (id, project_id, source_id, question_id, text, author_id, author, written_at)
        VALUES (
          ${input.id}, ${source!.projectId}, ${input.sourceId}, ${input.questionId ?? null}, ${input.text}, ${me},
          ${by}, coalesce(${at}::timestamptz, app_now())
        )
      `;
    audit({ type: "note", id: input.id, label: source!.title, after: here ? { again: true } : { text: input.text } });
    return { id: input.id };
  },
});

export const amendNote = command({
  name: "amendNote",
  act: noteActs.amend,
  schema: s.amendNote,
  async subject(sql, i) {
    const [n] = await sql<
      { projectId: row.Note["projectId"]; authorId: row.Note["authorId"] }[]
    >`SELECT project_id, author_id FROM note WHERE id = ${i.id}`;
    return n ? { project: n.projectId, person: n.authorId ?? "" } : null;
  },
  async run({ sql, audit }, input) {
    const [n] = await sql<
      { version: number; text: string }[]
    >`SELECT version, text FROM note WHERE id = ${input.id} FOR UPDATE`;
    checkVersion(found(n, "This note"), input.version, { text: "Note" }, input, n!);
    await sql`UPDATE note SET text = ${input.text}, version = version + 1 WHERE id = ${input.id}`;
    audit({ type: "note", id: input.id, before: { text: n!.text }, after: { text: input.text } });
  },
});
