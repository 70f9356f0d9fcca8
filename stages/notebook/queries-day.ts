import "server-only";
import { db } from "@/platform/db/db";
import type * as row from "@/platform/db/rows";

/** What the record holds of a student's team on the day of an entry. */
export interface DayRecord {
  readonly entryId: row.NotebookEntry["id"];
  readonly builds: readonly { readonly id: string; readonly number: number }[];
  /** Runs on the bench by build. */
  readonly runs: readonly { readonly id: string; readonly number: number; readonly n: number }[];
  readonly reviews: readonly {
    readonly id: string;
    readonly title: string;
    readonly decisions: readonly string[];
  }[];
}

/** What the writers' teams recorded on the days of these entries: builds, runs, reviews with decisions. */
export const daysOf = async (entryIds: readonly string[]): Promise<ReadonlyMap<string, DayRecord>> => {
  if (!entryIds.length) return new Map();
  const rows = await db()<DayRecord[]>`
    SELECT
      e.id AS entry_id,
      (
        SELECT coalesce(json_agg(json_build_object('id', b.id, 'number', b.number) ORDER BY b.number), '[]')
        FROM build b
        WHERE b.team_id = m.team_id AND b.built_on = e.on_date
      ) AS builds,
      (
        SELECT coalesce(json_agg(json_build_object('id', x.id, 'number', x.number, 'n', x.n) ORDER BY x.number), '[]')
        FROM (
          SELECT b.id, b.number, count(*)::int AS n
          FROM run r
          JOIN build b ON b.id = r.build_id
          WHERE b.team_id = m.team_id AND r.recorded_at::date = e.on_date AND r.place = 'bench' AND r.state <> 'void'
          GROUP BY b.id
        ) x
      ) AS runs,
      (
        SELECT coalesce(
          json_agg(
            json_build_object(
              'id', r.id, 'title', r.title,
              'decisions', ARRAY(SELECT a.what FROM action_item a WHERE a.review_id = r.id ORDER BY a.due_on, a.what)
            )
            ORDER BY r.title
          ),
          '[]'
        )
        FROM review r
        WHERE r.team_id = m.team_id AND r.held_on = e.on_date
      ) AS reviews
    FROM notebook_entry e
    JOIN membership m ON m.person_id = e.person_id AND m.project_id = e.project_id AND m.to_on IS NULL
    WHERE e.id IN ${db()(entryIds)}
  `;
  return new Map(rows.map((r) => [r.entryId as string, r]));
};

/** An entry that was shown to a student, as it stands now. */
export interface Shown {
  readonly id: row.NotebookCountersign["id"];
  readonly writer: row.Person["name"];
  readonly onDate: row.NotebookEntry["onDate"];
  readonly text: row.NotebookVersion["text"];
  readonly version: row.NotebookEntry["version"];
  readonly number: row.NotebookCountersign["number"];
  readonly pictures: number;
}

/** The entries that were shown to a student and are not signed as they stand now, the oldest first. */
export const shownTo = (projectId: string, personId: string) => db()<Shown[]>`
  SELECT
    c.id, p.name AS writer, e.on_date, v.text, e.version, c.number,
    (SELECT count(*)::int FROM file_use WHERE entry_id = e.id) AS pictures
  FROM notebook_countersign c
  JOIN notebook_entry e ON e.id = c.entry_id
  JOIN person p ON p.id = e.person_id
  JOIN notebook_version v ON v.entry_id = e.id AND v.number = e.version
  WHERE e.project_id = ${projectId} AND c.partner_id = ${personId} AND coalesce(c.number, 0) < e.version
  ORDER BY e.on_date, c.asked_at
`;
