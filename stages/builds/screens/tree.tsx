import { projectPage } from "@/platform/pages/page";
import { projectState } from "@/stages/needs/queries/state";
import Link from "@/ui/link";
import { TeamChoice } from "@/ui/link-choice";
import { Empty, PageHead, Sheet } from "@/ui/page";
import { BuildTabs } from "../parts/build-tabs";
import { LazyTree } from "../parts/lazy-tree";
import { failuresOf } from "../queries/failures";
import { treeView } from "../view/tree";

/** Which build was made from which: branches, merges, what changed on the way. */
export async function TreeScreen({ slug, team }: { slug: string; team?: string }) {
  const { frame } = await projectPage(slug);
  const p = frame.project;
  const [facts, failures] = await Promise.all([projectState(p.id), failuresOf(p.id)]);
  const base = `/p/${slug}/builds`;
  const chosen = facts.teams.find((t) => t.id === team)?.id;
  const tree = treeView(facts, failures, chosen, slug);
  return (
    <>
      <PageHead title="Family tree" note="Each build with the builds that it was made from, oldest to the left." />
      <BuildTabs slug={slug} />
      {tree.nodes.length === 0 ? (
        <Empty title="No build yet">A tree grows from the first build on. Each says what it was made from.</Empty>
      ) : (
        <div className="grid min-w-0 gap-4 [&>*]:min-w-0">
          <TeamChoice teams={facts.teams} chosen={chosen} base={`${base}/tree`} />
          <LazyTree nodes={tree.nodes} edges={tree.edges} width={tree.width} height={tree.height} />
          <Sheet title="The same as a list">
            <ul className="grid gap-1">
              {tree.lines.map((l) => (
                <li key={l.id}>
                  <Link href={`${base}/${l.id}`} className="font-[600] hover:text-iron">
                    {l.name}
                  </Link>{" "}
                  <span className="text-soft">
                    {l.from.length ? `from ${l.from.join(" and ")}` : "from nothing before it"}
                  </span>
                  : {l.whatChanged}
                </li>
              ))}
            </ul>
          </Sheet>
        </div>
      )}
    </>
  );
}
