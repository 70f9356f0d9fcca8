import type * as row from "@/platform/db/rows";
import "server-only";
import { nextCode } from "@/core/needs/requirement";
import type { Priority, RequirementKind, VerificationMethod } from "@/core/vocabulary/needs";
import { newId, type Tx } from "@/platform/db/db";

/** What the first version of a requirement says, its numbers in SI. */
export interface NewRequirement {
  readonly statement: string;
  readonly kind: RequirementKind;
  readonly priority: Priority;
  readonly measure: string | null;
  readonly comparator: string | null;
  readonly target: string | null;
  readonly second: string | null;
  readonly sides: readonly string[] | null;
  readonly unit: string | null;
  readonly method: VerificationMethod | null;
  readonly source: string;
  readonly reason?: string;
}

/** Adds a requirement under the next free code; what was measured already becomes its evidence. */
export async function insertRequirement(
  sql: Tx,
  projectId: string,
  values: NewRequirement,
  by: string,
): Promise<{ id: string; code: string }> {
  await sql`SELECT FROM project WHERE id = ${projectId} FOR UPDATE`;
  const known = await sql<
    { code: row.Requirement["code"] }[]
  >`SELECT code FROM requirement WHERE project_id = ${projectId}`;
  const code = nextCode(known.map((r) => r.code));
  const id = newId();
  await sql`INSERT INTO requirement (id, project_id, code) VALUES (${id}, ${projectId}, ${code})`;
  await sql`
    INSERT INTO requirement_version ${sql({
      ...(values as object),
      id: newId(),
      requirementId: id,
      number: 1,
      createdBy: by,
    } as never)}
  `;
  await adoptEvidence(sql, projectId, id, values.measure, by);
  return { id, code };
}

/**
 * A requirement that starts to ask for something already measured takes the existing measurements of current revisions
 * as its evidence.
 */
export async function adoptEvidence(
  sql: Tx,
  projectId: string,
  requirementId: string,
  measure: string | null,
  by: string,
): Promise<void> {
  if (!measure) return;
  const [v] = await sql<
    { number: number }[]
  >`SELECT max(number) AS number FROM requirement_version WHERE requirement_id = ${requirementId}`;
  const rows = measure.startsWith("run:")
    ? await sql<
        {
          buildId: row.Run["buildId"];
          runId: row.Run["id"] | null;
          buildRevision: row.Run["buildRevision"];
          protocolVersion: row.ProtocolVersion["number"] | null;
        }[]
      >`
      SELECT r.build_id, r.id AS run_id, r.build_revision, pv.number AS protocol_version
      FROM run r
      JOIN protocol_version pv ON pv.id = r.protocol_version_id
      WHERE r.project_id = ${projectId} AND pv.protocol_id = ${measure.split(":")[1]!}
    `
    : await sql<
        {
          buildId: row.Build["id"];
          runId: string | null;
          buildRevision: row.Build["revision"];
          protocolVersion: number | null;
        }[]
      >`
      SELECT id AS build_id, NULL::uuid AS run_id, revision AS build_revision, NULL::int AS protocol_version
      FROM build
      WHERE project_id = ${projectId}
    `;
  if (rows.length)
    await sql`
      INSERT INTO evidence ${sql(
        rows.map((r) => ({
          ...r,
          id: newId(),
          projectId,
          requirementId,
          kind: r.runId ? "run" : "build",
          requirementVersion: v!.number,
          recordedBy: by,
        })),
      )}
    `;
}
