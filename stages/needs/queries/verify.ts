import "server-only";
import { db } from "@/platform/db/db";
import type { KeptRows } from "../view/kept";
import { computeKept, freshen } from "./kept";

/** A kept value that is not what the core computes from the facts. */
export interface Difference {
  readonly project: string;
  /** What it is of, in words. */
  readonly what: string;
  readonly kept: string;
  readonly computed: string;
}

type Lines = Map<string, string>;

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

/** A value as text that does not depend on the order of keys, which the database chooses itself. */
const stable = (value: unknown): string =>
  JSON.stringify(value, (_, v) =>
    v !== null && typeof v === "object" && !Array.isArray(v)
      ? Object.fromEntries(Object.entries(v).sort(([a], [b]) => (a < b ? -1 : 1)))
      : v,
  );

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
  const kept = linesOf(await keptNow(projectId));
  const wrong: Difference[] = [];
  for (const what of new Set([...computed.keys(), ...kept.keys()])) {
    const [a, b] = [kept.get(what) ?? "nothing", computed.get(what) ?? "nothing"];
    if (a !== b) wrong.push({ project: title, what, kept: a, computed: b });
  }
  return { compared: computed.size, wrong };
}
