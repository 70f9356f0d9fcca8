import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";

export interface PartRow {
  id: row.Part["id"];
  teamId: row.Part["teamId"];
  name: row.Part["name"];
  role: row.Part["role"];
  owners: string[];
  version: row.Part["version"];
}

export const partsOf = (projectId: string) =>
  db()<PartRow[]>`
    SELECT
      p.id, p.team_id, p.name, p.role, p.version,
      (SELECT coalesce(array_agg(o.person_id), '{}') FROM part_owner o WHERE o.part_id = p.id) AS owners
    FROM part p
    WHERE p.project_id = ${projectId}
    ORDER BY p.name
  `;
