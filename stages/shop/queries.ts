import type * as row from "@/platform/db/rows";
import "server-only";
import { cache } from "react";
import { db, type Tx } from "@/platform/db/db";

export interface Tool {
  id: row.Tool["id"];
  name: row.Tool["name"];
  caution: row.Tool["caution"];
  version: row.Tool["version"];
  signed: { personId: string; on: string; by: string }[];
}

const asked = cache(
  (projectId: string, sql: Tx) => sql<Tool[]>`
  SELECT
    t.id, t.name, t.caution, t.version,
    (
      SELECT coalesce(json_agg(json_build_object('personId', x.person_id, 'on', x.signed_on, 'by', x.signed_by)), '[]')
      FROM tool_sign_off x
      WHERE x.tool_id = t.id
    ) AS signed
  FROM tool t
  WHERE t.project_id = ${projectId}
  ORDER BY t.name
`,
);

/** The tools of a project with who is signed for them; asked once a page. */
export const toolsOf = (projectId: string, sql: Tx = db()): PromiseLike<Tool[]> => asked(projectId, sql);
