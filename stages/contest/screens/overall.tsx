import { combineMethod } from "@/core/vocabulary/contest";
import { projectPage } from "@/platform/pages/page";
import { Fold } from "@/ui/fold";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { Figure } from "@/ui/working";
import { contestActs } from "../acts";
import { AwardsForm } from "../parts/awards-form";
import { EventNav } from "../parts/event-nav";
import { OverallForm } from "../parts/overall-form";
import { contestOf } from "../queries/contest";
import { awardsOf, besides } from "../view/awards";
import { overallView, withoutOpenMarks } from "../view/overall";

/** All events as one ranking, what other ways of making it would say, and the awards that the record gives. */
export async function OverallScreen({ slug }: { slug: string }) {
  const { frame, may } = await projectPage(slug, contestActs.read);
  const p = frame.project;
  const { names, settings, ...all } = await contestOf(p.id);
  const { combine } = settings;
  const awarded = may(contestActs.edit) ? all : { ...all, contest: withoutOpenMarks(all.contest) };
  const staff = may(contestActs.edit) && !p.finishedAt;
  const view = overallView(awarded.contest);
  const awards = awardsOf(awarded);
  return (
    <>
      <PageHead
        title="Overall"
        note={
          `${combineMethod.labels[combine].split(":")[0]!}, each times its weight` +
          `${view.open.length ? ` · not confirmed yet: ${view.open.join(", ")}` : ""}`
        }
      >
        <EventNav slug={slug} events={names} chosen="overall" staff={staff} />
        <LinkButton href={`/p/${slug}/csv/standings`} download>
          CSV
        </LinkButton>
      </PageHead>
      {view.rows.length === 0 ? (
        <Empty
          title="No event counts yet"
          action={staff && <LinkButton href={`/p/${slug}/contest`}>To the contest</LinkButton>}
        >
          Several events become one ranking here, as it was declared beforehand.
        </Empty>
      ) : (
        <div className="grid items-start gap-6 xl:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)]">
          <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
            <DataTable
              caption="Overall ranking"
              columns={[
                { key: "place", text: "Place", num: true },
                { key: "team", text: "Team", className: "font-[600]" },
                ...view.counted.map((e) => ({
                  key: e.id,
                  text: Number(e.weight) === 1 ? e.name : `${e.name} × ${e.weight}`,
                  num: true,
                })),
                { key: "total", text: "Together", num: true },
              ]}
              rows={view.rows.map((r) => ({
                id: r.team,
                cells: {
                  place: { value: r.place, show: r.place ?? "–", className: "font-[650] text-iron" },
                  team: { value: r.team },
                  ...Object.fromEntries(view.counted.map((e, i) => [e.id, { value: r.parts[i]! }])),
                  total: { value: r.total, show: <Figure working={r.working}>{r.shown}</Figure> },
                },
              }))}
            />
            <div>
              {!view.begun ? (
                <p className="text-soft">Nobody has a place in any event yet: this is how it will be made.</p>
              ) : view.otherwise.length === 0 ? (
                <p className="text-soft">Every way of putting the events together names the same first.</p>
              ) : (
                <>
                  <p>The way of putting them together can change the first place:</p>
                  <ul className="text-soft">
                    {view.otherwise.map((says) => (
                      <li key={says}>{says}</li>
                    ))}
                  </ul>
                </>
              )}
            </div>
            {staff && (
              <OverallForm
                projectId={p.id}
                method={combine}
                events={names.map(({ id, name, weight }) => ({ id, name, weight }))}
              />
            )}
          </div>
          <Sheet title="Awards by the record">
            {awards.length === 0 ? (
              <p className="text-soft">Nothing is decided yet.</p>
            ) : (
              <dl className="grid gap-2">
                {awards.map((a) => (
                  <div key={a.title} className="border-b border-line pb-2 last:border-0">
                    <dt className="text-sm text-soft">{a.title}</dt>
                    <dd>
                      <strong>{a.teams.join(" and ")}</strong> <span className="text-soft">{a.says}</span>
                      {a.rows && (
                        <Fold
                          label={
                            <>
                              the whole ranking <span className="sr-only">of {a.title}</span>
                            </>
                          }
                          labelClass="text-sm text-soft"
                        >
                          <ol className="mt-1 ml-4 grid gap-0.5 text-sm">
                            {a.rows.map((r) => (
                              <li key={r.name} className="grid grid-cols-[2em_1fr_auto] gap-2">
                                <span className="text-right">{r.place ?? "–"}</span>
                                <span>{r.name}</span>
                                <Figure working={r.working}>{r.shown}</Figure>
                              </li>
                            ))}
                          </ol>
                        </Fold>
                      )}
                    </dd>
                  </div>
                ))}
              </dl>
            )}
            {besides(awards).map((says) => (
              <p key={says} className="mt-2">
                {says}
              </p>
            ))}
            {staff && (
              <div className="mt-3">
                <AwardsForm projectId={p.id} given={awarded.given} />
              </div>
            )}
          </Sheet>
        </div>
      )}
    </>
  );
}
