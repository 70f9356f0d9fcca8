import "server-only";
import { db } from "@/platform/db/db";

export interface PartRow {
  id: string;
  teamId: string;
  name: string;
  role: string;
  owners: string[];
  version: number;
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
