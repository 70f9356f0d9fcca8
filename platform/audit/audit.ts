import "server-only";
import { db } from "@/platform/db/db";

export interface AuditRow {
  id: string;
  at: string;
  actorName: string;
  actorKind: string;
  act: string;
  subjectType: string;
  label: string;
  before: unknown;
  after: unknown;
  reason: string | null;
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
      AND (actor_name || ' ' || act || ' ' || subject_type || ' ' || label) ILIKE ${like}
    ORDER BY id DESC
    LIMIT ${limit}
  `;
}
