import type * as row from "@/platform/db/rows";
import "server-only";
import type { Actor } from "@/core/access/can";
import type { DateStyle } from "@/core/vocabulary/project";
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
  archivedAt: row.Project["archivedAt"];
  dates: DateStyle | null;
  teams: number;
  students: number;
  sections: string[];
  /** Its place among the running ones by whose event, or end, comes first; finished ones follow. */
  near: number;
}

/**
 * The projects that an actor has a place in, running ones first, archived ones last. Teams, students and sections are
 * looked up for those that are shown alone: the first of the list and the running ones whose event is nearest; the
 * others have none.
 */
export async function projectsOf(
  actor: Actor,
  shown: { first: number; nearest: number } = { first: 1000, nearest: 0 },
): Promise<ProjectLine[]> {
  if (actor.kind !== "person") return [];
  const ids = Object.keys(actor.projects);
  if (!ids.length) return [];
  return db()<ProjectLine[]>`
    WITH mine AS (
      SELECT
        p.*,
        row_number() OVER (
          ORDER BY p.archived_at IS NOT NULL, p.finished_at NULLS FIRST, p.starts_on DESC, p.id
        ) AS place,
        (
          row_number() OVER (
            ORDER BY p.archived_at IS NOT NULL, p.finished_at NULLS FIRST, coalesce(p.event_on, p.ends_on), p.id
          )
        )::int AS near
      FROM project p
      WHERE p.id IN ${db()(ids)}
    ),
    -- Counted once for all that are shown: asked for each alone it is asked for those that are not shown too.
    shown AS (SELECT id FROM mine WHERE place <= ${shown.first} OR near <= ${shown.nearest}),
    teams AS (
      SELECT project_id, count(*)::int AS n
      FROM team
      WHERE project_id IN (SELECT id FROM shown) AND retired_at IS NULL
      GROUP BY project_id
    ),
    sections AS (
      SELECT ps.project_id, array_agg(c.name ORDER BY c.name) AS names
      FROM project_section ps
      JOIN section c ON c.id = ps.section_id
      WHERE ps.project_id IN (SELECT id FROM shown)
      GROUP BY ps.project_id
    ),
    students AS (
      SELECT ps.project_id, count(*)::int AS n
      FROM project_section ps
      JOIN enrolment e USING (section_id)
      WHERE ps.project_id IN (SELECT id FROM shown) AND e.to_on IS NULL
      GROUP BY ps.project_id
    )
    SELECT
      p.id, p.slug, p.title, p.purpose, p.kind, p.starts_on, p.ends_on, p.event_on, p.finished_at,
      p.archived_at, p.settings->>'dates' AS dates, p.near,
      coalesce(t.n, 0) AS teams, coalesce(e.n, 0) AS students, coalesce(c.names, '{}') AS sections
    FROM mine p
    LEFT JOIN teams t ON t.project_id = p.id
    LEFT JOIN sections c ON c.project_id = p.id
    LEFT JOIN students e ON e.project_id = p.id
    ORDER BY p.place
  `;
}
