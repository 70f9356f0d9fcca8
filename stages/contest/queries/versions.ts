import "server-only";
import { db } from "@/platform/db/db";
import type { ResultNote } from "../view/versions";

/** When an event's result was confirmed as what, and reopened why, in order. */
export const resultNotes = (projectId: string, eventId: string) => db()<ResultNote[]>`
  SELECT at, actor_name AS by, act, after AS result, reason
  FROM audit
  WHERE project_id = ${projectId} AND act IN ('confirmEvent', 'reopenEvent') AND subject_id = ${eventId}
  ORDER BY at, id
`;
