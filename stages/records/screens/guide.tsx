import { notFound } from "next/navigation";
import { projectPage } from "@/platform/pages/page";
import { plural } from "@/platform/registry/words";
import { Caution, PageHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { recordActs } from "../acts";
import { EditGuide, EditStep, NewStep } from "../parts/guide-forms";
import { GuidePlan } from "../parts/guide-plan";
import { RecordsTabs } from "../parts/records-tabs";
import { guideWhole } from "../queries/kept";
import { editionLine } from "../queries/records";
import { cautionLines, guideFaults, planOf } from "../view/guide";

/** A build guide: cautions, parts, a plan from above and the steps, as it is printed; its team corrects it here. */
export async function GuideScreen({ slug, id }: { slug: string; id: string }) {
  const { frame, may } = await projectPage(slug);
  const p = frame.project;
  const line = await editionLine(p.id);
  const whole = await guideWhole(line, id);
  if (!whole) notFound();
  const { guide: g, steps, parts, photos } = whole;
  const writes = g.projectId === p.id && may(recordActs.guide, { team: g.teamId });
  const faults = guideFaults(whole);
  const plan = planOf(steps);
  const partOptions = parts.map((x) => ({ value: x.id as string, label: x.name }));
  const photoOptions = photos.map((x, i) => ({ value: x.id as string, label: x.caption || `Picture ${i + 1}` }));
  return (
    <>
      <PageHead title={g.title} note={`${g.build}, ${g.edition} · ${plural(steps.length, "step")} · by ${g.writtenBy}`}>
        <PrintButton />
      </PageHead>
      <div className="no-print">
        <RecordsTabs slug={slug} />
      </div>
      {g.intro && <p className="mb-3 max-w-2xl">{g.intro}</p>}
      {cautionLines(g.cautions).length > 0 && (
        <div className="mb-4 max-w-2xl">
          <Caution>
            {cautionLines(g.cautions).map((l) => (
              <span key={l} className="block">
                {l}
              </span>
            ))}
          </Caution>
        </div>
      )}
      {writes && faults.says.length > 0 && (
        <ul
          className="no-print mb-4 max-w-2xl border-l-4 border-ochre bg-ochre-wash px-3 py-2"
          aria-label="Not right yet"
        >
          {faults.says.map((s) => (
            <li key={s}>{s}</li>
          ))}
        </ul>
      )}
      <div className="grid items-start gap-x-8 gap-y-5 lg:grid-cols-[minmax(0,1fr)_20rem]">
        <section aria-labelledby="steps" className="order-2 lg:order-1">
          <h2 id="steps" className="mb-1.5">
            Steps
          </h2>
          {steps.length === 0 && <p className="text-soft">No step is written yet.</p>}
          <ol>
            {steps.map((s, i) => (
              <li key={s.id} className="grid grid-cols-[2rem_1fr] gap-x-2 border-t border-line py-2 break-inside-avoid">
                <span className="text-lg font-[650] tabular-nums">{i + 1}</span>
                <div className="min-w-0 wrap-anywhere">
                  <p>{s.what}</p>
                  <p className="text-sm text-soft">
                    {[s.part && `${s.count} × ${s.part}`, s.atEntered && `at ${s.atEntered}`]
                      .filter(Boolean)
                      .join(" · ")}
                  </p>
                  {s.caution && (
                    <p className="mt-1 border-l-4 border-ochre pl-2">
                      <span className="font-[650]">Caution:</span> {s.caution}
                    </p>
                  )}
                  {s.photoId && (
                    <img
                      src={`/api/file/${s.photoId}`}
                      alt={`Step ${i + 1}`}
                      className="mt-1 max-h-64 max-w-full rounded-sm"
                      loading="lazy"
                    />
                  )}
                  {writes && (
                    <EditStep
                      id={s.id}
                      guideId={g.id}
                      version={s.version}
                      number={i + 1}
                      last={i === steps.length - 1}
                      defaults={{
                        what: s.what,
                        partId: s.partId ?? "",
                        count: String(s.count),
                        at: s.atEntered,
                        caution: s.caution,
                        photoId: s.photoId ?? "",
                      }}
                      parts={partOptions}
                      photos={photoOptions}
                    />
                  )}
                </div>
              </li>
            ))}
          </ol>
          {writes && (
            <div className="no-print mt-3 grid justify-items-start gap-3">
              <NewStep guideId={g.id} parts={partOptions} photos={photoOptions} />
              <EditGuide
                slug={slug}
                id={g.id}
                buildId={g.buildId}
                version={g.version}
                defaults={{ title: g.title, intro: g.intro, datum: g.datum, cautions: g.cautions }}
              />
            </div>
          )}
        </section>
        <div className="order-1 grid gap-5 lg:order-2">
          {faults.fitted.length > 0 && (
            <section aria-labelledby="parts">
              <h2 id="parts" className="mb-1.5">
                Lay out first
              </h2>
              <ul>
                {faults.fitted.map((x) => (
                  <li key={x.id} className="flex justify-between gap-3 border-t border-line py-1">
                    <span>{x.name}</span>
                    <span className="tabular-nums">{x.count}</span>
                  </li>
                ))}
              </ul>
            </section>
          )}
          {plan && <GuidePlan plan={plan} datum={g.datum} />}
        </div>
      </div>
    </>
  );
}
