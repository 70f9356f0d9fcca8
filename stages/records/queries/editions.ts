import "server-only";
import type { EventDefinition } from "@/core/contest/standings";
import type { SchemeDefinition } from "@/core/grades/scheme";
import type { ProtocolDefinition } from "@/core/run/protocol";
import type { RubricDefinition } from "@/core/sheet/sheet";
import { db } from "@/platform/db/db";
import type * as row from "@/platform/db/rows";

/** An edition with what it asked for, how it tested, and how much came of it. */
export interface EditionRow extends Pick<row.Project, "id" | "title" | "slug" | "startsOn" | "endsOn" | "currency"> {
  readonly teams: number;
  readonly students: number;
  readonly builds: number;
  readonly runs: number;
  readonly aside: number;
  readonly failures: number;
  readonly answered: number;
  readonly brief: string;
  readonly requirements: readonly (Pick<row.Requirement, "code"> &
    Pick<
      row.RequirementVersion,
      "statement" | "priority" | "measure" | "comparator" | "target" | "second" | "sides" | "unit" | "method"
    >)[];
  readonly protocols: readonly {
    readonly id: string;
    readonly name: string;
    readonly definition: ProtocolDefinition;
  }[];
  readonly milestones: readonly Pick<row.Milestone, "id" | "title">[];
  readonly events: readonly (Pick<row.Event, "id" | "name" | "format" | "weight"> & {
    readonly definition: EventDefinition | null;
    readonly protocol: string | null;
  })[];
  readonly rubrics: readonly { readonly name: string; readonly definition: RubricDefinition }[];
  readonly scheme: SchemeDefinition | null;
}

/** These editions side by side, in the order asked for: counts, what was asked, how it was tested and graded. */
export async function editionRows(ids: readonly string[]): Promise<EditionRow[]> {
  const sql = db();
  const rows = await sql<EditionRow[]>`
    SELECT
      p.id, p.title, p.slug, p.starts_on, p.ends_on, p.currency,
      (SELECT count(*)::int FROM team WHERE project_id = p.id AND retired_at IS NULL) AS teams,
      (
        SELECT count(DISTINCT e.person_id)::int
        FROM enrolment e
        JOIN project_section s USING (section_id)
        WHERE s.project_id = p.id AND e.to_on IS NULL
      ) AS students,
      (SELECT count(*)::int FROM build WHERE project_id = p.id) AS builds,
      (SELECT count(*)::int FROM run WHERE project_id = p.id AND state <> 'void') AS runs,
      (SELECT count(*)::int FROM run WHERE project_id = p.id AND state = 'void') AS aside,
      (SELECT count(*)::int FROM failure WHERE project_id = p.id) AS failures,
      (SELECT count(closed_by)::int FROM failure WHERE project_id = p.id) AS answered,
      coalesce(
        (SELECT body FROM brief_version WHERE project_id = p.id ORDER BY number DESC LIMIT 1), ''
      ) AS brief,
      (
        SELECT coalesce(
          json_agg(
            json_build_object(
              'code', r.code, 'statement', v.statement, 'priority', v.priority, 'measure', v.measure,
              'comparator', v.comparator, 'target', v.target::text, 'second', v.second::text,
              'sides', v.sides::text[], 'unit', v.unit, 'method', v.method
            )
            ORDER BY r.code
          ),
          '[]'
        )
        FROM requirement r
        JOIN LATERAL (
          SELECT * FROM requirement_version WHERE requirement_id = r.id ORDER BY number DESC LIMIT 1
        ) v ON true
        WHERE r.project_id = p.id AND r.retired_at IS NULL
      ) AS requirements,
      (
        SELECT coalesce(
          json_agg(json_build_object('id', o.id, 'name', o.name, 'definition', v.definition) ORDER BY o.id), '[]'
        )
        FROM protocol o
        JOIN LATERAL (
          SELECT definition FROM protocol_version WHERE protocol_id = o.id ORDER BY number DESC LIMIT 1
        ) v ON true
        WHERE o.project_id = p.id
      ) AS protocols,
      (
        SELECT coalesce(
          json_agg(
            json_build_object(
              'id', e.id, 'name', e.name, 'format', e.format, 'weight', e.weight::text, 'definition', e.definition,
              'protocol', o.name
            )
            ORDER BY e.id
          ),
          '[]'
        )
        FROM event e
        LEFT JOIN protocol_version v ON v.id = e.protocol_version_id
        LEFT JOIN protocol o ON o.id = v.protocol_id
        WHERE e.project_id = p.id
      ) AS events,
      (
        SELECT coalesce(json_agg(json_build_object('name', u.name, 'definition', v.definition) ORDER BY u.id), '[]')
        FROM rubric u
        JOIN LATERAL (
          SELECT definition FROM rubric_version WHERE rubric_id = u.id ORDER BY number DESC LIMIT 1
        ) v ON true
        WHERE u.project_id = p.id
      ) AS rubrics,
      (
        SELECT coalesce(json_agg(json_build_object('id', m.id, 'title', m.title)), '[]')
        FROM milestone m
        WHERE m.project_id = p.id
      ) AS milestones,
      (SELECT definition FROM scheme_version WHERE project_id = p.id ORDER BY number DESC LIMIT 1) AS scheme
    FROM project p
    WHERE p.id IN ${sql(ids)}
  `;
  return ids.flatMap((id) => rows.find((r) => r.id === id) ?? []);
}

/** Projects that a person runs besides these and that test under a protocol of these names: other schools' too. */
export const alike = (personId: string, besides: readonly string[], protocols: readonly string[]) =>
  db()<Pick<row.Project, "id" | "title" | "slug">[]>`
    SELECT p.id, p.title, p.slug
    FROM project p
    JOIN staff s ON s.project_id = p.id AND s.person_id = ${personId}
    WHERE NOT p.id = ANY(${[...besides]}::uuid[])
      AND EXISTS (SELECT FROM protocol o WHERE o.project_id = p.id AND o.name = ANY(${[...protocols]}))
    ORDER BY p.ends_on DESC, p.id
    LIMIT 20
  `;
