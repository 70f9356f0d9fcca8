import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";

/** The extensions of one student. */
export const extensionsOf = (projectId: string, personId: string) => db()<
  Pick<row.Extension, "component" | "sessions" | "reason" | "version">[]
>`
  SELECT component, sessions, reason, version
  FROM extension
  WHERE project_id = ${projectId} AND person_id = ${personId}
`;
