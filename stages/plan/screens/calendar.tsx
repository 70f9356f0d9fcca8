import { describePattern, sessionsHeld } from "@/core/sessions/sessions";
import { longDate, shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { cx } from "@/ui/classes";
import { Fold } from "@/ui/fold";
import { LinkButton, PageHead, Sheet } from "@/ui/page";
import { tip } from "@/ui/tip";
import { RemoveDayOff, RemoveDaysOff, RemoveExtra } from "../parts/buttons";
import { DaysOffForm } from "../parts/days-off-form";
import { ExtraForm } from "../parts/extra-form";
import { IcsImport } from "../parts/ics-import";
import { PatternForm } from "../parts/pattern-form";
import { PlanTabs } from "../parts/plan-tabs";
import { RenameSection } from "../parts/rename-section";
import { SectionForm } from "../parts/section-form";
import { breaksOf } from "../view/days-off";

/** The calendar: each section's pattern and sessions, days off and extra sessions. */
export async function CalendarScreen({ slug }: { slug: string }) {
  const { frame, staff } = await projectPage(slug);
  const p = frame.project;
  const sections = frame.sections.map((s) => ({ value: s.id, label: `section ${s.name}` }));
  const of = (id: string | null) => (id ? ` (section ${frame.sections.find((s) => s.id === id)?.name})` : "");
  return (
    <>
      <PageHead
        title="Calendar"
        note="Class sessions come from each section's pattern, less days off, with what was added."
      />
      <PlanTabs slug={slug} />
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_330px]">
        <div className="grid min-w-0 gap-6 [&>*]:min-w-0">
          {frame.sections.map((s) => {
            const list = frame.calendars.get(s.id) ?? [];
            const c = s.pattern;
            return (
              <section key={s.id}>
                <div className="mb-2 flex flex-wrap items-baseline justify-between gap-3">
                  <h2>
                    Section {s.name}{" "}
                    <span className="font-normal text-soft">
                      {describePattern(c)} · {list.length} sessions, {sessionsHeld(list, frame.today)} held
                      {s.eventOn && ` · event ${longDate(s.eventOn)}`}
                    </span>{" "}
                    {staff && <RenameSection projectId={p.id} sectionId={s.id} version={s.version} name={s.name} />}
                  </h2>
                  <LinkButton href={`/p/${slug}/calendar/${s.id}`} look="quiet" download>
                    Calendar (ICS)
                  </LinkButton>
                </div>
                <ol className="flex flex-wrap gap-1">
                  {list.map((x) => (
                    <li
                      key={x.number}
                      {...tip(`session ${x.number}, ${longDate(x.date)}`)}
                      className={cx(
                        "w-[62px] rounded-sm border px-1.5 py-0.5 text-xs",
                        x.date === frame.today
                          ? "border-iron bg-sheet font-[650] text-iron"
                          : x.date < frame.today
                            ? "border-stone-2 bg-stone-1"
                            : "border-line bg-sheet",
                      )}
                    >
                      <span className="block text-[#574e45]">{x.number}</span>
                      {shortDate(x.date)}
                    </li>
                  ))}
                </ol>
                {staff && (
                  <Fold
                    className="no-print mt-2"
                    labelClass="text-sm text-soft"
                    label="Change the pattern or this section's dates"
                  >
                    <div className="mt-2 max-w-xl">
                      <PatternForm
                        projectId={p.id}
                        sectionId={s.id}
                        version={s.version}
                        values={{
                          pattern: c.kind,
                          days: c.kind === "weekdays" ? c.days : [],
                          double: c.double ?? [],
                          cycleLength: c.kind === "cycle" ? c.length : 2,
                          meets: c.kind === "cycle" ? c.meets : [],
                          cycleStart: c.kind === "cycle" ? c.startsOn : p.startsOn,
                          startsOn: s.startsOn ?? "",
                          endsOn: s.endsOn ?? "",
                          eventOn: s.eventOn ?? "",
                        }}
                      />
                    </div>
                  </Fold>
                )}
              </section>
            );
          })}
        </div>
        <aside className="no-print grid gap-5">
          <Sheet title="Days off">
            {frame.daysOff.length > 0 && (
              <ul className="mb-3">
                {breaksOf(frame.daysOff).map((d) => (
                  <li
                    key={d.ids[0]}
                    className="flex items-baseline justify-between border-b border-line py-0.5 last:border-0"
                  >
                    <span>
                      {longDate(d.from)}
                      {d.ids.length > 1 && ` to ${longDate(d.to)}`}{" "}
                      <span className="text-soft">
                        {d.reason}
                        {of(d.sectionId)}
                      </span>
                    </span>
                    {staff &&
                      (d.ids.length > 1 ? (
                        <RemoveDaysOff projectId={p.id} ids={d.ids} />
                      ) : (
                        <RemoveDayOff id={d.ids[0]!} />
                      ))}
                  </li>
                ))}
              </ul>
            )}
            {staff ? (
              <>
                <DaysOffForm projectId={p.id} sections={sections} />
                <div className="mt-3 border-t border-line pt-3">
                  <IcsImport projectId={p.id} sections={sections} />
                </div>
              </>
            ) : (
              frame.daysOff.length === 0 && <p className="text-soft">None.</p>
            )}
          </Sheet>
          <Sheet title="Extra sessions">
            {frame.extras.length > 0 && (
              <ul className="mb-3">
                {frame.extras.map((d) => (
                  <li
                    key={d.id}
                    className="flex items-baseline justify-between border-b border-line py-0.5 last:border-0"
                  >
                    <span>
                      {longDate(d.onDate)}{" "}
                      <span className="text-soft">
                        {d.reason}
                        {of(d.sectionId)}
                      </span>
                    </span>
                    {staff && <RemoveExtra id={d.id} />}
                  </li>
                ))}
              </ul>
            )}
            {staff ? (
              <ExtraForm projectId={p.id} sections={sections} />
            ) : (
              frame.extras.length === 0 && <p className="text-soft">None.</p>
            )}
          </Sheet>
          {staff && (
            <Sheet title="Another section">
              <SectionForm projectId={p.id} />
            </Sheet>
          )}
        </aside>
      </div>
    </>
  );
}
