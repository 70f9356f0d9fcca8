import { formatSi } from "@/core/quantity/quantity";
import { projectPage } from "@/platform/pages/page";
import { settingsOf } from "@/platform/project/settings";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { cx } from "@/ui/classes";
import Link from "@/ui/link";
import { Empty, PageHead } from "@/ui/page";
import { tip } from "@/ui/tip";
import { VerdictLegend, VerdictMark } from "@/ui/verdict";
import { Figure } from "@/ui/working";
import { workingAt } from "@/ui/working-at";
import { ConceptForm } from "../parts/concept-form";
import { ConceptTabs } from "../parts/concept-tabs";
import { MergeForm } from "../parts/merge-form";
import { OpenConcepts } from "../parts/open-concepts";
import { fateClass, size } from "../parts/words";
import { conceptsOf } from "../queries/concepts";
import { mustsOf, screen } from "../view/concepts";

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
        <ConceptForm projectId={p.id} slug={slug} />
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
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Concepts">
            <table className="table">
              <thead>
                <tr>
                  <th>Concept</th>
                  <th>By</th>
                  <th className="num">Mass kg</th>
                  <th className="num">Cost {p.currency}</th>
                  <th>Size mm</th>
                  {musts.map((m) => (
                    <th key={m.id} className="px-1 text-center" {...tip(m.statement)}>
                      {m.code}
                    </th>
                  ))}
                  <th>Fate</th>
                </tr>
              </thead>
              <tbody>
                {concepts.map((k) => (
                  <tr key={k.id} className={k.fate === "set aside" || k.fate === "merged" ? "text-soft" : undefined}>
                    <td className="min-w-48">
                      <Link href={`/p/${slug}/concepts/${k.id}`} className="font-[600] hover:text-iron">
                        {k.title}
                      </Link>
                      {k.idea && <span className="line-clamp-1 text-sm text-soft">{k.idea}</span>}
                      {k.parents.length > 0 && (
                        <span className="block text-sm text-slate">
                          from {k.parents.map((x) => x.title).join(" and ")}
                        </span>
                      )}
                    </td>
                    <td className="whitespace-nowrap">
                      {k.author}
                      {k.team && <span className="block text-sm text-soft">{k.team}</span>}
                    </td>
                    <td className="num">{k.mass === null ? "–" : formatSi(k.mass, "kg", 2)}</td>
                    <td className="num">{k.cost === null ? "–" : formatSi(k.cost, "1", 2)}</td>
                    <td className="whitespace-nowrap">{size(k)}</td>
                    {screen(musts, k).map(({ must, status }) => (
                      <td
                        key={must.id}
                        className={cx("px-1 text-center", status.value === "not met" && "bg-iron-wash")}
                      >
                        <Figure
                          working={workingAt(slug, "screen", { concept: k.id, requirement: must.id })}
                          className="border-b-0"
                        >
                          <VerdictMark verdict={status.value} />
                        </Figure>
                      </td>
                    ))}
                    <td className="min-w-40">
                      <span className={fateClass[k.fate]}>{k.fate}</span>
                      {k.fateReason && <span className="line-clamp-2 text-sm text-soft">{k.fateReason}</span>}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </>
      )}
    </>
  );
}
