import "server-only";
import type { Waiting } from "@/platform/registry/stage";
import { stages } from "@/stages/index";

/** What waits for the instructor, by project, from what every stage knows; each stage asks once for all projects. */
export async function waitingIn(
  projectIds: readonly string[],
  today: string,
  /** A stage whose own page shows what waits there. */
  except?: string,
): Promise<Map<string, Waiting[]>> {
  const out = new Map<string, Waiting[]>(projectIds.map((id) => [id, []]));
  if (!projectIds.length) return out;
  const found = await Promise.all(stages.map((s) => (s.key === except ? [] : (s.waiting?.(projectIds, today) ?? []))));
  for (const w of found.flat().sort((a, b) => Number(b.first ?? false) - Number(a.first ?? false)))
    out.get(w.projectId)?.push(w);
  return out;
}
