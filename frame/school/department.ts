import "server-only";
import type { Better } from "@/core/vocabulary/runs";
import { db } from "@/platform/db/db";
import type * as row from "@/platform/db/rows";

/** A project as a head of department sees it: counts and what is late, and of students how many they are. */
export interface DepartmentRow
  extends Pick<row.Project, "id" | "slug" | "title" | "startsOn" | "endsOn" | "eventOn" | "finishedAt" | "editionOf"> {
  readonly instructors: readonly string[];
  readonly students: number;
  readonly teams: number;
  readonly builds: number;
  /** Builds and bench runs of the last seven days. */
  readonly recent: number;
  readonly musts: number;
  readonly met: number;
  readonly overdue: number;
  readonly incidents: number;
  readonly minutes: number;
  readonly machines: readonly { readonly name: string; readonly booked: number }[];
  /** The best value of the first protocol's first measure, where something was tested. */
  readonly best: {
    readonly value: number;
    readonly name: string;
    readonly unit: string;
    readonly better: Better;
  } | null;
}

/** Every project that is not in the archive, with its machines' minutes between two days; one question for all. */
export const departmentOf = (today: string, from: string, to: string) => db()<DepartmentRow[]>`
  WITH newest AS (
    SELECT DISTINCT ON (b.team_id) b.project_id, b.team_id, b.id
    FROM build b
    JOIN team t ON t.id = b.team_id AND t.retired_at IS NULL
    ORDER BY b.team_id, b.number DESC
  ), musts AS (
    SELECT r.id, r.project_id
    FROM requirement r
    JOIN LATERAL (
      SELECT priority FROM requirement_version WHERE requirement_id = r.id ORDER BY number DESC LIMIT 1
    ) v ON v.priority = 'must'
    WHERE r.retired_at IS NULL
  ), first_protocol AS (
    SELECT DISTINCT ON (p.project_id) p.project_id, p.id, v.definition
    FROM protocol p
    JOIN protocol_version v ON v.protocol_id = p.id
    ORDER BY p.project_id, p.id, v.number DESC
  )
  SELECT
    p.id, p.slug, p.title, p.starts_on, p.ends_on, p.event_on, p.finished_at, p.edition_of,
    coalesce((p.settings->>'sessionMinutes')::int, 50) AS minutes,
    (
      SELECT coalesce(json_agg(i.name ORDER BY s.role DESC, i.name), '[]')
      FROM staff s
      JOIN person i ON i.id = s.person_id
      WHERE s.project_id = p.id
    ) AS instructors,
    (
      SELECT count(DISTINCT e.person_id)::int
      FROM enrolment e
      JOIN project_section ps USING (section_id)
      WHERE ps.project_id = p.id AND e.to_on IS NULL
    ) AS students,
    (SELECT count(*)::int FROM team WHERE project_id = p.id AND retired_at IS NULL) AS teams,
    (SELECT count(*)::int FROM build WHERE project_id = p.id) AS builds,
    (
      (SELECT count(*) FROM build WHERE project_id = p.id AND built_on > ${today}::date - 7 AND built_on <= ${today})
      + (
        SELECT count(*)
        FROM run
        WHERE project_id = p.id AND place = 'bench' AND recorded_at >= ${today}::date - 6
          AND recorded_at < ${today}::date + 1
      )
    )::int AS recent,
    (
      (SELECT count(*) FROM team WHERE project_id = p.id AND retired_at IS NULL)
      * (SELECT count(*) FROM musts r WHERE r.project_id = p.id)
      - (
        SELECT count(*)
        FROM newest n
        JOIN verdict k ON k.build_id = n.id AND k.value = 'not applicable'
        JOIN musts r ON r.id = k.requirement_id
        WHERE n.project_id = p.id
      )
    )::int AS musts,
    (
      SELECT count(*)::int
      FROM newest n
      JOIN verdict k ON k.build_id = n.id AND k.value = 'met'
      JOIN musts r ON r.id = k.requirement_id
      WHERE n.project_id = p.id
    ) AS met,
    (
      (SELECT count(*) FROM action_item WHERE project_id = p.id AND closed_at IS NULL AND due_on < ${today})
      + (
        SELECT count(*)
        FROM milestone m
        JOIN team t ON t.project_id = p.id AND t.retired_at IS NULL
        LEFT JOIN milestone_date d ON d.milestone_id = m.id AND d.section_id = t.section_id
        WHERE m.project_id = p.id AND m.scope = 'team' AND coalesce(d.due_on, m.due_on) < ${today}
          AND NOT EXISTS (SELECT FROM milestone_check k WHERE k.milestone_id = m.id AND k.team_id = t.id)
      )
    )::int AS overdue,
    (SELECT count(*)::int FROM incident WHERE project_id = p.id AND closed_at IS NULL) AS incidents,
    (
      SELECT coalesce(json_agg(json_build_object('name', t.name, 'booked', t.booked) ORDER BY t.name), '[]')
      FROM (
        SELECT
          t.name,
          (
            SELECT coalesce(sum(b.minutes), 0)::int
            FROM booking b
            WHERE b.tool_id = t.id AND b.on_date BETWEEN ${from} AND ${to}
          ) AS booked
        FROM tool t
        WHERE t.project_id = p.id AND t.shared
      ) t
    ) AS machines,
    (
      SELECT json_build_object(
        'value', CASE WHEN f.definition->>'better' = 'less' THEN min(x.best) ELSE max(x.best) END,
        'name', c->>'name', 'unit', coalesce(c->>'unit', ''), 'better', f.definition->>'better'
      )
      FROM first_protocol f
      CROSS JOIN LATERAL (
        SELECT (s.summary->>'best')::float AS best
        FROM build_summary s
        JOIN build b ON b.id = s.build_id
        WHERE b.project_id = p.id AND s.protocol_id = f.id AND s.key = f.definition->>'primary'
      ) x
      CROSS JOIN LATERAL (
        SELECT c
        FROM jsonb_array_elements((f.definition->'measures') || (f.definition->'derived')) c
        WHERE c->>'key' = f.definition->>'primary' AND c->'levels' IS NULL
      ) m
      WHERE f.project_id = p.id AND x.best IS NOT NULL
      GROUP BY f.definition, c
    ) AS best
  FROM project p
  WHERE p.archived_at IS NULL
  ORDER BY p.finished_at IS NOT NULL, coalesce(p.event_on, p.ends_on), p.title
`;

/** The instructors of the school but those who keep it, and who of them heads the department. */
export const instructorsOf = () => db()<Pick<row.Person, "id" | "name" | "head">[]>`
  SELECT id, name, head FROM person WHERE instructor AND NOT admin AND erased_at IS NULL ORDER BY name
`;
