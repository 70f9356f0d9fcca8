import "server-only";
import { db } from "@/platform/db/db";
import type * as row from "@/platform/db/rows";
import { placesOf, type TeamFacts } from "./queries";

/** A build as a booklet shows it: with a picture, and what it taught. */
export interface BookletBuild
  extends Pick<
    row.Build,
    "id" | "teamId" | "number" | "stage" | "builtOn" | "whatChanged" | "why" | "learned" | "good" | "notGood"
  > {
  readonly picture: row.FileUse["id"] | null;
}

/** What is printed of a project beside its builds and verdicts. */
export interface BookletFacts {
  readonly brief: string;
  readonly builds: readonly BookletBuild[];
  readonly failures: readonly (Pick<row.Failure, "id" | "mode" | "cause"> & {
    readonly teamId: string;
    readonly build: number;
    readonly answeredBy: number | null;
  })[];
  readonly decisions: readonly (Pick<row.ActionItem, "id" | "what" | "teamId" | "closingEvidence"> & {
    readonly review: string;
    readonly heldOn: string;
    readonly closed: boolean;
  })[];
  /** Of one team; of all teams none are read. */
  readonly places: TeamFacts["places"];
  readonly honours: readonly Pick<row.Honour, "id" | "teamId" | "title" | "says">[];
}

/** What a booklet prints of a project, of one team or of all, in one question. */
export async function bookletFacts(projectId: string, teamId: string | null): Promise<BookletFacts> {
  const sql = db();
  const of = (column: string) => (teamId ? sql`AND ${sql(column)} = ${teamId}` : sql``);
  const [facts] = await sql<BookletFacts[]>`
    SELECT
      coalesce(
        (SELECT body FROM brief_version WHERE project_id = p.id ORDER BY number DESC LIMIT 1), ''
      ) AS brief,
      (
        SELECT coalesce(
          json_agg(
            json_build_object(
              'id', b.id, 'teamId', b.team_id, 'number', b.number, 'stage', b.stage, 'builtOn', b.built_on,
              'whatChanged', b.what_changed, 'why', b.why, 'learned', b.learned, 'good', b.good, 'notGood', b.not_good,
              'picture', (
                SELECT id
                FROM file_use
                WHERE build_id = b.id AND piece_id IS NULL AND run_id IS NULL
                ORDER BY added_at DESC
                LIMIT 1
              )
            )
            ORDER BY b.number
          ),
          '[]'
        )
        FROM build b
        WHERE b.project_id = p.id ${of("b.team_id")}
      ) AS builds,
      (
        SELECT coalesce(
          json_agg(
            json_build_object(
              'id', f.id, 'mode', f.mode, 'cause', f.cause, 'teamId', b.team_id, 'build', b.number,
              'answeredBy', c.number
            )
            ORDER BY b.number, f.recorded_at
          ),
          '[]'
        )
        FROM failure f
        JOIN build b ON b.id = f.build_id
        LEFT JOIN build c ON c.id = f.closed_by
        WHERE f.project_id = p.id ${of("b.team_id")}
      ) AS failures,
      (
        SELECT coalesce(
          json_agg(
            json_build_object(
              'id', a.id, 'what', a.what, 'teamId', a.team_id, 'closingEvidence', a.closing_evidence,
              'review', r.title, 'heldOn', r.held_on, 'closed', a.closed_at IS NOT NULL
            )
            ORDER BY r.held_on, a.due_on, a.what
          ),
          '[]'
        )
        FROM action_item a
        JOIN review r ON r.id = a.review_id
        WHERE a.project_id = p.id ${of("a.team_id")}
      ) AS decisions,
      (
        SELECT coalesce(
          json_agg(json_build_object('id', h.id, 'teamId', h.team_id, 'title', h.title, 'says', h.says) ORDER BY h.id),
          '[]'
        )
        FROM honour h
        WHERE h.project_id = p.id ${of("h.team_id")}
      ) AS honours,
      ${teamId ? placesOf(teamId) : sql`'[]'::json`} AS places
    FROM project p
    WHERE p.id = ${projectId}
  `;
  return facts!;
}
