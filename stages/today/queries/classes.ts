import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";

export interface ClassStudent {
  readonly id: row.Person["id"];
  readonly name: row.Person["name"];
  readonly teamId: row.Team["id"] | null;
  /** Where the student was; null: in class from its beginning to its end. */
  readonly mark: Pick<row.Attendance, "state" | "minutes"> | null;
  /** Whether the notebook has an entry of this day. */
  readonly wrote: boolean;
}

/** A section's class of a day, as it is kept and as the record tells it. */
export interface ClassFacts {
  readonly kept: Pick<
    row.ClassDay,
    "purpose" | "agenda" | "remark" | "takenBy" | "takenAt" | "version" | "remarkVersion"
  > | null;
  /** Minutes since it began; null while it has not. */
  readonly ran: number | null;
  /** What was seen in the section's class before. */
  readonly before: Pick<row.ClassDay, "onDate" | "remark"> | null;
  readonly students: readonly ClassStudent[];
  /** Times at machines in this class, in their order. */
  readonly machines: readonly (Pick<
    row.Booking,
    | "id"
    | "toolId"
    | "teamId"
    | "operatorId"
    | "what"
    | "minutes"
    | "period"
    | "starts"
    | "startedAt"
    | "endedAt"
    | "outcome"
  > & { readonly tool: row.Tool["name"]; readonly operator: row.Person["name"] | null })[];
  /** Actions that are open, or that were closed on this day. */
  readonly actions: readonly (Pick<row.ActionItem, "id" | "teamId" | "what" | "dueOn"> & {
    readonly closed: boolean;
  })[];
  readonly reviews: readonly Pick<row.Review, "id" | "teamId" | "title" | "heldOn">[];
}

/** A section's class of a day, asked at once; reviews and open actions as far as they are due by `until`. */
export async function classOf(project: string, section: string, day: string, until: string): Promise<ClassFacts> {
  const sql = db();
  const [facts] = await sql<ClassFacts[]>`
    SELECT
      (
        SELECT json_build_object(
          'purpose', d.purpose, 'agenda', d.agenda, 'remark', d.remark, 'takenBy', d.taken_by, 'takenAt', d.taken_at,
          'version', d.version, 'remarkVersion', d.remark_version
        )
        FROM class_day d
        WHERE d.project_id = p.id AND d.section_id = ${section} AND d.on_date = ${day}
      ) AS kept,
      (
        SELECT (extract(epoch FROM app_now() - d.began_at) / 60)::float
        FROM class_day d
        WHERE d.project_id = p.id AND d.section_id = ${section} AND d.on_date = ${day}
      ) AS ran,
      (
        SELECT json_build_object('onDate', d.on_date, 'remark', d.remark)
        FROM class_day d
        WHERE d.project_id = p.id AND d.section_id = ${section} AND d.on_date < ${day} AND d.remark <> ''
        ORDER BY d.on_date DESC
        LIMIT 1
      ) AS before,
      (
        SELECT coalesce(
          json_agg(
            json_build_object(
              'id', s.id, 'name', s.name, 'teamId', m.team_id,
              'mark', CASE WHEN a.state IS NOT NULL THEN json_build_object('state', a.state, 'minutes', a.minutes) END,
              'wrote', EXISTS (
                SELECT FROM notebook_entry e WHERE e.project_id = p.id AND e.person_id = s.id AND e.on_date = ${day}
              )
            )
            ORDER BY s.name
          ),
          '[]'
        )
        FROM enrolment n
        JOIN person s ON s.id = n.person_id
        LEFT JOIN membership m ON m.person_id = s.id AND m.project_id = p.id AND m.to_on IS NULL
        LEFT JOIN attendance a ON a.project_id = p.id AND a.person_id = s.id AND a.on_date = ${day}
        WHERE n.section_id = ${section} AND n.to_on IS NULL
      ) AS students,
      (
        SELECT coalesce(
          json_agg(
            json_build_object(
              'id', b.id, 'toolId', b.tool_id, 'tool', t.name, 'teamId', b.team_id, 'operator', o.name,
              'operatorId', o.id, 'what', b.what, 'minutes', b.minutes, 'period', b.period, 'starts', b.starts,
              'startedAt', b.started_at, 'endedAt', b.ended_at, 'outcome', b.outcome
            )
            ORDER BY b.period, b.starts, t.name
          ),
          '[]'
        )
        FROM booking b
        JOIN tool t ON t.id = b.tool_id
        LEFT JOIN person o ON o.id = b.operator_id
        WHERE b.project_id = p.id AND b.section_id = ${section} AND b.on_date = ${day}
      ) AS machines,
      (
        SELECT coalesce(
          json_agg(
            json_build_object(
              'id', a.id, 'teamId', a.team_id, 'what', a.what, 'dueOn', a.due_on, 'closed', a.closed_at IS NOT NULL
            )
            ORDER BY a.due_on, a.what
          ),
          '[]'
        )
        FROM action_item a
        WHERE a.project_id = p.id
          AND ((a.closed_at IS NULL AND a.due_on <= ${until}) OR a.closed_at::date = ${day})
      ) AS actions,
      (
        SELECT coalesce(
          json_agg(
            json_build_object('id', r.id, 'teamId', r.team_id, 'title', r.title, 'heldOn', r.held_on)
            ORDER BY r.held_on, r.title
          ),
          '[]'
        )
        FROM review r
        WHERE r.project_id = p.id AND r.held_on BETWEEN ${day} AND ${until}
      ) AS reviews
    FROM project p
    WHERE p.id = ${project}
  `;
  return facts!;
}

/** The classes in which attendance was taken, and every mark, by student; of one student where one is named. */
export const attendanceIn = (project: string, person: string | null = null) => {
  const sql = db();
  return sql<
    {
      id: row.Person["id"];
      name: row.Person["name"];
      sectionId: row.Section["id"];
      section: row.Section["name"];
      taken: string[];
      marks: { date: string; state: row.Attendance["state"]; minutes: number | null }[];
    }[]
  >`
    SELECT
      s.id, s.name, c.id AS section_id, c.name AS section,
      (
        SELECT coalesce(json_agg(d.on_date ORDER BY d.on_date), '[]')
        FROM class_day d
        WHERE d.project_id = ${project} AND d.section_id = c.id AND d.taken_at IS NOT NULL
          AND (n.from_on IS NULL OR d.on_date >= n.from_on)
      ) AS taken,
      (
        SELECT coalesce(
          json_agg(json_build_object('date', a.on_date, 'state', a.state, 'minutes', a.minutes) ORDER BY a.on_date),
          '[]'
        )
        FROM attendance a
        WHERE a.project_id = ${project} AND a.person_id = s.id
      ) AS marks
    FROM enrolment n
    JOIN person s ON s.id = n.person_id
    JOIN section c ON c.id = n.section_id
    JOIN project_section ps ON ps.section_id = c.id AND ps.project_id = ${project}
    WHERE n.to_on IS NULL AND (${person}::uuid IS NULL OR s.id = ${person})
    ORDER BY c.name, s.name
  `;
};
