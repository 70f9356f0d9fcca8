import type { JudgedRules } from "@/core/contest/judged";
import type * as row from "@/platform/db/rows";
import "server-only";
import type { Tx } from "@/platform/db/db";
import { entriesOf, type MatchEntry } from "./match-facts";

/** A judge's sheet of an entry. */
export interface StoredSheet
  extends Pick<row.JudgeSheet, "id" | "entryId" | "judgeId" | "state" | "asideFrom" | "note" | "reason" | "version"> {
  /** Who judged, by a name that no other judge of the event has. */
  judge: string;
  marks: Record<string, number>;
  at: row.JudgeSheet["recordedAt"];
}

/** A judged event with what everything about it is computed from. */
export interface JudgedFacts {
  id: row.Event["id"];
  name: row.Event["name"];
  version: number;
  rules: JudgedRules;
  entries: MatchEntry[];
  sheets: StoredSheet[];
}

/** The entries and sheets of judged event e; two judges of one name are told apart by a number. */
export const judgedFacts = (sql: Tx) => sql`
  ${entriesOf(sql)},
  (
    SELECT coalesce(
      json_agg(
        json_build_object(
          'id', s.id, 'entryId', s.entry_id, 'judgeId', s.judge_id, 'state', s.state, 'asideFrom', s.aside_from,
          'judge', s.judge || CASE WHEN s.nth > 1 THEN ' (' || s.nth || ')' ELSE '' END, 'marks', s.marks,
          'note', s.note, 'reason', s.reason, 'at', s.recorded_at, 'version', s.version
        )
        ORDER BY s.recorded_at, s.id
      ),
      '[]'
    )
    FROM (
      SELECT s.*, dense_rank() OVER (PARTITION BY s.judge ORDER BY s.judge_id) AS nth
      FROM judge_sheet s
      JOIN entry n ON n.id = s.entry_id
      WHERE n.event_id = e.id
    ) s
  ) AS sheets
`;

/** Those of these events that are judged, with what their standings are computed from. */
export const judgedFactsOf = (eventIds: readonly string[], sql: Tx) => sql<JudgedFacts[]>`
  SELECT e.id, e.name, e.version, e.definition AS rules, ${judgedFacts(sql)}
  FROM event e
  WHERE e.id = ANY(${[...eventIds]}) AND e.format = 'judged'
`;
