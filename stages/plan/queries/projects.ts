import type * as row from "@/platform/db/rows";
import "server-only";
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";

export interface ProjectLine {
  id: row.Project["id"];
  slug: row.Project["slug"];
  title: row.Project["title"];
  purpose: row.Project["purpose"];
  kind: row.Project["kind"];
  startsOn: row.Project["startsOn"];
  endsOn: row.Project["endsOn"];
  eventOn: row.Project["eventOn"];
  finishedAt: row.Project["finishedAt"];
  teams: number;
  students: number;
  sections: string[];
}

/** The projects that an actor has a place in, running ones first. */
export async function projectsOf(actor: Actor): Promise<ProjectLine[]> {
  if (actor.kind !== "person") return [];
  const ids = Object.keys(actor.projects);
  if (!ids.length) return [];
  return db()<ProjectLine[]>`
    SELECT
      p.id, p.slug, p.title, p.purpose, p.kind, p.starts_on, p.ends_on, p.event_on, p.finished_at,
      (SELECT count(*)::int FROM team t WHERE t.project_id = p.id AND t.retired_at IS NULL) AS teams,
      (
        SELECT count(*)::int
        FROM enrolment e
        JOIN project_section ps USING (section_id)
        WHERE ps.project_id = p.id AND e.to_on IS NULL
      ) AS students,
      (
        SELECT coalesce(array_agg(c.name ORDER BY c.name), '{}')
        FROM section c
        JOIN project_section ps ON ps.section_id = c.id
        WHERE ps.project_id = p.id
      ) AS sections
    FROM project p
    WHERE p.id IN ${db()(ids)}
    ORDER BY p.finished_at NULLS FIRST, p.starts_on DESC
  `;
}
