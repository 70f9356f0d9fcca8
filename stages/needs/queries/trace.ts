import type * as row from "@/platform/db/rows";
import "server-only";
import { db, type Tx } from "@/platform/db/db";

export interface Trace {
  statements: {
    id: string;
    text: string;
    notes: { text: string; author: string; source: string; sourceId: string; question: string | null }[];
  }[];
  rules: string[];
  builds: { id: string; label: string; runs: number }[];
  /** What somebody found by looking, the newest first. */
  findings: { id: string; label: string; finding: string; note: string; by: string }[];
  reviews: { id: string; label: string; verdict: string }[];
}

/** From the words that a requirement came from to the builds, runs and review verdicts that lean on it. */
export async function traceOf(requirementId: string): Promise<Trace> {
  const [trace] = await db()<Trace[]>`
    WITH leaning AS (
      SELECT b.id, t.name || ' G' || b.number AS label, t.name, b.number, count(DISTINCT e.run_id)::int AS runs
      FROM evidence e
      JOIN build b ON b.id = e.build_id
      JOIN team t ON t.id = b.team_id
      WHERE e.requirement_id = ${requirementId}
      GROUP BY b.id, t.name, b.number
    )
    SELECT
      (
        SELECT coalesce(
          json_agg(json_build_object('id', s.id, 'text', s.text, 'notes', w.notes) ORDER BY s.created_at), '[]'
        )
        FROM statement s
        CROSS JOIN LATERAL (
          SELECT coalesce(
            json_agg(
              json_build_object(
                'text', n.text, 'author', n.author, 'source', o.title, 'sourceId', o.id, 'question', q.text
              )
              ORDER BY n.written_at
            ),
            '[]'
          ) AS notes
          FROM statement_note x
          JOIN note n ON n.id = x.note_id
          JOIN source o ON o.id = n.source_id
          LEFT JOIN question q ON q.id = n.question_id
          WHERE x.statement_id = s.id
        ) w
        WHERE s.requirement_id = ${requirementId} AND s.merged_into IS NULL
      ) AS statements,
      ARRAY(SELECT key FROM brief_rule WHERE requirement_id = ${requirementId} ORDER BY key) AS rules,
      (
        SELECT coalesce(
          json_agg(json_build_object('id', id, 'label', label, 'runs', runs) ORDER BY name, number), '[]'
        )
        FROM leaning
      ) AS builds,
      (
        SELECT coalesce(
          json_agg(
            json_build_object(
              'id', e.id, 'label', t.name || ' G' || b.number, 'finding', e.finding, 'note', e.note, 'by', e.recorded_by
            )
            ORDER BY e.recorded_at DESC
          ),
          '[]'
        )
        FROM evidence e
        JOIN build b ON b.id = e.build_id
        JOIN team t ON t.id = b.team_id
        WHERE e.requirement_id = ${requirementId} AND e.kind = 'finding'
      ) AS findings,
      (
        SELECT coalesce(
          json_agg(
            json_build_object('id', v.id, 'label', v.title || ', ' || l.name, 'verdict', v.verdict)
            ORDER BY v.title, l.name
          ),
          '[]'
        )
        FROM leaning l
        JOIN review v ON v.build_id = l.id
        WHERE v.verdict IS NOT NULL
      ) AS reviews
  `;
  return trace!;
}

/** For every requirement: how many statements lead to it. */
export const tracedCounts = async (projectId: string, sql: Tx = db()): Promise<Map<string, number>> =>
  new Map(
    (
      await sql<{ id: NonNullable<row.Statement["requirementId"]>; n: number }[]>`
        SELECT requirement_id AS id, count(*)::int AS n
        FROM statement
        WHERE project_id = ${projectId} AND requirement_id IS NOT NULL AND merged_into IS NULL
        GROUP BY 1
      `
    ).map((r) => [r.id, r.n]),
  );
