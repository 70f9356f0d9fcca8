import { projectPage } from "@/platform/pages/page";
import { plural } from "@/platform/registry/words";
import { buildsOf } from "@/stages/builds/queries/builds";
import Link from "@/ui/link";
import { Empty, PageHead, Sheet } from "@/ui/page";
import { recordActs } from "../acts";
import { NewGuide } from "../parts/guide-forms";
import { RecordsTabs } from "../parts/records-tabs";
import { guidesOf } from "../queries/kept";
import { editionLine } from "../queries/records";

/** Build guides of this edition and those before it. */
export async function GuidesScreen({ slug }: { slug: string }) {
  const { frame, may } = await projectPage(slug);
  const p = frame.project;
  const [line, builds] = await Promise.all([editionLine(p.id), buildsOf(p.id)]);
  const guides = await guidesOf(line);
  const own = builds.filter((b) => may(recordActs.guide, { team: b.teamId }));
  return (
    <>
      <PageHead
        title="Build guides"
        note="How a good build is made again, step by step: the next class starts from it."
      />
      <RecordsTabs slug={slug} />
      <div className="grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <div>
          {guides.length === 0 && (
            <Empty title="No guide is written yet">
              A guide has the parts list, a step for each part with its place, cautions and pictures. It prints.
            </Empty>
          )}
          <ul>
            {guides.map((g) => (
              <li key={g.id} className="border-t border-line py-2">
                <Link href={`/p/${slug}/records/guides/${g.id}`} className="font-[650] hover:text-iron">
                  {g.title}
                </Link>{" "}
                <span className="text-soft">
                  {g.build}
                  {g.projectId !== p.id && `, ${g.edition}`} · {plural(g.steps, "step")} · by {g.writtenBy}
                </span>
                {g.intro && <p>{g.intro}</p>}
              </li>
            ))}
          </ul>
        </div>
        {own.length > 0 && (
          <Sheet title="A guide more">
            <NewGuide
              slug={slug}
              builds={own.map((b) => ({ value: b.id as string, label: `${b.team} G${b.number}` }))}
            />
          </Sheet>
        )}
      </div>
    </>
  );
}
