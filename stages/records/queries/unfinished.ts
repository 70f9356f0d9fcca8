import "server-only";
import { db } from "@/platform/db/db";

/** What of a project is not done, in counts. */
export interface Unfinished {
  readonly actions: number;
  readonly reviews: number;
  readonly events: number;
  readonly failures: number;
  readonly appeals: number;
  readonly ungraded: number;
  readonly unpublished: boolean;
  readonly questions: number;
  readonly kits: number;
  readonly incidents: number;
  readonly bookings: number;
  readonly rounds: number;
  /** A contest was held, and no award is written down. */
  readonly ungiven: boolean;
  /** Models lent and not back. */
  readonly lent: number;
}

/** Counts what is still open of a project on a day, for whoever finishes it. */
export async function unfinishedOf(projectId: string, today: string): Promise<Unfinished> {
  const [counts] = await db()<Unfinished[]>`
    SELECT
      (SELECT count(*)::int FROM action_item WHERE project_id = p.id AND closed_at IS NULL) AS actions,
      (
        SELECT count(*)::int FROM review WHERE project_id = p.id AND verdict IS NULL AND held_on <= ${today}
      ) AS reviews,
      (SELECT count(*)::int FROM event WHERE project_id = p.id AND state <> 'confirmed') AS events,
      (SELECT count(*)::int FROM failure WHERE project_id = p.id AND closed_by IS NULL) AS failures,
      (SELECT count(*)::int FROM appeal WHERE project_id = p.id AND outcome IS NULL) AS appeals,
      (
        SELECT count(DISTINCT e.person_id)::int
        FROM enrolment e
        JOIN project_section s USING (section_id)
        WHERE s.project_id = p.id AND e.to_on IS NULL AND NOT EXISTS (
          SELECT
          FROM publication b, jsonb_array_elements(b.ledger) x
          WHERE b.project_id = p.id AND x ->> 'personId' = e.person_id::text
        )
      ) AS ungraded,
      NOT EXISTS (SELECT FROM publication WHERE project_id = p.id) AS unpublished,
      (
        SELECT count(*)::int
        FROM question q
        WHERE q.project_id = p.id AND q.for_client AND NOT q.dropped AND q.merged_into IS NULL
          AND NOT EXISTS (SELECT FROM note n WHERE n.question_id = q.id)
      ) AS questions,
      (SELECT count(*)::int FROM kit_out WHERE project_id = p.id AND back_on IS NULL) AS kits,
      (SELECT count(*)::int FROM incident WHERE project_id = p.id AND closed_at IS NULL) AS incidents,
      (SELECT count(*)::int FROM booking WHERE project_id = p.id AND ended_at IS NULL) AS bookings,
      (SELECT count(*)::int FROM peer_round WHERE project_id = p.id AND closed_at IS NULL) AS rounds,
      EXISTS (SELECT FROM event WHERE project_id = p.id)
        AND NOT EXISTS (SELECT FROM honour WHERE project_id = p.id) AS ungiven,
      (
        SELECT count(*)::int
        FROM artefact_loan l
        JOIN artefact a ON a.id = l.artefact_id
        WHERE a.project_id = p.id AND l.back_on IS NULL
      ) AS lent
    FROM project p
    WHERE p.id = ${projectId}
  `;
  return counts!;
}
