import type * as row from "@/platform/db/rows";
import "server-only";
import { db, type Tx } from "@/platform/db/db";
import type { PictureMark } from "@/platform/files/schema";

export interface Entry {
  id: row.NotebookEntry["id"];
  personId: row.NotebookEntry["personId"];
  person: row.Person["name"];
  onDate: row.NotebookEntry["onDate"];
  createdAt: row.NotebookEntry["createdAt"];
  version: row.NotebookEntry["version"];
  /** The version that the reader has read; 0 where none. */
  seen: number;
  remarks: { id: string; text: string; madeBy: string; madeAt: string; version: number }[];
  pictures: { id: string; caption: string; marks: PictureMark[] }[];
  versions: { number: number; text: string; reason: string; writtenAt: string }[];
  /** To whom it was shown, and who has signed which version of it. */
  signs: { id: string; partner: string; partnerId: string; number: number | null; signedAt: string | null }[];
}

/** What a command on an entry acts on: its student's notebook; null when there is no such entry. */
export async function ofEntry(sql: Tx, id: string): Promise<{ project: string; person: string } | null> {
  const [e] = await sql<Pick<row.NotebookEntry, "projectId" | "personId">[]>`
    SELECT project_id, person_id FROM notebook_entry WHERE id = ${id}
  `;
  return e ? { project: e.projectId, person: e.personId } : null;
}

/** Whether an entry `e` has a version that the reading `s` does not know: each amendment counts its version on. */
const unreadBy = () => db()`coalesce(s.number, 0) < e.version`;

/** How many entries a page shows. */
export const onPage = 40;

/**
 * A page of notebook entries, the newest first: of one person, or of one section's students, or of all. One more than
 * is shown where there is another page.
 */
export const entriesOf = (
  projectId: string,
  of: {
    personId?: string | null;
    sectionId?: string | null;
    page?: number;
    /** Who reads, and whether only what that one has not read yet, the oldest first. */
    reader?: string;
    unread?: boolean;
    /** All of them, the oldest first. */
    whole?: boolean;
  } = {},
) => db()<Entry[]>`
  SELECT
    e.id, e.person_id, p.name AS person, e.on_date, e.created_at, e.version, coalesce(s.number, 0) AS seen,
    (
      SELECT coalesce(
        json_agg(
          json_build_object('id', r.id, 'text', r.text, 'madeBy', r.made_by, 'madeAt', r.made_at, 'version', r.version)
          ORDER BY r.made_at
        ),
        '[]'
      )
      FROM notebook_remark r
      WHERE r.entry_id = e.id
    ) AS remarks,
    (
      SELECT coalesce(
        json_agg(json_build_object('id', f.id, 'caption', f.caption, 'marks', f.marks) ORDER BY f.added_at, f.id), '[]'
      )
      FROM file_use f
      WHERE f.entry_id = e.id
    ) AS pictures,
    (
      SELECT json_agg(
        json_build_object('number', v.number, 'text', v.text, 'reason', v.reason, 'writtenAt', v.written_at)
        ORDER BY v.number
      )
      FROM notebook_version v
      WHERE v.entry_id = e.id
    ) AS versions,
    (
      SELECT coalesce(
        json_agg(
          json_build_object(
            'id', c.id, 'partner', n.name, 'partnerId', c.partner_id, 'number', c.number, 'signedAt', c.signed_at
          )
          ORDER BY c.asked_at
        ),
        '[]'
      )
      FROM notebook_countersign c
      JOIN person n ON n.id = c.partner_id
      WHERE c.entry_id = e.id
    ) AS signs
  FROM notebook_entry e
  JOIN person p ON p.id = e.person_id
  LEFT JOIN notebook_seen s ON s.entry_id = e.id AND s.person_id = ${of.reader ?? null}
  WHERE e.project_id = ${projectId} AND (${of.personId ?? null}::uuid IS NULL OR e.person_id = ${of.personId ?? null})
    AND (
      ${of.sectionId ?? null}::uuid IS NULL
      OR EXISTS (SELECT FROM enrolment n WHERE n.person_id = e.person_id AND n.section_id = ${of.sectionId ?? null}
        AND n.to_on IS NULL)
    )
    AND (NOT ${of.unread === true} OR ${unreadBy()})
  ORDER BY
    CASE WHEN ${of.unread === true || of.whole === true} THEN e.on_date END,
    CASE WHEN ${of.unread === true || of.whole === true} THEN e.created_at END,
    e.on_date DESC, e.created_at DESC, e.id
  LIMIT ${of.whole ? null : onPage + 1}::bigint
  OFFSET ${Math.max(0, (of.page ?? 1) - 1) * onPage}
`;

/**
 * How many entries each person of a project has written, the day of the last one, and how many of them a reader has
 * not read as they stand now.
 */
export const notebooksOf = (projectId: string, reader: string | null = null) => db()<
  { personId: row.NotebookEntry["personId"]; entries: number; last: string; unread: number }[]
>`
  SELECT
    e.person_id, count(*)::int AS entries, max(e.on_date)::text AS last,
    (count(*) FILTER (WHERE ${unreadBy()}))::int AS unread
  FROM notebook_entry e
  LEFT JOIN notebook_seen s ON s.entry_id = e.id AND s.person_id = ${reader}
  WHERE e.project_id = ${projectId}
  GROUP BY e.person_id
`;

/** Builds of each student's team by their numbers: what an entry names is found by it. */
export async function buildsByStudent(
  projectId: string,
  personId: string | null,
): Promise<ReadonlyMap<string, ReadonlyMap<number, string>>> {
  const rows = await db()<{ personId: row.Person["id"]; builds: Record<string, string> }[]>`
    SELECT m.person_id, json_object_agg(b.number, b.id) AS builds
    FROM membership m
    JOIN build b ON b.team_id = m.team_id
    WHERE m.project_id = ${projectId} AND m.to_on IS NULL AND (${personId}::uuid IS NULL OR m.person_id = ${personId})
    GROUP BY m.person_id
  `;
  return new Map(
    rows.map((r) => [r.personId as string, new Map(Object.entries(r.builds).map(([n, id]) => [Number(n), id]))]),
  );
}
