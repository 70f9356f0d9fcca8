import type { DrawnRound, MatchRules } from "@/core/contest/matches";
import type { Result } from "@/core/contest/play";
import { type InspectionState, type MatchFormat, matchFormat } from "@/core/vocabulary/contest";
import type * as row from "@/platform/db/rows";
import "server-only";
import type { Tx } from "@/platform/db/db";

/** An entry of an event of matches; the seed comes with the draw. */
export interface MatchEntry {
  id: row.Entry["id"];
  teamId: row.Team["id"];
  team: row.Team["name"];
  buildId: row.Entry["buildId"];
  build: row.Build["number"] | null;
  seed: number | null;
  inspection: InspectionState;
  inspectionNote: string;
  version: number;
}

/** What was recorded of a match, with who did and when. */
export interface StoredResult extends Result {
  id: row.MatchResult["id"];
  reason: row.MatchResult["reason"];
  by: row.MatchResult["recordedBy"];
  at: row.MatchResult["recordedAt"];
}

/** An event of matches with what everything about it is computed from. */
export interface MatchFacts {
  id: row.Event["id"];
  name: row.Event["name"];
  version: number;
  format: MatchFormat;
  definition: Omit<MatchRules, "format">;
  entries: MatchEntry[];
  results: StoredResult[];
  drawn: DrawnRound[];
}

/** The entries of event e, by their order. */
export const entriesOf = (sql: Tx) => sql`
  (
    SELECT coalesce(
      json_agg(
        json_build_object(
          'id', n.id, 'teamId', n.team_id, 'team', t.name, 'buildId', n.build_id, 'build', b.number,
          'seed', n.run_order, 'inspection', n.inspection, 'inspectionNote', n.inspection_note, 'version', n.version
        )
        ORDER BY n.run_order NULLS LAST, t.name
      ),
      '[]'
    )
    FROM entry n
    JOIN team t ON t.id = n.team_id
    LEFT JOIN build b ON b.id = n.build_id
    WHERE n.event_id = e.id
  ) AS entries
`;

/** What an event's matches are computed from: entries, results and drawn rounds of event e. */
export const factsOf = (sql: Tx) => sql`
  ${entriesOf(sql)},
  (
    SELECT coalesce(
      json_agg(
        json_build_object(
          'id', m.id, 'slot', m.slot, 'a', m.a_id, 'b', m.b_id, 'outcome', m.outcome, 'winner', m.winner_id,
          'score', CASE WHEN m.a_score IS NULL THEN NULL ELSE json_build_array(m.a_score::text, m.b_score::text) END,
          'reason', m.reason, 'by', m.recorded_by, 'at', m.recorded_at
        )
        ORDER BY m.number
      ),
      '[]'
    )
    FROM match_result m
    WHERE m.event_id = e.id
  ) AS results,
  (
    SELECT coalesce(json_agg(w.outcome ORDER BY w.drawn_at, w.id), '[]')
    FROM draw w
    WHERE w.project_id = e.project_id AND w.purpose = 'round of ' || e.id
  ) AS drawn
`;

/** Those of these events that are of matches, with what their standings are computed from. */
export const matchFactsOf = (eventIds: readonly string[], sql: Tx) =>
  sql<MatchFacts[]>`
    SELECT e.id, e.name, e.version, e.format, e.definition, ${factsOf(sql)}
    FROM event e
    WHERE e.id = ANY(${[...eventIds]}) AND e.format = ANY(${matchFormat.values as string[]})
  `;
