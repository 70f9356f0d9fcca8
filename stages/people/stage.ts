import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";
import type { Hit, Search, Stage } from "@/platform/registry/stage";
import { peopleActs } from "./acts";
import * as erase from "./commands/erase";
import * as guests from "./commands/guests";
import * as heads from "./commands/heads";
import * as logins from "./commands/logins";
import * as merge from "./commands/merge";
import * as roster from "./commands/roster";
import * as students from "./commands/students";

async function search({ projectId, like, may }: Search): Promise<Hit[]> {
  if (!may(peopleActs.read)) return [];
  const rows = await db()<{ id: row.Person["id"]; name: row.Person["name"]; section: row.Section["name"] }[]>`
    SELECT p.id, p.name, c.name AS section
    FROM enrolment e
    JOIN project_section ps USING (section_id)
    JOIN person p ON p.id = e.person_id
    JOIN section c ON c.id = e.section_id
    WHERE ps.project_id = ${projectId} AND e.to_on IS NULL AND plain(p.name) LIKE plain(${like})
    ORDER BY p.name
    LIMIT 6
  `;
  return rows.map((p) => ({
    kind: "student",
    label: p.name,
    detail: `section ${p.section}`,
    path: `/grades/${p.id}`,
  }));
}

export const people: Stage = {
  key: "people",
  name: "People",
  pages: [{ label: "People", path: "/people", for: "staff" }],
  shows: ["people", "staff", "guest"],
  commands: [erase, guests, heads, logins, merge, roster, students],
  below: "staff",
  search,
};
