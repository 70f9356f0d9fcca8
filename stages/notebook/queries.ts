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

/** How many entries a page shows. */
export const onPage = 40;

/**
 * A page of notebook entries, the newest first: of one person, or of one section's students, or of all. One more than
 * is shown where there is another page.
 */
export const entriesOf = (
  projectId: string,
  of: { personId?: string | null; sectionId?: string | null; page?: number } = {},
) => db()<Entry[]>`
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
  WHERE e.project_id = ${projectId} AND (${of.personId ?? null}::uuid IS NULL OR e.person_id = ${of.personId ?? null})
    AND (
      ${of.sectionId ?? null}::uuid IS NULL
      OR EXISTS (SELECT FROM enrolment n WHERE n.person_id = e.person_id AND n.section_id = ${of.sectionId ?? null}
        AND n.to_on IS NULL)
    )
  ORDER BY e.on_date DESC, e.created_at DESC, e.id
  LIMIT ${onPage + 1}
  OFFSET ${Math.max(0, (of.page ?? 1) - 1) * onPage}
`;

/** How many entries each person of a project has written, and the day of the last one. */
export const notebooksOf = (projectId: string) => db()<
  { personId: row.NotebookEntry["personId"]; entries: number; last: string }[]
>`
  SELECT person_id, count(*)::int AS entries, max(on_date)::text AS last
  FROM notebook_entry
  WHERE project_id = ${projectId}
  GROUP BY person_id
`;
