import type { EventFormat, EventState } from "@/core/vocabulary/contest";
import type * as row from "@/platform/db/rows";
import "server-only";
import { db } from "@/platform/db/db";

/** An event as the programme of the day knows it. */
export interface ProgrammeEvent {
  readonly id: row.Event["id"];
  readonly name: row.Event["name"];
  readonly format: EventFormat;
  readonly state: EventState;
  readonly version: number;
  readonly starts: number | null;
  readonly lanes: number;
  readonly minutes: string;
  readonly repair: number;
  /** Attempts that each makes, one before judges; null for matches. */
  readonly attempts: number | null;
  /** Teams that enter, in run order. */
  readonly teams: readonly string[];
  /** Attempts that stand, in the order in which each team made them. */
  readonly made: readonly { readonly entry: string; readonly attempt: number; readonly recordedAt: string }[];
}

/** The events of a project with when they are run through, and what was made of them. */
export const programmeOf = (projectId: string) => db()<ProgrammeEvent[]>`
  SELECT
    e.id, e.name, e.format, e.state, e.version, e.starts, e.lanes, e.minutes, e.repair,
    CASE e.format WHEN 'judged' THEN 1 ELSE (e.definition->'policy'->>'n')::int END AS attempts,
    ARRAY(
      SELECT t.name
      FROM entry n
      JOIN team t ON t.id = n.team_id
      WHERE n.event_id = e.id AND n.inspection <> 'turned away'
      ORDER BY n.run_order NULLS LAST, t.name
    ) AS teams,
    (
      SELECT coalesce(
        json_agg(
          json_build_object('entry', m.name, 'attempt', m.nth, 'recordedAt', m.recorded_at) ORDER BY m.recorded_at
        ),
        '[]'
      )
      FROM (
        SELECT
          t.name, row_number() OVER (PARTITION BY r.entry_id ORDER BY r.attempt) AS nth, r.recorded_at
        FROM run r
        JOIN entry n ON n.id = r.entry_id
        JOIN team t ON t.id = n.team_id
        WHERE n.event_id = e.id AND r.state <> 'void'
        UNION ALL
        SELECT t.name, 1, min(s.recorded_at)
        FROM judge_sheet s
        JOIN entry n ON n.id = s.entry_id
        JOIN team t ON t.id = n.team_id
        WHERE n.event_id = e.id AND s.state = 'marked'
        GROUP BY t.name
      ) m
    ) AS made
  FROM event e
  WHERE e.project_id = ${projectId}
  ORDER BY e.starts NULLS LAST, e.id
`;
