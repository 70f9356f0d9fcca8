import type * as row from "@/platform/db/rows";
import "server-only";
import type { SchemeDefinition } from "@/core/grades/scheme";
import { db, type Tx } from "@/platform/db/db";

export interface SchemeVersion {
  number: row.SchemeVersion["number"];
  definition: SchemeDefinition;
  why: row.SchemeVersion["why"];
  createdBy: row.SchemeVersion["createdBy"];
  createdAt: row.SchemeVersion["createdAt"];
}

/** The grading scheme in its last version; null where there is none. */
export async function schemeOf(projectId: string, sql: Tx = db()): Promise<SchemeVersion | null> {
  return (
    (
      await sql<SchemeVersion[]>`
        SELECT number, definition, why, created_by, created_at
        FROM scheme_version
        WHERE project_id = ${projectId}
        ORDER BY number DESC
        LIMIT 1
      `
    )[0] ?? null
  );
}
