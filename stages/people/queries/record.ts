import "server-only";
import { db } from "@/platform/db/db";

/** Everything that is stored about one student in a project, for the student or a parent who asks. */
export async function studentRecord(projectId: string, personId: string) {
  const sql = db();
  const one = <T>(rows: readonly T[]) => rows[0] ?? null;
  const [
    person,
    enrolments,
    memberships,
    readings,
    marks,
    actions,
    concepts,
    checks,
    grades,
    questions,
    notes,
    wishes,
    traits,
    votes,
    parts,
    tools,
    bookings,
    notebook,
    extensions,
    appeals,
    ratings,
    calculations,
    exercises,
    attendance,
    countersigned,
  ] = await Promise.all([
    sql`SELECT id, name, email FROM person WHERE id = ${personId}`,
    sql`
      SELECT c.name AS section, e.from_on, e.to_on
      FROM enrolment e
      JOIN section c ON c.id = e.section_id
      WHERE e.person_id = ${personId}
    `,
    sql`
      SELECT t.name AS team, m.role, m.from_on, m.to_on
      FROM membership m
      JOIN team t ON t.id = m.team_id
      WHERE m.person_id = ${personId} AND m.project_id = ${projectId}
    `,
    sql`
      SELECT b.number AS brief_version, r.at
      FROM brief_reading r
      JOIN brief_version b ON b.id = r.brief_version_id
      WHERE r.person_id = ${personId} AND b.project_id = ${projectId}
    `,
    sql`
      SELECT component, kind, share, typed, late, reason, entered_by, entered_at
      FROM entered_mark
      WHERE person_id = ${personId} AND project_id = ${projectId}
    `,
    sql`
      SELECT what, due_on, closed_at, closing_evidence
      FROM action_item
      WHERE owner_id = ${personId} AND project_id = ${projectId}
    `,
    sql`
      SELECT title, idea, fate, fate_reason, created_at
      FROM concept
      WHERE author_id = ${personId} AND project_id = ${projectId}
    `,
    sql`
      SELECT m.title, k.done_on
      FROM milestone_check k
      JOIN milestone m ON m.id = k.milestone_id
      WHERE k.person_id = ${personId} AND k.project_id = ${projectId}
    `,
    sql`
      SELECT
        number, published_at,
        jsonb_path_query_first(
          ledger, '$[*] ? (@.personId == $id)', jsonb_build_object('id', ${personId}::text)
        ) AS grade
      FROM publication
      WHERE project_id = ${projectId}
      ORDER BY number
    `,
    sql`SELECT text, created_at FROM question WHERE drafter_id = ${personId} AND project_id = ${projectId}`,
    sql`
      SELECT n.text, s.title AS source, n.written_at
      FROM note n
      JOIN source s ON s.id = n.source_id
      WHERE n.author_id = ${personId} AND n.project_id = ${projectId}
    `,
    sql`
      SELECT
        kind, place,
        coalesce((SELECT name FROM person WHERE id = target), (SELECT title FROM concept WHERE id = target)) AS wish
      FROM wish
      WHERE person_id = ${personId} AND project_id = ${projectId}
    `,
    sql`SELECT skills, marked FROM trait WHERE person_id = ${personId} AND project_id = ${projectId}`,
    sql`
      SELECT x.title, h.marks, h.handed_in_at
      FROM selection_sheet h
      JOIN selection x ON x.id = h.selection_id
      WHERE h.rater_person = ${personId} AND h.project_id = ${projectId}
    `,
    sql`
      SELECT p.name, p.role
      FROM part p
      JOIN part_owner o ON o.part_id = p.id
      WHERE o.person_id = ${personId} AND p.project_id = ${projectId}
    `,
    sql`
      SELECT t.name, x.signed_on, x.signed_by, x.expires_on
      FROM tool_sign_off x
      JOIN tool t ON t.id = x.tool_id
      WHERE x.person_id = ${personId} AND x.project_id = ${projectId}
    `,
    sql`
      SELECT t.name AS machine, b.what, b.minutes, b.need_by, b.on_date, b.used_minutes, b.outcome
      FROM booking b
      JOIN tool t ON t.id = b.tool_id
      WHERE b.operator_id = ${personId} AND b.project_id = ${projectId}
    `,
    sql`
      SELECT e.on_date, v.number, v.text, v.reason, v.written_at
      FROM notebook_entry e
      JOIN notebook_version v ON v.entry_id = e.id
      WHERE e.person_id = ${personId} AND e.project_id = ${projectId}
      ORDER BY e.on_date, v.number
    `,
    sql`
      SELECT component, sessions, reason, granted_by, granted_at
      FROM extension
      WHERE person_id = ${personId} AND project_id = ${projectId}
    `,
    sql`
      SELECT component, words, filed_at, outcome, answer, answered_by, answered_at
      FROM appeal
      WHERE person_id = ${personId} AND project_id = ${projectId}
    `,
    // What the student gave; what others gave in confidence is theirs.
    sql`
      SELECT r.title AS rating, p.name AS teammate, g.value, g.comment, g.rated_at
      FROM peer_rating g
      JOIN peer_round r ON r.id = g.round_id
      JOIN person p ON p.id = g.ratee_id
      WHERE g.rater_id = ${personId} AND r.project_id = ${projectId}
      ORDER BY r.opened_at, p.name
    `,
    sql`
      SELECT calculator, inputs, units, note, made_at
      FROM handbook_use
      WHERE person_id = ${personId} AND project_id = ${projectId}
      ORDER BY made_at
    `,
    sql`
      SELECT kind, given, correct, answered_at
      FROM trainer_answer
      WHERE person_id = ${personId} AND project_id = ${projectId}
      ORDER BY answered_at
    `,
    sql`
      SELECT on_date, state, minutes
      FROM attendance
      WHERE person_id = ${personId} AND project_id = ${projectId}
      ORDER BY on_date
    `,
    sql`
      SELECT e.on_date, c.number, c.signed_at
      FROM notebook_countersign c
      JOIN notebook_entry e ON e.id = c.entry_id
      WHERE c.partner_id = ${personId} AND e.project_id = ${projectId}
      ORDER BY e.on_date
    `,
  ]);
  return {
    person: one(person),
    enrolments,
    memberships,
    briefReadings: readings,
    marks,
    actionItems: actions,
    concepts,
    milestoneChecks: checks,
    publishedGrades: grades,
    questions,
    notes,
    wishes,
    traits,
    selectionSheets: votes,
    parts,
    toolSignOffs: tools,
    timesAtMachines: bookings,
    notebook,
    extensions,
    appeals,
    ratingsGiven: ratings,
    calculations,
    exercises,
    attendance,
    countersigned,
  };
}
