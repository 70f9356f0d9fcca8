import type * as row from "@/platform/db/rows";
import "server-only";
import { volatility } from "@/core/needs/conflicts";
import { db } from "@/platform/db/db";

export interface Baseline {
  id: row.Baseline["id"];
  number: row.Baseline["number"];
  note: row.Baseline["note"];
  madeBy: row.Baseline["madeBy"];
  madeAt: row.Baseline["madeAt"];
  content: { code: string; version: number; statement: string }[];
}

export interface ChangeRequest {
  id: row.ChangeRequest["id"];
  requirementId: row.ChangeRequest["requirementId"];
  code: row.Requirement["code"] | null;
  what: row.ChangeRequest["what"];
  reason: row.ChangeRequest["reason"];
  askedBy: row.ChangeRequest["askedBy"];
  state: row.ChangeRequest["state"];
  decision: row.ChangeRequest["decision"];
  decidedBy: row.ChangeRequest["decidedBy"];
  decidedAt: row.ChangeRequest["decidedAt"];
  createdAt: row.ChangeRequest["createdAt"];
  version: row.ChangeRequest["version"];
  /** The version that carried it out. */
  requirementVersion: row.ChangeRequest["requirementVersion"];
}

export const baselinesOf = (projectId: string) =>
  db()<Baseline[]>`
    SELECT id, number, note, made_by, made_at, content
    FROM baseline
    WHERE project_id = ${projectId}
    ORDER BY number DESC
  `;

export const changesOf = (projectId: string) => db()<ChangeRequest[]>`
  SELECT
    c.id, c.requirement_id, r.code, c.what, c.reason, c.asked_by, c.state, c.decision, c.decided_by, c.decided_at,
    c.created_at, c.version, c.requirement_version
  FROM change_request c
  LEFT JOIN requirement r ON r.id = c.requirement_id
  WHERE c.project_id = ${projectId}
  ORDER BY c.state <> 'open', coalesce(c.decided_at, c.created_at) DESC
`;

/** Volatility since the first baseline: versions made after it, per week. */
export async function volatilityOf(
  projectId: string,
  today: string,
): Promise<{ perWeek: number | null; changes: number; since: string | null }> {
  const [r] = await db()<{ since: string | null; changes: string[] }[]>`
    WITH b AS (SELECT min(made_at) AS at FROM baseline WHERE project_id = ${projectId})
    SELECT
      b.at::date::text AS since,
      coalesce(
        (
          SELECT array_agg(v.created_at::date::text)
          FROM requirement_version v
          JOIN requirement r ON r.id = v.requirement_id
          WHERE r.project_id = ${projectId} AND v.created_at > b.at
        ),
        '{}'
      ) AS changes
    FROM b
  `;
  const { since, changes } = r!;
  return { perWeek: volatility({ changes, baseline: since, today }), changes: changes.length, since };
}
