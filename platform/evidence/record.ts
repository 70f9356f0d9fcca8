import type * as row from "../db/rows";
import "server-only";
import { newId, type Tx } from "@/platform/db/db";

/** Evidence of a run for every requirement that asks for something the protocol measures. */
export async function noteRunEvidence(
  sql: Tx,
  run: {
    id: string;
    projectId: string;
    buildId: string;
    buildRevision: number;
    protocolId: string;
    protocolNumber: number;
  },
  by: string,
): Promise<void> {
  const asks = await sql<{ id: row.Requirement["id"]; number: row.RequirementVersion["number"] }[]>`
    SELECT r.id, v.number
    FROM requirement r
    JOIN LATERAL (
      SELECT number, measure FROM requirement_version WHERE requirement_id = r.id ORDER BY number DESC LIMIT 1
    ) v ON true
    WHERE r.project_id = ${run.projectId} AND v.measure LIKE ${`run:${run.protocolId}:%`}
  `;
  if (asks.length)
    await sql`
      INSERT INTO evidence ${sql(
        asks.map((a) => ({
          id: newId(),
          projectId: run.projectId,
          requirementId: a.id,
          buildId: run.buildId,
          kind: "run",
          runId: run.id,
          requirementVersion: a.number,
          buildRevision: run.buildRevision,
          protocolVersion: run.protocolNumber,
          recordedBy: by,
        })),
      )}
    `;
}
