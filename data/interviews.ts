import "server-only";
import { clashingStatements, missingMeasure } from "@/core/needs/conflicts";
import { vagueWordsIn } from "@/core/needs/requirement";
import { groupAlike } from "@/core/needs/similarity";
import { checkVersion, command, found, projectOf, refuse } from "./command";
import { db, newId, type Tx } from "./db";
import * as s from "./schemas/front";

export interface Question {
  id: string;
  text: string;
  draftedBy: string;
  drafterId: string | null;
  askerId: string | null;
  asker: string | null;
  mergedInto: string | null;
  place: number | null;
  forClient: boolean;
  dropped: boolean;
  answers: number;
  createdAt: string;
  version: number;
}
export interface Source {
  id: string;
  kind: "interview" | "observation" | "product" | "answer";
  title: string;
  who: string;
  heldOn: string;
  closedAt: string | null;
  notes: number;
  createdBy: string;
  version: number;
}
export interface Note {
  id: string;
  sourceId: string;
  source: string;
  questionId: string | null;
  text: string;
  author: string;
  authorId: string | null;
  writtenAt: string;
  version: number;
  used: number /** Codes of the requirements that its words led to. */;
  became: string[];
}

/** The question bank: ordered ones first, merged and dropped ones last. */
export const questionsOf = (projectId: string) => db()<Question[]>`
  SELECT
    q.id, q.text, q.drafted_by, q.drafter_id, q.asker_id, p.name AS asker, q.merged_into, q.place, q.for_client,
    q.dropped, q.created_at, q.version, (SELECT count(*)::int FROM note n WHERE n.question_id = q.id) AS answers
  FROM question q
  LEFT JOIN person p ON p.id = q.asker_id
  WHERE q.project_id = ${projectId}
  ORDER BY q.dropped, q.merged_into IS NOT NULL, q.place NULLS LAST, q.created_at, q.id
`;
export const sourcesOf = (projectId: string) => db()<Source[]>`
  SELECT
    s.id, s.kind, s.title, s.who, s.held_on, s.closed_at, s.created_by, s.version,
    (SELECT count(*)::int FROM note n WHERE n.source_id = s.id) AS notes
  FROM source s
  WHERE project_id = ${projectId}
  ORDER BY s.held_on DESC, s.id DESC
`;
export const notesOf = (projectId: string, sourceId: string | null = null) => db()<Note[]>`
  SELECT
    n.id, n.source_id, s.title AS source, n.question_id, n.text, n.author, n.author_id, n.written_at, n.version,
    (SELECT count(*)::int FROM statement_note x WHERE x.note_id = n.id) AS used,
    (
      SELECT coalesce(array_agg(DISTINCT r.code ORDER BY r.code), '{}')
      FROM statement_note x
      JOIN statement t ON t.id = x.statement_id
      JOIN requirement r ON r.id = t.requirement_id
      WHERE x.note_id = n.id
    ) AS became
  FROM note n
  JOIN source s ON s.id = n.source_id
  WHERE n.project_id = ${projectId} AND (${sourceId}::uuid IS NULL OR n.source_id = ${sourceId})
  ORDER BY s.held_on, n.written_at, n.id
`;

const ofQuestion = (sql: Tx, id: string) => projectOf(sql, "question", id);
const ofSource = (sql: Tx, id: string) => projectOf(sql, "source", id);
const ofStatement = (sql: Tx, id: string) => projectOf(sql, "statement", id);

export const draftQuestion = command({
  name: "draftQuestion",
  act: "question.draft",
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
  act: "needs.edit",
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
  act: "question.draft",
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
  act: "question.draft",
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
  act: "needs.edit",
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

// Sources and notes --------------------------------------------------------------------------------------------------

export const openSource = command({
  name: "openSource",
  act: "note.write",
  schema: s.source,
  subject: (_, i) => ({ project: i.projectId }),
  async run({ sql, by, audit }, input): Promise<{ id: string }> {
    const id = newId();
    await sql`INSERT INTO source ${sql({ id, ...input, createdBy: by })}`;
    audit({ type: "source", id, label: `${input.kind}: ${input.title}` });
    return { id };
  },
});

export const closeSource = command({
  name: "closeSource",
  act: "needs.edit",
  schema: s.sourceState,
  subject: (sql, i) => ofSource(sql, i.id),
  async run({ sql, audit }, input) {
    const [r] = await sql<{ title: string }[]>`
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
  act: "note.write",
  schema: s.note,
  subject: (sql, i) => ofSource(sql, i.sourceId),
  async run({ sql, actor, by, audit }, input): Promise<{ id: string }> {
    const [source] = await sql<
      { projectId: string; closedAt: string | null; title: string }[]
    >`SELECT project_id, closed_at, title FROM source WHERE id = ${input.sourceId}`;
    const [here] = await sql<
      { authorId: string | null; text: string }[]
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
  act: "note.amend",
  schema: s.amendNote,
  async subject(sql, i) {
    const [n] = await sql<
      { projectId: string; authorId: string | null }[]
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

/**
 * The client answers an open question on their page: the answer becomes a source with one note, and the question is
 * open no more.
 */
export const answerQuestion = command({
  name: "answerQuestion",
  act: "question.answer",
  schema: s.answer,
  subject: (sql, i) => ofQuestion(sql, i.questionId),
  async run({ sql, by, today, audit }, input) {
    const [q] = await sql<
      { projectId: string; text: string; forClient: boolean; statementId: string | null }[]
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

// Statements ---------------------------------------------------------------------------------------------------------

export interface Statement {
  id: string;
  text: string;
  mergedInto: string | null;
  requirementId: string | null;
  requirement: string | null;
  setAside: string | null;
  createdBy: string;
  createdAt: string;
  version: number;
  notes: { id: string; text: string; author: string; source: string; sourceId: string }[];
  asked: boolean;
}

export const statementsOf = (projectId: string) => db()<Statement[]>`
  SELECT
    s.id, s.text, s.merged_into, s.requirement_id, r.code AS requirement, s.set_aside, s.created_by, s.created_at,
    s.version, EXISTS (SELECT FROM question q WHERE q.statement_id = s.id AND q.for_client) AS asked,
    (
      SELECT coalesce(
        json_agg(
          json_build_object('id', n.id, 'text', n.text, 'author', n.author, 'source', o.title, 'sourceId', o.id)
          ORDER BY n.written_at
        ),
        '[]'
      )
      FROM statement_note x
      JOIN note n ON n.id = x.note_id
      JOIN source o ON o.id = n.source_id
      WHERE x.statement_id = s.id
    ) AS notes
  FROM statement s
  LEFT JOIN requirement r ON r.id = s.requirement_id
  WHERE s.project_id = ${projectId}
  ORDER BY s.created_at, s.id
`;

export interface Looked {
  groups: { members: Statement[]; score: number; shared: string[] }[];
  clashes: { a: Statement; b: Statement; why: string }[];
  vague: Map<string, string[]>;
  unmeasured: Map<string, string>;
}

/**
 * What a careful reader would point at in the statements that are still in hand: likely duplicates, conflicting
 * numbers, vague words, missing measures.
 */
export async function lookOver(projectId: string, all: readonly Statement[]): Promise<Looked> {
  const list = all.filter((x) => !x.mergedInto && x.setAside === null);
  const at = new Map(list.map((x, i) => [x.id, i]));
  const told = await db()<
    { a: string; b: string }[]
  >`SELECT x.a, x.b FROM statement_apart x JOIN statement s ON s.id = x.a WHERE s.project_id = ${projectId}`;
  const apart = new Set(
    told.flatMap(({ a, b }) => {
      const [i, j] = [at.get(a), at.get(b)];
      return i === undefined || j === undefined ? [] : [`${Math.min(i, j)}/${Math.max(i, j)}`];
    }),
  );
  const texts = list.map((x) => x.text);
  return {
    groups: groupAlike(texts, { apart }).map((g) => ({
      members: g.members.map((i) => list[i]!),
      score: Math.max(...g.pairs.map((p) => p.score)),
      shared: [...new Set(g.pairs.flatMap((p) => p.shared))],
    })),
    clashes: clashingStatements(texts).map((c) => ({ a: list[c.a]!, b: list[c.b]!, why: c.why })),
    vague: new Map(
      list.flatMap((x) => {
        const v = vagueWordsIn(x.text);
        return v.length ? [[x.id, v] as const] : [];
      }),
    ),
    unmeasured: new Map(
      list.flatMap((x) => {
        const m = x.requirementId ? null : missingMeasure(x.text);
        return m ? [[x.id, m] as const] : [];
      }),
    ),
  };
}

export const saveStatement = command({
  name: "saveStatement",
  act: "statement.edit",
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
  act: "statement.edit",
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
    const rows = await sql<{ id: string; text: string }[]>`
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
  act: "statement.edit",
  schema: s.byId,
  subject: (sql, i) => ofStatement(sql, i.id),
  async run({ sql, audit }, input) {
    const [r] = await sql<
      { text: string }[]
    >`UPDATE statement SET merged_into = NULL, version = version + 1 WHERE id = ${input.id} RETURNING text`;
    audit({ type: "statement", id: input.id, label: r?.text, after: { merged: false } });
  },
});

/** A person decides that two statements are different: they are not offered as duplicates again. */
export const tellApart = command({
  name: "tellApart",
  act: "statement.edit",
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
  act: "statement.edit",
  schema: s.setAside,
  subject: (sql, i) => ofStatement(sql, i.id),
  async run({ sql, audit }, input) {
    const [r] = await sql<{ text: string }[]>`
      UPDATE statement
      SET set_aside = ${input.reason || null}, version = version + 1
      WHERE id = ${input.id}
      RETURNING text
    `;
    audit({
      type: "statement",
      id: input.id,
      label: r?.text,
      after: { aside: input.reason || null },
      reason: input.reason,
    });
  },
});

/** Says which requirement a statement became: the trace from the client's words. */
export const linkStatement = command({
  name: "linkStatement",
  act: "needs.edit",
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
    const [r] = await sql<{ text: string }[]>`
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
  act: "needs.edit",
  schema: s.openQuestion,
  subject: (sql, i) => ofStatement(sql, i.statementId),
  async run({ sql, actor, by, audit }, input): Promise<{ id: string }> {
    const [st] = await sql<{ projectId: string }[]>`SELECT project_id FROM statement WHERE id = ${input.statementId}`;
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

/** What the client's page asks, oldest first, and what has been answered there. */
export const clientQuestions = (projectId: string) => db()<
  { id: string; text: string; forClient: boolean; answer: string | null; by: string | null }[]
>`
  SELECT q.id, q.text, q.for_client, n.text AS answer, n.author AS by
  FROM question q
  LEFT JOIN LATERAL (
    SELECT n.text, n.author
    FROM note n
    JOIN source s ON s.id = n.source_id
    WHERE n.question_id = q.id AND s.kind = 'answer'
    ORDER BY n.written_at DESC
    LIMIT 1
  ) n ON true
  WHERE q.project_id = ${projectId} AND (q.for_client OR n.text IS NOT NULL) AND NOT q.dropped
  ORDER BY q.for_client DESC, q.created_at
`;
