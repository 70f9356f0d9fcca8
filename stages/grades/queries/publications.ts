import type * as row from "@/platform/db/rows";
import "server-only";
import type { Working } from "@/core/working/working";
import { db, type Tx } from "@/platform/db/db";

/** A part of the scheme as it was published for one student. */
export interface LedgerPart {
  key: string;
  name: string;
  weight: string;
  state: string;
  percent: string | null;
  /** How deep in groups it lies, and whether it is one; versions of earlier days have components only. */
  depth?: number;
  group?: boolean;
  /** Left out as one of the lowest of its group. */
  dropped?: boolean;
  /** What was computed where it was set by hand. */
  computed?: string | null;
  /** Why it was set by hand, excused or counted as missing. */
  reason?: string;
  working?: Working;
  /** What reviewers said, and what would have earned more. */
  comments?: readonly string[];
  next?: readonly string[];
}

/** What was known of a component when it was published: a grade can be computed again from it. */
export interface LedgerFact {
  key: string;
  state: string;
  share: string | null;
  late: number;
  override: string | null;
}

export interface LedgerLine {
  personId: string;
  name: string;
  section: string;
  team: string | null;
  grade: string | null;
  letter?: string | null;
  components: LedgerPart[];
  facts?: LedgerFact[];
  /** The peer factor before its caps, and among whom it was rated. */
  peers?: { round: string; factor: string | null; members: string[] } | null;
  working: unknown;
}

export interface Publication {
  id: row.Publication["id"];
  number: row.Publication["number"];
  schemeVersion: row.Publication["schemeVersion"];
  ledger: LedgerLine[];
  whatChanged: row.Publication["whatChanged"];
  publishedBy: row.Publication["publishedBy"];
  publishedAt: row.Publication["publishedAt"];
  withdrawnAt: row.Publication["withdrawnAt"];
  withdrawnBy: row.Publication["withdrawnBy"];
  withdrawnReason: row.Publication["withdrawnReason"];
  version: row.Publication["version"];
}

/** What was published, the newest first, withdrawn versions too. */
export const publicationsOf = (projectId: string, sql: Tx = db()) =>
  sql<Publication[]>`
    SELECT
      id, number, scheme_version, ledger, what_changed, published_by, published_at, withdrawn_at, withdrawn_by,
      withdrawn_reason, version
    FROM publication
    WHERE project_id = ${projectId}
    ORDER BY number DESC
  `;

/** A publication with each student's grade and section alone. */
export type PublishedLines = Omit<Publication, "ledger"> & {
  ledger: Pick<LedgerLine, "personId" | "grade" | "section">[];
};

/** What was published, the newest first, withdrawn versions too; without the arithmetic. */
export const publishedLines = (projectId: string, sql: Tx = db()) =>
  sql<PublishedLines[]>`
    SELECT
      id, number, scheme_version, what_changed, published_by, published_at, withdrawn_at, withdrawn_by,
      withdrawn_reason, version,
      (
        SELECT coalesce(
          jsonb_agg(
            jsonb_build_object('personId', l->'personId', 'grade', l->'grade', 'section', l->'section')
          ),
          '[]'
        )
        FROM jsonb_array_elements(ledger) l
      ) AS ledger
    FROM publication
    WHERE project_id = ${projectId}
    ORDER BY number DESC
  `;

/** Whether students of a project read grades. */
export const isPublished = async (projectId: string, sql: Tx = db()): Promise<boolean> =>
  (await sql`SELECT FROM publication WHERE project_id = ${projectId} AND withdrawn_at IS NULL LIMIT 1`).length > 0;

/** The same with one student's line alone, and only what holds one. */
export const publishedTo = (projectId: string, personId: string) =>
  db()<(Omit<Publication, "ledger"> & { line: LedgerLine })[]>`
    SELECT *
    FROM (
      SELECT
        id, number, scheme_version, what_changed, published_by, published_at, withdrawn_at, withdrawn_by,
        withdrawn_reason, version,
        jsonb_path_query_first(
          ledger, '$[*] ? (@.personId == $id)', jsonb_build_object('id', ${personId}::text)
        ) AS line
      FROM publication
      WHERE project_id = ${projectId}
    ) p
    WHERE line IS NOT NULL
    ORDER BY number DESC
  `;
