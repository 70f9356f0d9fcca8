import { fullDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { buildsOf } from "@/stages/builds/queries/builds";
import Link from "@/ui/link";
import { Empty, PageHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { recordActs } from "../acts";
import { EditModel, LendModel, LoanButtons, NewModel, ScrapModel, UnscrapModel } from "../parts/model-forms";
import { RecordsTabs } from "../parts/records-tabs";
import { keptModels } from "../queries/kept";
import { editionLine } from "../queries/records";
import { modelState } from "../view/models";

/** Kept models: which stands on which shelf, who has it, and what became of the others. */
export async function ModelsScreen({ slug }: { slug: string }) {
  const { frame, may, actor } = await projectPage(slug);
  const p = frame.project;
  const [line, builds] = await Promise.all([editionLine(p.id), buildsOf(p.id)]);
  const models = await keptModels(line);
  const keeps = may(recordActs.shelve);
  const options = builds.map((b) => ({ value: b.id as string, label: `${b.team} G${b.number}` }));
  return (
    <>
      <PageHead
        title="Kept models"
        note="What stands on the shelf from this edition and those before it: to look at, to lend, and to learn from."
      >
        <PrintButton />
      </PageHead>
      <RecordsTabs slug={slug} />
      {models.length === 0 && (
        <Empty title="No model is kept yet">
          At the end of a project the best go on a shelf. Written down here, the next class finds them.
        </Empty>
      )}
      <ul className="grid gap-x-8 lg:grid-cols-2">
        {models.map((m) => {
          const state = modelState(m, frame.today);
          // Another edition's is kept by whoever keeps that edition.
          const own = keeps && m.projectId === p.id;
          return (
            <li key={m.id} className="min-w-0 border-t border-line py-2 wrap-anywhere">
              <p>
                <span className={state.gone ? "text-soft line-through" : "font-[650]"}>{m.name}</span>{" "}
                <span className="text-soft">
                  {m.build &&
                    (m.buildId && actor.projects[m.projectId] ? (
                      <Link href={`/p/${m.slug}/builds/${m.buildId}`} className="text-ink underline hover:text-iron">
                        {m.build}
                      </Link>
                    ) : (
                      m.build
                    ))}
                  {m.projectId !== p.id && `${m.build ? ", " : ""}${m.edition}`}
                </span>
              </p>
              <p>
                {m.scrappedOn ? (
                  <span className="text-soft">
                    scrapped on {fullDate(m.scrappedOn)}: {m.scrappedWhy}
                  </span>
                ) : state.loan ? (
                  <span className={state.late ? "text-iron" : undefined}>
                    lent{own && ` to ${state.loan.lentTo}`} since {fullDate(state.loan.lentOn)}
                    {state.loan.dueOn && `, due back ${fullDate(state.loan.dueOn)}`}
                    {state.late && ": late"}
                  </span>
                ) : (
                  m.place || <span className="text-soft">no place is written</span>
                )}
              </p>
              {m.note && <p className="text-sm text-soft">{m.note}</p>}
              {own && (
                <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
                  {state.loan && <LoanButtons id={state.loan.id} version={state.loan.version} out name={m.name} />}
                  {!state.loan && !m.scrappedOn && <LendModel artefactId={m.id} name={m.name} />}
                  {!state.loan && !m.scrappedOn && <ScrapModel id={m.id} version={m.version} name={m.name} />}
                  {m.scrappedOn && <UnscrapModel id={m.id} version={m.version} name={m.name} />}
                  <EditModel model={m} builds={options} />
                </div>
              )}
              {own && state.earlier.length > 0 && (
                <ul className="text-sm text-soft">
                  {state.earlier.map((l) => (
                    <li key={l.id}>
                      {l.lentTo}, {fullDate(l.lentOn)} to {fullDate(l.backOn!)}{" "}
                      {l.id === state.again && <LoanButtons id={l.id} version={l.version} out={false} name={m.name} />}
                    </li>
                  ))}
                </ul>
              )}
            </li>
          );
        })}
      </ul>
      {keeps && (
        <div className="mt-4">
          <NewModel projectId={p.id} builds={options} />
        </div>
      )}
    </>
  );
}
