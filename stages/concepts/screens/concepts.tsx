import { projectPage } from "@/platform/pages/page";
import { settingsOf } from "@/platform/project/settings";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { Empty, PageHead } from "@/ui/page";
import { VerdictLegend } from "@/ui/verdict";
import { ConceptForm } from "../parts/concept-form";
import { ConceptTabs } from "../parts/concept-tabs";
import { ConceptsTable } from "../parts/concepts-table";
import { MergeForm } from "../parts/merge-form";
import { OpenConcepts } from "../parts/open-concepts";
import { conceptsOf } from "../queries/concepts";
import { mustsOf } from "../view/concepts";

/** Every concept screened against every must, with its estimates, its fate and the reason. */
export async function ConceptsScreen({ slug }: { slug: string }) {
  const { frame, staff, actor } = await projectPage(slug);
  const p = frame.project;
  const [concepts, requirements, settings] = await Promise.all([
    conceptsOf(p.id, actor),
    requirementsOf(p.id),
    settingsOf(p.id),
  ]);
  const musts = mustsOf(requirements);
  const authors = new Set(concepts.map((k) => k.authorId));
  return (
    <>
      <PageHead
        title="Concepts"
        note={
          concepts.length
            ? `${concepts.filter((k) => k.fate === "goes on").length} go on of ${concepts.length}. ` +
              (settings.conceptsOpen
                ? "Everybody in the class sees them."
                : staff
                  ? `Students see their own only; ${authors.size} of ${frame.students} have one.`
                  : "Only you and your instructor see yours until all are opened.")
            : undefined
        }
      >
        {staff && concepts.length > 1 && (
          <MergeForm
            projectId={p.id}
            slug={slug}
            concepts={concepts.filter((k) => k.fate !== "merged").map((k) => ({ value: k.id, label: k.title }))}
          />
        )}
        {staff && concepts.length > 0 && <OpenConcepts projectId={p.id} open={settings.conceptsOpen} />}
        <ConceptForm projectId={p.id} slug={slug} units={frame.units} />
      </PageHead>
      <ConceptTabs slug={slug} />
      {concepts.length === 0 && (
        <Empty title="No concept yet">
          Each student sketches an idea alone before anybody touches material: how it works, key dimensions, estimates
          of mass and cost, and how it meets each must. Nobody sees the others' until the instructor opens them.
        </Empty>
      )}
      {concepts.length > 0 && (
        <>
          <div className="mb-2 flex justify-end">
            <VerdictLegend />
          </div>
          <ConceptsTable slug={slug} currency={p.currency} concepts={concepts} musts={musts} units={frame.units} />
        </>
      )}
    </>
  );
}
