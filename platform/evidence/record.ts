import "server-only";
import type { Tx } from "@/platform/db/db";

/**
 * Evidence of a run for every requirement that asks for something the protocol measures: a query that is sent when it
 * is awaited, so that it can go together with the run itself.
 */
export const noteRunEvidence = (
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
) => sql`
    INSERT INTO evidence
      (id, project_id, requirement_id, build_id, kind, run_id, requirement_version, build_revision, protocol_version,
       recorded_by)
    SELECT
      gen_random_uuid(), ${run.projectId}, r.id, ${run.buildId}, 'run', ${run.id}, v.number, ${run.buildRevision},
      ${run.protocolNumber}, ${by}
    FROM requirement r
    JOIN LATERAL (
      SELECT number, measure FROM requirement_version WHERE requirement_id = r.id ORDER BY number DESC LIMIT 1
    ) v ON true
    WHERE r.project_id = ${run.projectId} AND v.measure LIKE ${`run:${run.protocolId}:%`}
  `;
