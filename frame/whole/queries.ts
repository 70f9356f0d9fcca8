import "server-only";
import { db } from "@/platform/db/db";
import type * as row from "@/platform/db/rows";

/** What a team's page shows beside its builds and verdicts. */
export interface TeamFacts {
  readonly actions: readonly (Pick<row.ActionItem, "id" | "what" | "dueOn"> & { readonly owner: string | null })[];
  readonly closed: number;
  readonly failures: readonly (Pick<row.Failure, "id" | "mode" | "severity"> & {
    readonly build: number;
    readonly closed: number | null;
  })[];
  readonly reviews: readonly Pick<row.Review, "id" | "title" | "heldOn" | "verdict">[];
  readonly bookings: readonly (Pick<row.Booking, "id" | "toolId" | "what" | "onDate" | "starts" | "minutes"> & {
    readonly tool: string;
  })[];
  readonly notebooks: readonly { readonly personId: string; readonly entries: number; readonly last: string }[];
  /** Places in events, as they stand. */
  readonly places: readonly { readonly event: string; readonly place: number; readonly confirmed: boolean }[];
}

/** The places of a team in events, as they stand: a part of a question. */
export const placesOf = (teamId: string) => db()`
  (
    SELECT coalesce(
      json_agg(
        json_build_object('event', e.name, 'place', s->'place', 'confirmed', e.state = 'confirmed') ORDER BY e.id
      ),
      '[]'
    )
    FROM entry n
    JOIN event e ON e.id = n.event_id
    JOIN kept_event k ON k.event_id = e.id
    CROSS JOIN LATERAL jsonb_array_elements(k.standings) s
    WHERE n.team_id = ${teamId} AND s->>'id' = n.id::text AND jsonb_typeof(s->'place') = 'number'
  )
`;

/** All of a team in one question. */
export async function teamFacts(projectId: string, teamId: string, today: string): Promise<TeamFacts> {
  const sql = db();
  const [facts] = await sql<TeamFacts[]>`
    SELECT
      (
        SELECT coalesce(
          json_agg(
            json_build_object('id', a.id, 'what', a.what, 'dueOn', a.due_on, 'owner', p.name) ORDER BY a.due_on, a.what
          ) FILTER (WHERE a.closed_at IS NULL),
          '[]'
        )
        FROM action_item a
        LEFT JOIN person p ON p.id = a.owner_id
        WHERE a.team_id = t.id
      ) AS actions,
      (SELECT count(*)::int FROM action_item WHERE team_id = t.id AND closed_at IS NOT NULL) AS closed,
      (
        SELECT coalesce(
          json_agg(
            json_build_object(
              'id', f.id, 'mode', f.mode, 'severity', f.severity, 'build', b.number, 'closed', c.number
            )
            ORDER BY b.number DESC, f.recorded_at DESC
          ),
          '[]'
        )
        FROM failure f
        JOIN build b ON b.id = f.build_id
        LEFT JOIN build c ON c.id = f.closed_by
        WHERE b.team_id = t.id
      ) AS failures,
      (
        SELECT coalesce(
          json_agg(
            json_build_object('id', r.id, 'title', r.title, 'heldOn', r.held_on, 'verdict', r.verdict)
            ORDER BY r.held_on DESC
          ),
          '[]'
        )
        FROM review r
        WHERE r.team_id = t.id
      ) AS reviews,
      (
        SELECT coalesce(
          json_agg(
            json_build_object(
              'id', b.id, 'toolId', b.tool_id, 'tool', m.name, 'what', b.what, 'onDate', b.on_date, 'starts', b.starts,
              'minutes', b.minutes
            )
            ORDER BY b.on_date, b.starts
          ),
          '[]'
        )
        FROM booking b
        JOIN tool m ON m.id = b.tool_id
        WHERE b.team_id = t.id AND b.ended_at IS NULL AND (b.on_date IS NULL OR b.on_date >= ${today})
      ) AS bookings,
      (
        SELECT coalesce(json_agg(json_build_object('personId', x.person_id, 'entries', x.n, 'last', x.last)), '[]')
        FROM (
          SELECT e.person_id, count(*)::int AS n, max(e.on_date) AS last
          FROM notebook_entry e
          JOIN membership m ON m.person_id = e.person_id AND m.team_id = t.id AND m.to_on IS NULL
          WHERE e.project_id = t.project_id
          GROUP BY e.person_id
        ) x
      ) AS notebooks,
      ${placesOf(teamId)} AS places
    FROM team t
    WHERE t.id = ${teamId} AND t.project_id = ${projectId}
  `;
  return facts!;
}

/** What a student's page shows, for a talk with the student or the parents: nothing of anybody else. */
export interface StudentFacts {
  readonly name: row.Person["name"];
  readonly section: string | null;
  readonly team: { readonly id: string; readonly name: string; readonly role: string } | null;
  readonly entries: readonly string[];
  readonly trainings: readonly { readonly tool: string; readonly on: string; readonly until: string | null }[];
  readonly actions: readonly (Pick<row.ActionItem, "what" | "dueOn"> & { readonly closed: boolean })[];
  readonly concepts: readonly Pick<row.Concept, "title" | "fate" | "fateReason">[];
  readonly builds: readonly (Pick<row.Build, "id" | "number" | "whatChanged" | "builtOn"> & {
    readonly team: string;
  })[];
  readonly parts: readonly { readonly name: string; readonly role: string }[];
  readonly checks: readonly { readonly title: string; readonly doneOn: string }[];
  readonly exercises: { readonly answered: number; readonly correct: number };
  readonly minutesAtMachines: number;
}

/** All of a student but attendance in one question; null where the person is no student of the project. */
export async function studentFacts(projectId: string, personId: string): Promise<StudentFacts | null> {
  const sql = db();
  const [facts] = await sql<StudentFacts[]>`
    SELECT
      s.name, c.name AS section,
      (
        SELECT json_build_object('id', t.id, 'name', t.name, 'role', m.role)
        FROM membership m
        JOIN team t ON t.id = m.team_id
        WHERE m.person_id = s.id AND m.project_id = ${projectId} AND m.to_on IS NULL
      ) AS team,
      (
        SELECT coalesce(json_agg(DISTINCT e.on_date), '[]')
        FROM notebook_entry e
        WHERE e.project_id = ${projectId} AND e.person_id = s.id
      ) AS entries,
      (
        SELECT coalesce(
          json_agg(json_build_object('tool', t.name, 'on', x.signed_on, 'until', x.expires_on) ORDER BY t.name), '[]'
        )
        FROM tool_sign_off x
        JOIN tool t ON t.id = x.tool_id
        WHERE x.project_id = ${projectId} AND x.person_id = s.id
      ) AS trainings,
      (
        SELECT coalesce(
          json_agg(
            json_build_object('what', a.what, 'dueOn', a.due_on, 'closed', a.closed_at IS NOT NULL) ORDER BY a.due_on
          ),
          '[]'
        )
        FROM action_item a
        WHERE a.project_id = ${projectId} AND a.owner_id = s.id
      ) AS actions,
      (
        SELECT coalesce(
          json_agg(
            json_build_object('title', k.title, 'fate', k.fate, 'fateReason', k.fate_reason) ORDER BY k.created_at
          ),
          '[]'
        )
        FROM concept k
        WHERE k.project_id = ${projectId} AND k.author_id = s.id
      ) AS concepts,
      (
        SELECT coalesce(
          json_agg(
            json_build_object(
              'id', b.id, 'number', b.number, 'whatChanged', b.what_changed, 'builtOn', b.built_on, 'team', t.name
            )
            ORDER BY b.built_on
          ),
          '[]'
        )
        FROM build b
        JOIN team t ON t.id = b.team_id
        WHERE b.project_id = ${projectId} AND b.maker_id = s.id
      ) AS builds,
      (
        SELECT coalesce(json_agg(json_build_object('name', p.name, 'role', p.role) ORDER BY p.name), '[]')
        FROM part p
        JOIN part_owner o ON o.part_id = p.id
        WHERE p.project_id = ${projectId} AND o.person_id = s.id
      ) AS parts,
      (
        SELECT coalesce(json_agg(json_build_object('title', m.title, 'doneOn', k.done_on) ORDER BY k.done_on), '[]')
        FROM milestone_check k
        JOIN milestone m ON m.id = k.milestone_id
        WHERE k.project_id = ${projectId} AND k.person_id = s.id
      ) AS checks,
      (
        SELECT json_build_object('answered', count(*), 'correct', count(*) FILTER (WHERE x.correct))
        FROM trainer_answer x
        WHERE x.project_id = ${projectId} AND x.person_id = s.id
      ) AS exercises,
      (
        SELECT coalesce(sum(b.used_minutes), 0)::int
        FROM booking b
        WHERE b.project_id = ${projectId} AND b.operator_id = s.id
      ) AS minutes_at_machines
    FROM person s
    JOIN enrolment n ON n.person_id = s.id AND n.to_on IS NULL
    JOIN section c ON c.id = n.section_id
    JOIN project_section ps ON ps.section_id = c.id AND ps.project_id = ${projectId}
    WHERE s.id = ${personId}
  `;
  return facts ?? null;
}
