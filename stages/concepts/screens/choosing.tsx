import { conceptMethod } from "@/core/vocabulary/concepts";
import { instant } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { settingsOf } from "@/platform/project/settings";
import Link from "@/ui/link";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { ConceptTabs } from "../parts/concept-tabs";
import { SelectionForm } from "../parts/selection-form";

import { conceptsOf } from "../queries/concepts";
import { selectionsOf } from "../queries/selection";

export async function ChoosingScreen({ slug }: { slug: string }) {
  const { frame, staff, actor } = await projectPage(slug);
  const p = frame.project;
  const [selections, concepts, settings] = await Promise.all([
    selectionsOf(p.id),
    conceptsOf(p.id, actor),
    settingsOf(p.id),
  ]);
  const standing = concepts.filter((k) => k.fate === "open" || k.fate === "goes on");
  const shown = staff || settings.conceptsOpen ? selections : [];
  return (
    <>
      <PageHead title="Choosing" note="Which concepts go on, by whom, by what, and why." />
      <ConceptTabs slug={slug} />
      {shown.length > 0 && (
        <ul className="sheet mb-5 divide-y divide-line">
          {shown.map((x) => (
            <li key={x.id} className="flex flex-wrap items-baseline justify-between gap-x-4 px-3 py-2">
              <span>
                <Link href={`/p/${slug}/concepts/choose/${x.id}`} className="font-[650] hover:text-iron">
                  {x.title}
                </Link>{" "}
                <span className="text-soft">
                  {conceptMethod.labels[x.school]}, {x.definition.keep} of {x.concepts.length} go on
                </span>
              </span>
              <span className="text-sm text-soft">
                {x.closedAt
                  ? `closed ${instant(x.closedAt)}`
                  : `${x.sheets.length} ${x.sheets.length === 1 ? "sheet" : "sheets"} in`}
              </span>
            </li>
          ))}
        </ul>
      )}
      {staff ? (
        standing.length < 2 ? (
          <Empty
            title="Two concepts make a choice"
            action={<LinkButton href={`/p/${slug}/concepts`}>To the concepts</LinkButton>}
          >
            When at least two concepts stand, open a selection here: the client chooses, a panel scores, the class
            votes, or a matrix decides.
          </Empty>
        ) : (
          <Sheet title={shown.length ? "Another selection" : "Open a selection"}>
            <SelectionForm
              projectId={p.id}
              slug={slug}
              school={settings.conceptSchool}
              concepts={standing.map((k) => ({ value: k.id, label: k.title }))}
            />
          </Sheet>
        )
      ) : (
        shown.length === 0 && <p className="text-soft">Nothing is to be chosen now.</p>
      )}
    </>
  );
}
