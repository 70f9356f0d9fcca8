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
  reviews: { id: string; label: string; verdict: string }[];
}

/** From the words that a requirement came from to the builds, runs and review verdicts that lean on it. */
export async function traceOf(requirementId: string): Promise<Trace> {
  const sql = db();
  const [statements, rules, builds, reviews] = await Promise.all([
    sql<Trace["statements"]>`
      SELECT
        s.id, s.text,
        (
          SELECT coalesce(
            json_agg(
              json_build_object(
                'text', n.text, 'author', n.author, 'source', o.title, 'sourceId', o.id, 'question', q.text
              )
              ORDER BY n.written_at
            ),
            '[]'
          )
          FROM statement_note x
          JOIN note n ON n.id = x.note_id
          JOIN source o ON o.id = n.source_id
          LEFT JOIN question q ON q.id = n.question_id
          WHERE x.statement_id = s.id
        ) AS notes
      FROM statement s
      WHERE s.requirement_id = ${requirementId} AND s.merged_into IS NULL
      ORDER BY s.created_at
    `,
    sql<{ key: row.BriefRule["key"] }[]>`SELECT key FROM brief_rule WHERE requirement_id = ${requirementId}`,
    sql<Trace["builds"]>`
      SELECT b.id, t.name || ' G' || b.number AS label, count(DISTINCT e.run_id)::int AS runs
      FROM evidence e
      JOIN build b ON b.id = e.build_id
      JOIN team t ON t.id = b.team_id
      WHERE e.requirement_id = ${requirementId}
      GROUP BY b.id, t.name, b.number
      ORDER BY t.name, b.number
    `,
    sql<Trace["reviews"]>`
      SELECT DISTINCT v.id, v.title || ', ' || t.name AS label, v.verdict
      FROM evidence e
      JOIN review v ON v.build_id = e.build_id
      JOIN team t ON t.id = v.team_id
      WHERE e.requirement_id = ${requirementId} AND v.verdict IS NOT NULL
      ORDER BY label
    `,
  ]);
  return { statements, rules: rules.map((r) => r.key), builds, reviews };
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
