import "server-only";
import { planStages, type StageKey } from "@/core/stages/stages";
import { db } from "@/platform/db/db";
import type { Frame } from "@/platform/project/frame";
import { stages } from "@/stages/index";

export interface SpineStage {
  readonly key: StageKey;
  readonly name: string;
  /** Class sessions planned for it. */
  readonly planned: number;
  /** 0 to 1: how far the class stands in this stage. */
  readonly filled: number;
  readonly note: string;
}

/** How far each stage stands, from what is on record: every stage's columns in one query. */
export async function spineOf(frame: Frame): Promise<SpineStage[]> {
  const sql = db();
  const strata = stages.flatMap((s) => (s.stratum ? [{ key: s.key as StageKey, name: s.name, of: s.stratum }] : []));
  const columns = strata.map((s) => s.of.columns(sql, frame.project.id, frame.today));
  const [row] = await sql<Record<string, unknown>[]>`
    SELECT ${columns.flatMap((c, i) => (i ? [sql`,`, c] : [c]))}
  `;
  const plan = planStages(frame.sessions.length);
  return strata.map((s) => {
    const [filled, note] = s.of.line(row!, frame.project);
    return { key: s.key, name: s.name, planned: plan[s.key], filled, note };
  });
}
