import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";

export interface Entry {
  id: row.NotebookEntry["id"];
  personId: row.NotebookEntry["personId"];
  person: row.Person["name"];
  onDate: row.NotebookEntry["onDate"];
  createdAt: row.NotebookEntry["createdAt"];
  version: row.NotebookEntry["version"];
  versions: { number: number; text: string; reason: string; writtenAt: string }[];
}

/** Notebook entries, the newest first; of one person where given. */
export const entriesOf = (projectId: string, personId: string | null) => db()<Entry[]>`
  SELECT
    e.id, e.person_id, p.name AS person, e.on_date, e.created_at, e.version,
    (
      SELECT json_agg(
        json_build_object('number', v.number, 'text', v.text, 'reason', v.reason, 'writtenAt', v.written_at)
        ORDER BY v.number
      )
      FROM notebook_version v
      WHERE v.entry_id = e.id
    ) AS versions
  FROM notebook_entry e
  JOIN person p ON p.id = e.person_id
  WHERE e.project_id = ${projectId} AND (${personId}::uuid IS NULL OR e.person_id = ${personId})
  ORDER BY e.on_date DESC, e.created_at DESC
`;
