import { isId } from "@/platform/db/id";
import { projectPage } from "@/platform/pages/page";
import { Handbook } from "../parts/handbook";
import { targetsOf, useOf } from "../queries/uses";

/** The handbook in a project: in its units, and a calculation is kept with what it was made for. */
export async function HandbookScreen({ slug, use }: { slug: string; use?: string }) {
  const { frame, actor, staff, ownTeam } = await projectPage(slug);
  const [targets, opened] = await Promise.all([
    targetsOf(frame.project.id, actor.id, ownTeam, staff),
    use && isId(use) ? useOf(frame.project.id, use) : null,
  ]);
  const mine = opened && targets.some((t) => t.id === opened.targetId) ? opened : null;
  return <Handbook base={`/p/${slug}`} units={frame.project.units ?? "metric"} keeping={{ targets, use: mine }} />;
}
