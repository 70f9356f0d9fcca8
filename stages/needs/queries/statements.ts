import type * as row from "@/platform/db/rows";
import "server-only";
import { clashingStatements, missingMeasure } from "@/core/needs/conflicts";
import { vagueWordsIn } from "@/core/needs/requirement";
import { groupAlike } from "@/core/needs/similarity";
import { db } from "@/platform/db/db";

export interface Statement {
  id: row.Statement["id"];
  text: row.Statement["text"];
  mergedInto: row.Statement["mergedInto"];
  requirementId: row.Statement["requirementId"];
  requirement: row.Requirement["code"] | null;
  setAside: row.Statement["setAside"];
  createdBy: row.Statement["createdBy"];
  createdAt: row.Statement["createdAt"];
  version: row.Statement["version"];
  notes: { id: string; text: string; author: string; source: string; sourceId: string }[];
  asked: boolean;
}

export const statementsOf = (projectId: string) => db()<Statement[]>`
  SELECT
    s.id, s.text, s.merged_into, s.requirement_id, r.code AS requirement, s.set_aside, s.created_by, s.created_at,
    s.version, EXISTS (SELECT FROM question q WHERE q.statement_id = s.id AND q.for_client) AS asked,
    (
      SELECT coalesce(
        json_agg(
          json_build_object('id', n.id, 'text', n.text, 'author', n.author, 'source', o.title, 'sourceId', o.id)
          ORDER BY n.written_at
        ),
        '[]'
      )
      FROM statement_note x
      JOIN note n ON n.id = x.note_id
      JOIN source o ON o.id = n.source_id
      WHERE x.statement_id = s.id
    ) AS notes
  FROM statement s
  LEFT JOIN requirement r ON r.id = s.requirement_id
  WHERE s.project_id = ${projectId}
  ORDER BY s.created_at, s.id
`;

export interface Looked {
  groups: { members: Statement[]; score: number; shared: string[] }[];
  clashes: { a: Statement; b: Statement; why: string }[];
  vague: Map<string, string[]>;
  unmeasured: Map<string, string>;
}

/**
 * What a careful reader would point at in the statements that are still in hand: likely duplicates, conflicting
 * numbers, vague words, missing measures.
 */
export async function lookOver(projectId: string, all: readonly Statement[]): Promise<Looked> {
  const list = all.filter((x) => !x.mergedInto && x.setAside === null);
  const at = new Map(list.map((x, i) => [x.id, i]));
  const told = await db()<
    { a: row.StatementApart["a"]; b: row.StatementApart["b"] }[]
  >`SELECT x.a, x.b FROM statement_apart x JOIN statement s ON s.id = x.a WHERE s.project_id = ${projectId}`;
  const apart = new Set(
    told.flatMap(({ a, b }) => {
      const [i, j] = [at.get(a), at.get(b)];
      return i === undefined || j === undefined ? [] : [`${Math.min(i, j)}/${Math.max(i, j)}`];
    }),
  );
  const texts = list.map((x) => x.text);
  return {
    groups: groupAlike(texts, { apart }).map((g) => ({
      members: g.members.map((i) => list[i]!),
      score: Math.max(...g.pairs.map((p) => p.score)),
      shared: [...new Set(g.pairs.flatMap((p) => p.shared))],
    })),
    clashes: clashingStatements(texts).map((c) => ({ a: list[c.a]!, b: list[c.b]!, why: c.why })),
    vague: new Map(
      list.flatMap((x) => {
        const v = vagueWordsIn(x.text);
        return v.length ? [[x.id, v] as const] : [];
      }),
    ),
    unmeasured: new Map(
      list.flatMap((x) => {
        const m = x.requirementId ? null : missingMeasure(x.text);
        return m ? [[x.id, m] as const] : [];
      }),
    ),
  };
}
