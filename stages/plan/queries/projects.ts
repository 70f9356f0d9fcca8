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
    )
    SELECT
      p.id, p.slug, p.title, p.purpose, p.kind, p.starts_on, p.ends_on, p.event_on, p.finished_at,
      p.archived_at, p.settings->>'dates' AS dates, p.near,
      coalesce(n.teams, 0) AS teams, coalesce(n.students, 0) AS students, coalesce(n.sections, '{}') AS sections
    FROM mine p
    LEFT JOIN LATERAL (
      SELECT
        (SELECT count(*)::int FROM team t WHERE t.project_id = p.id AND t.retired_at IS NULL) AS teams,
        (
          SELECT count(*)::int
          FROM enrolment e
          JOIN project_section ps USING (section_id)
          WHERE ps.project_id = p.id AND e.to_on IS NULL
        ) AS students,
        (
          SELECT array_agg(c.name ORDER BY c.name)
          FROM section c
          JOIN project_section ps ON ps.section_id = c.id
          WHERE ps.project_id = p.id
        ) AS sections
    ) n ON p.place <= ${shown.first} OR p.near <= ${shown.nearest}
    ORDER BY p.place
  `;
}
