import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";

export interface Source {
  id: row.Source["id"];
  kind: row.Source["kind"];
  title: row.Source["title"];
  who: row.Source["who"];
  heldOn: row.Source["heldOn"];
  closedAt: row.Source["closedAt"];
  notes: number;
  createdBy: row.Source["createdBy"];
  version: row.Source["version"];
}

export interface Note {
  id: row.Note["id"];
  sourceId: row.Note["sourceId"];
  source: row.Source["title"];
  questionId: row.Note["questionId"];
  text: row.Note["text"];
  author: row.Note["author"];
  authorId: row.Note["authorId"];
  writtenAt: row.Note["writtenAt"];
  version: row.Note["version"];
  used: number /** Codes of the requirements that its words led to. */;
  became: string[];
}

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
