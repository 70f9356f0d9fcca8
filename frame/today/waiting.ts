import "server-only";
import type { Waiting } from "@/platform/registry/stage";
import { stages } from "@/stages/index";

/** What waits for the instructor, by project, from what every stage knows; each stage asks once for all projects. */
export async function waitingIn(projectIds: readonly string[], today: string): Promise<Map<string, Waiting[]>> {
  const out = new Map<string, Waiting[]>(projectIds.map((id) => [id, []]));
  if (!projectIds.length) return out;
  const found = await Promise.all(stages.map((s) => s.waiting?.(projectIds, today) ?? []));
  for (const w of found.flat()) out.get(w.projectId)?.push(w);
  return out;
}
