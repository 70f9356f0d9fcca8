import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";

/** A wish in the client's words: the statement, what was noted of it, and the requirement that it became. */
export interface Wish {
  statement: row.Statement["text"];
  requirementId: NonNullable<row.Statement["requirementId"]>;
  words: { text: string; source: string }[];
}

/** The wishes of a project that became requirements, in the order in which they were merged from the notes. */
export const wishesOf = (projectId: string) => db()<Wish[]>`
  SELECT
    s.text AS statement, s.requirement_id,
    (
      SELECT coalesce(json_agg(json_build_object('text', n.text, 'source', o.title) ORDER BY n.written_at), '[]')
      FROM statement_note x
      JOIN note n ON n.id = x.note_id
      JOIN source o ON o.id = n.source_id
      WHERE x.statement_id = s.id
    ) AS words
  FROM statement s
  WHERE s.project_id = ${projectId} AND s.requirement_id IS NOT NULL AND s.merged_into IS NULL
  ORDER BY s.created_at, s.id
`;
