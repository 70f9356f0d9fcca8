import type * as row from "../db/rows";
import "server-only";
import { db } from "@/platform/db/db";

export interface AuditRow {
  id: row.Audit["id"];
  at: row.Audit["at"];
  actorName: row.Audit["actorName"];
  actorKind: row.Audit["actorKind"];
  act: row.Audit["act"];
  subjectType: row.Audit["subjectType"];
  label: row.Audit["label"];
  before: unknown;
  after: unknown;
  reason: row.Audit["reason"];
}

/** The audit of a project, newest first, a page at a time; narrowed by words in who, what or label. */
export async function auditOf(
  projectId: string,
  { words = "", before = null as string | null, limit = 60 } = {},
): Promise<AuditRow[]> {
  const like = `%${words.replace(/[%_\\]/g, "\\$&")}%`;
  return db()<AuditRow[]>`
    SELECT id, at, actor_name, actor_kind, act, subject_type, label, before, after, reason
    FROM audit
    WHERE project_id = ${projectId} ${before ? db()`AND id < ${before}` : db()``}
      AND plain(actor_name || ' ' || act || ' ' || subject_type || ' ' || label) LIKE plain(${like})
    ORDER BY id DESC
    LIMIT ${limit}
  `;
}
