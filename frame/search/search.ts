import "server-only";
import { type Actor, can } from "@/core/access/can";
import type { Hit } from "@/platform/registry/stage";
import { stages } from "@/stages/index";

/** The jump box: what every stage finds in a project for the words, as far as the actor may see it. */
export async function search(
  project: { id: string; slug: string },
  words: string,
  actor: Actor,
): Promise<(Omit<Hit, "path"> & { href: string })[]> {
  const q = words.trim();
  if (!q) return [];
  const ask = {
    projectId: project.id,
    like: `%${q.replace(/[%_\\]/g, "\\$&")}%`,
    may: (act: Parameters<typeof can>[1]) => can(actor, act, { project: project.id }),
  };
  const found = await Promise.all(stages.map((s) => s.search?.(ask) ?? []));
  return found.flat().map(({ path, ...hit }) => ({ ...hit, href: `/p/${project.slug}${path}` }));
}
