import "server-only";
import { db } from "@/platform/db/db";
import { type Difference, differences, type Lines, stable } from "@/platform/kept/differences";
import type { KeptRows } from "../view/kept";
import { computeKept, freshen } from "./kept";

/** Kept values as lines: what they are of, and what is kept; numbers as they are. */
const linesOf = (rows: KeptRows): Lines =>
  new Map([
    ...rows.runs.map(
      (r) =>
        [`value ${r.key} of run ${r.runId}`, [r.value, r.u, r.comparable, r.sound, ...r.reasons].join(" | ")] as const,
    ),
    ...rows.summaries.map(
      (s) => [`summary ${s.key} of build ${s.buildId} under ${s.protocolId}`, stable(s.summary)] as const,
    ),
    ...rows.verdicts.map(
      (v) =>
        [
          `verdict on requirement ${v.requirementId} for build ${v.buildId}`,
          `${v.value} (version ${v.requirementNumber}, revision ${v.buildRevision})`,
        ] as const,
    ),
  ]);

async function keptNow(projectId: string): Promise<KeptRows> {
  const sql = db();
  const ids = sql`(SELECT id FROM build WHERE project_id = ${projectId})`;
  const [runs, summaries, verdicts] = await Promise.all([
    sql<KeptRows["runs"][number][]>`SELECT * FROM run_value WHERE build_id IN ${ids}`,
    sql<KeptRows["summaries"][number][]>`SELECT * FROM build_summary WHERE build_id IN ${ids}`,
    sql<KeptRows["verdicts"][number][]>`SELECT * FROM verdict WHERE build_id IN ${ids}`,
  ]);
  return { runs, summaries, verdicts };
}

/** Computes everything that is kept of a project anew and names whatever differs. Says how many values it compared. */
export async function verifyProject(
  projectId: string,
  title: string,
): Promise<{ compared: number; wrong: Difference[] }> {
  await freshen([projectId]);
  const sql = db();
  const builds = await sql<{ id: string }[]>`
    SELECT b.id
    FROM build b
    JOIN team t ON t.id = b.team_id
    WHERE b.project_id = ${projectId} AND t.retired_at IS NULL
  `;
  if (!builds.length) return { compared: 0, wrong: [] };
  const computed = linesOf(
    await computeKept(
      sql,
      projectId,
      builds.map((b) => b.id),
    ),
  );
  const wrong = differences(title, linesOf(await keptNow(projectId)), computed);
  return { compared: computed.size, wrong };
}
