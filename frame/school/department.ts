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
  /** Builds and runs of the last seven days. */
  readonly recent: number;
  readonly musts: number;
  readonly met: number;
  readonly overdue: number;
  readonly incidents: number;
  readonly minutes: number;
  readonly machines: readonly { readonly name: string; readonly booked: number }[];
  /** The best value of the first protocol's first measure: of editions of one project, where something was tested. */
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
  ), must AS MATERIALIZED (
    SELECT r.id, r.project_id
    FROM requirement r
    JOIN LATERAL (
      SELECT priority FROM requirement_version WHERE requirement_id = r.id ORDER BY number DESC LIMIT 1
    ) v ON v.priority = 'must'
    WHERE r.retired_at IS NULL
  ), verdicts AS (
    SELECT
      n.project_id, count(*) FILTER (WHERE k.value = 'met')::int AS met,
      count(*) FILTER (WHERE k.value = 'not applicable')::int AS aside
    FROM newest n
    JOIN verdict k ON k.build_id = n.id
    JOIN must r ON r.id = k.requirement_id
    GROUP BY n.project_id
  ), musts AS (
    SELECT project_id, count(*)::int AS n FROM must GROUP BY project_id
  ), teams AS (
    SELECT project_id, count(*)::int AS n FROM team WHERE retired_at IS NULL GROUP BY project_id
  ), builds AS (
    SELECT
      project_id, count(*)::int AS n,
      count(*) FILTER (WHERE built_on > ${today}::date - 7 AND built_on <= ${today})::int AS recent
    FROM build
    GROUP BY project_id
  ), students AS (
    SELECT ps.project_id, count(DISTINCT e.person_id)::int AS n
    FROM enrolment e
    JOIN project_section ps USING (section_id)
    WHERE e.to_on IS NULL
    GROUP BY ps.project_id
  ), unchecked AS (
    SELECT m.project_id, count(*)::int AS n
    FROM milestone m
    JOIN team t ON t.project_id = m.project_id AND t.retired_at IS NULL
    LEFT JOIN milestone_date d ON d.milestone_id = m.id AND d.section_id = t.section_id
    WHERE m.scope = 'team' AND coalesce(d.due_on, m.due_on) < ${today}
      AND NOT EXISTS (SELECT FROM milestone_check k WHERE k.milestone_id = m.id AND k.team_id = t.id)
    GROUP BY m.project_id
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
    coalesce(students.n, 0) AS students, coalesce(teams.n, 0) AS teams, coalesce(builds.n, 0) AS builds,
    (
      coalesce(builds.recent, 0) + (
        SELECT count(*)
        FROM run
        WHERE project_id = p.id AND recorded_at >= ${today}::date - 6 AND recorded_at < ${today}::date + 1
      )
    )::int AS recent,
    coalesce(teams.n * musts.n - coalesce(verdicts.aside, 0), 0) AS musts, coalesce(verdicts.met, 0) AS met,
    (
      coalesce(unchecked.n, 0)
      + (SELECT count(*) FROM action_item WHERE project_id = p.id AND closed_at IS NULL AND due_on < ${today})
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
      FROM (
        SELECT o.id, v.definition
        FROM protocol o
        JOIN protocol_version v ON v.protocol_id = o.id
        WHERE o.project_id = p.id
        ORDER BY o.id, v.number DESC
        LIMIT 1
      ) f
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
      WHERE x.best IS NOT NULL
        -- It is shown beside that of other editions.
        AND (p.edition_of IS NOT NULL OR EXISTS (SELECT FROM project e WHERE e.edition_of = p.id))
      GROUP BY f.definition, c
    ) AS best
  FROM project p
  LEFT JOIN verdicts ON verdicts.project_id = p.id
  LEFT JOIN musts ON musts.project_id = p.id
  LEFT JOIN teams ON teams.project_id = p.id
  LEFT JOIN builds ON builds.project_id = p.id
  LEFT JOIN students ON students.project_id = p.id
  LEFT JOIN unchecked ON unchecked.project_id = p.id
  WHERE p.archived_at IS NULL
  ORDER BY p.finished_at IS NOT NULL, coalesce(p.event_on, p.ends_on), p.title
`;

/** The instructors of the school but those who keep it, and who of them heads the department. */
export const instructorsOf = () => db()<Pick<row.Person, "id" | "name" | "head">[]>`
  SELECT id, name, head FROM person WHERE instructor AND NOT admin AND erased_at IS NULL ORDER BY name
`;
