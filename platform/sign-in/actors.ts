import type { StaffRole } from "@/core/vocabulary/project";
import type * as row from "../db/rows";
import "server-only";
import type { Actor, Membership } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { guestOf } from "./guests";

/** The actor that a person is now: every project with the role in it. */
export async function actorOf(personId: string): Promise<Actor> {
  const [row] = await db()<
    {
      name: row.Person["name"];
      instructor: row.Person["instructor"];
      admin: row.Person["admin"];
      head: row.Person["head"];
      staff: Record<string, StaffRole> | null;
      classes: { project: string; team: string | null }[] | null;
    }[]
  >`
    SELECT p.name, p.instructor, p.admin, p.head,
      (SELECT json_object_agg(project_id, role) FROM staff WHERE person_id = p.id) AS staff,
      (SELECT json_agg(json_build_object('project', ps.project_id, 'team', m.team_id))
         FROM enrolment e JOIN project_section ps USING (section_id)
         LEFT JOIN membership m ON m.project_id = ps.project_id AND m.person_id = e.person_id AND m.to_on IS NULL
        WHERE e.person_id = p.id AND e.to_on IS NULL) AS classes
    FROM person p WHERE p.id = ${personId} AND p.erased_at IS NULL`;
  if (!row) return { kind: "nobody" };
  const projects: Record<string, Membership> = {};
  for (const c of row.classes ?? []) projects[c.project] = { role: "student", team: c.team };
  for (const [project, role] of Object.entries(row.staff ?? {})) projects[project] = { role, team: null };
  const { name, instructor, admin, head } = row;
  return { kind: "person", id: personId, name, instructor, admin, head, projects };
}

/** The guest that a cookie belongs to: it holds the link's secret and, where there is a PIN, the device's own mark. */
export async function guestActor(cookie: string): Promise<Actor> {
  const guest = await guestOf(cookie);
  if (!guest) return { kind: "nobody" };
  return { kind: "guest", id: guest.id, name: guest.label, role: guest.role, project: guest.projectId };
}
