import type { Kind } from "@/core/run/reading";
import type { Comparator, Priority, RequirementKind, VerificationMethod } from "@/core/vocabulary/needs";
import type * as row from "@/platform/db/rows";
import "server-only";

import { cache } from "react";
import { db, type Tx } from "@/platform/db/db";
import type { Fragment } from "@/platform/registry/stage";

export interface RequirementRow {
  id: string;
  code: string;
  rowVersion: number;
  ownerId: string | null;
  owner: string | null;
  number: number;
  statement: string;
  kind: RequirementKind;
  priority: Priority;
  measure: string | null;
  comparator: Comparator | null;
  target: string | null;
  second: string | null;
  sides: string[] | null;
  unit: string | null;
  /** The kind of the reading that it asks for, where that is no number. */
  reading: Kind | null;
  method: VerificationMethod | null;
  source: string;
  reason: string;
  createdBy: string;
  createdAt: string;
}

/** The kind of the reading that a requirement's version `v` asks for, as the newest version of its protocol has it. */
const reading = (sql: Tx) => sql`
  (
    SELECT m
    FROM protocol_version o, jsonb_array_elements(o.definition -> 'measures') m
    WHERE v.measure LIKE 'run:%' AND o.protocol_id::text = split_part(v.measure, ':', 2)
      AND m ->> 'key' = split_part(v.measure, ':', 3) AND m ? 'kind'
    ORDER BY o.number DESC
    LIMIT 1
  ) AS reading
`;

const current = (sql: Tx, where: Fragment) => sql<(RequirementRow & { projectId: string })[]>`
  SELECT
    r.project_id, r.id, r.code, r.version AS row_version, r.owner_id,
    (SELECT name FROM person WHERE id = r.owner_id) AS owner, v.number, v.statement, v.kind, v.priority, v.measure,
    v.comparator, v.target, v.second, v.sides, v.unit, ${reading(sql)}, v.method, v.source, v.reason, v.created_by,
    v.created_at
  FROM requirement r
  JOIN LATERAL (SELECT * FROM requirement_version WHERE requirement_id = r.id ORDER BY number DESC LIMIT 1) v ON true
  WHERE r.retired_at IS NULL AND ${where}
  ORDER BY r.code
`;

const asked = cache((ids: string, sql: Tx) => current(sql, sql`r.project_id IN ${sql(ids.split(" "))}`));

/** The requirements of these projects that are in force, by code, each in its newest version; asked once a page. */
export const requirementsIn = (projectIds: readonly string[], sql: Tx = db()) => asked(projectIds.join(" "), sql);

/** The same of one project. */
export const requirementsOf = (projectId: string, sql: Tx = db()): PromiseLike<RequirementRow[]> =>
  requirementsIn([projectId], sql);

export const requirementHistory = (requirementId: string, sql: Tx = db()) => sql<
  Omit<RequirementRow, "id" | "code" | "rowVersion" | "ownerId" | "owner">[]
>`
  SELECT
    number, statement, kind, priority, measure, comparator, target, second, sides, unit, ${reading(sql)}, method,
    source, reason, created_by, created_at
  FROM requirement_version v
  WHERE requirement_id = ${requirementId}
  ORDER BY number DESC
`;

export const retiredRequirements = (projectId: string) => db()<
  {
    id: row.Requirement["id"];
    code: row.Requirement["code"];
    statement: string;
    retiredReason: row.Requirement["retiredReason"];
  }[]
>`
  SELECT
    r.id, r.code, r.retired_reason,
    (SELECT statement FROM requirement_version WHERE requirement_id = r.id ORDER BY number DESC LIMIT 1) AS statement
  FROM requirement r
  WHERE project_id = ${projectId} AND retired_at IS NOT NULL
  ORDER BY code
`;
