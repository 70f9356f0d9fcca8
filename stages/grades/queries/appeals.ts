import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";

export interface Appeal {
  id: row.Appeal["id"];
  /** Number of the version that it is about. */
  number: row.Publication["number"];
  /** Empty for the grade as a whole. */
  component: row.Appeal["component"];
  words: row.Appeal["words"];
  filedAt: row.Appeal["filedAt"];
  outcome: row.Appeal["outcome"];
  answer: row.Appeal["answer"];
  answeredBy: row.Appeal["answeredBy"];
  answeredAt: row.Appeal["answeredAt"];
  version: row.Appeal["version"];
}

/** What a student asked about the own grade, the newest first. */
export const appealsOf = (projectId: string, personId: string) => db()<Appeal[]>`
  SELECT
    a.id, b.number, a.component, a.words, a.filed_at, a.outcome, a.answer, a.answered_by,
    a.answered_at, a.version
  FROM appeal a
  JOIN publication b ON b.id = a.publication_id
  WHERE a.project_id = ${projectId} AND a.person_id = ${personId}
  ORDER BY a.filed_at DESC, a.id
`;
