import "server-only";
import { db, inTransaction, type Tx } from "@/platform/db/db";
import { type KeptRows, keptRows } from "../view/kept";
import { measuredFacts } from "./facts";

/** What is kept of a project's builds as it comes out of the facts now; for renewing and for checking. */
export async function computeKept(sql: Tx, projectId: string, buildIds: readonly string[]): Promise<KeptRows> {
  const facts = await measuredFacts(projectId, { buildIds }, sql);
  const wanted = new Set(buildIds);
  return keptRows(
    facts,
    facts.builds.filter((b) => wanted.has(b.id)),
  );
}

async function write(sql: Tx, rows: KeptRows, buildIds: readonly string[]): Promise<void> {
  await sql`
    WITH gone AS (DELETE FROM run_value WHERE build_id IN ${sql(buildIds)}),
    summaries AS (DELETE FROM build_summary WHERE build_id IN ${sql(buildIds)})
    DELETE FROM verdict WHERE build_id IN ${sql(buildIds)}
  `;
  await sql`
    INSERT INTO run_value
      (run_id, key, build_id, value, u, comparable, sound, reasons, run_version, protocol_number)
    SELECT
      x."runId", x.key, x."buildId", x.value, x.u, x.comparable, x.sound, x.reasons, x."runVersion",
      x."protocolNumber"
    FROM jsonb_to_recordset(${sql.json(rows.runs as never)}) AS x (
      "runId" uuid, key text, "buildId" uuid, value float8, u float8, comparable boolean, sound boolean,
      reasons text[], "runVersion" integer, "protocolNumber" integer
    )
  `;
  await sql`
    INSERT INTO build_summary (build_id, protocol_id, key, summary, protocol_number)
    SELECT x."buildId", x."protocolId", x.key, x.summary, x."protocolNumber"
    FROM jsonb_to_recordset(${sql.json(rows.summaries as never)}) AS x (
      "buildId" uuid, "protocolId" uuid, key text, summary jsonb, "protocolNumber" integer
    )
  `;
  await sql`
    INSERT INTO verdict (requirement_id, build_id, value, requirement_number, build_revision)
    SELECT x."requirementId", x."buildId", x.value, x."requirementNumber", x."buildRevision"
    FROM jsonb_to_recordset(${sql.json(rows.verdicts as never)}) AS x (
      "requirementId" uuid, "buildId" uuid, value text, "requirementNumber" integer, "buildRevision" integer
    )
  `;
}

async function renew(projectId: string): Promise<void> {
  await inTransaction(async (sql) => {
    // Readers who find the same builds marked wait for the first one; then nothing is left to do.
    await sql`SELECT pg_advisory_xact_lock(hashtextextended(${projectId}, 0))`;
    const marked = await sql<{ buildId: string; mark: string }[]>`
      SELECT build_id, mark FROM kept_build WHERE project_id = ${projectId} AND stale ORDER BY build_id
    `;
    if (!marked.length) return;
    const ids = marked.map((m) => m.buildId);
    await write(sql, await computeKept(sql, projectId, ids), ids);
    // What changed while this was computed has another mark by now, and stays marked.
    await sql`
      UPDATE kept_build k
      SET stale = false
      FROM unnest(${ids}::uuid[], ${marked.map((m) => m.mark)}::bigint[]) AS x (id, mark)
      WHERE k.build_id = x.id AND k.mark = x.mark
    `;
  });
}

/** Computes anew what is marked in these projects, and keeps it; with nothing marked, one query. */
export async function freshen(projectIds: readonly string[]): Promise<void> {
  if (!projectIds.length) return;
  const sql = db();
  const marked = await sql<{ projectId: string }[]>`
    SELECT DISTINCT project_id FROM kept_build WHERE project_id IN ${sql(projectIds)} AND stale
  `;
  for (const { projectId } of marked) await renew(projectId);
}
