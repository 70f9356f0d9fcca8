import "server-only";
import { db, type Tx } from "@/platform/db/db";
import type { ResultNote } from "../view/versions";

/** An audit row that is no rehearsal's: what was recorded in one is wiped. */
export const sinceRehearsal = (sql: Tx, projectId: string) => sql`
  at > coalesce(
    (SELECT max(w.at) FROM audit w WHERE w.project_id = ${projectId} AND w.act = 'wipeRehearsal'), '-infinity'
  )
`;

/** When an event's result was confirmed as what, and reopened why, in order. */
export const resultNotes = (projectId: string, eventId: string) => db()<ResultNote[]>`
  SELECT at, actor_name AS by, act, after AS result, reason
  FROM audit
  WHERE project_id = ${projectId} AND act IN ('confirmEvent', 'reopenEvent') AND subject_id = ${eventId}
    AND ${sinceRehearsal(db(), projectId)}
  ORDER BY at, id
`;
