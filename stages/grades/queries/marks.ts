import "server-only";
import { db } from "@/platform/db/db";
import type * as row from "@/platform/db/rows";

/** The marks of one student that were entered by hand. */
export const marksOf = (projectId: string, personId: string) => db()<
  Pick<row.EnteredMark, "component" | "version" | "kind" | "share" | "reason" | "typed">[]
>`
  SELECT component, version, kind, share, reason, typed
  FROM entered_mark
  WHERE project_id = ${projectId} AND person_id = ${personId}
`;
