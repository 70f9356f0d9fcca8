import { notFound } from "next/navigation";
import { judgeMethod } from "@/core/vocabulary/contest";
import { proposedSeed } from "@/platform/draw/seed";
import { projectPage } from "@/platform/pages/page";
import { LinkButton, PageHead, Sheet } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { contestActs } from "../acts";
import { ConfirmButton, RefreshButton, WithdrawEvent } from "../parts/buttons";
import { RenameEvent } from "../parts/correct-forms";
import { DayBox } from "../parts/day-box";
import { DrawForm } from "../parts/draw-form";
import { EventNav } from "../parts/event-nav";
import { SafetyBar } from "../parts/event-safety";
import { JudgeList } from "../parts/judge-list";
import { JudgedStandingsTable } from "../parts/judged-standings";
import { JudgeSheets } from "../parts/lazy-entries";
import { ReopenForm } from "../parts/reopen-form";
import { ResultVersions } from "../parts/result-versions";
import { judgedEventsOf, judgesOf } from "../queries/judged";
import { eventNames } from "../queries/matches";
import { safetyOf } from "../queries/safety";
import { agreementWords, judgedRows, judging } from "../view/judged";
import { mayBegin } from "../view/safety";

/** An event that judges mark: its standings raw and adjusted, how far the judges are and agree, and every sheet. */
export async function JudgedScreen({ slug, event: wanted }: { slug: string; event?: string }) {
  const { frame, may, actor } = await projectPage(slug, contestActs.read);
  const p = frame.project;
  const [events, names, safety, links] = await Promise.all([
    judgedEventsOf(p.id),
    eventNames(p.id),
    safetyOf(p.id),
    judgesOf(p.id),
  ]);
  const event = events.find((e) => e.id === wanted) ?? events[0];
  if (!event) notFound();
  const staff = may(contestActs.edit) && !p.finishedAt;
  const runs = may(contestActs.edit);
  const { rules } = event;
  const open = event.state !== "confirmed";
  const begun = event.sheets.length > 0;
  const view = judging(event, open ? links : []);
  const base = `/p/${slug}/contest`;
  const rows = actor.kind === "person" ? judgedRows(event, actor.id) : [];
  return (
    <>
      <PageHead
        title={event.name}
        note={
          `Marks 0 to ${rules.most}, ${rules.criteria.map((c) => `${c.name} × ${c.weight}`).join(", ")} · ` +
          `${judgeMethod.labels[rules.method].split(":")[0]} · ${event.state}`
        }
      >
        <EventNav slug={slug} events={names} chosen={event.id} staff={staff} />
        <LinkButton href={`/screen/${slug}?event=${event.id}`}>Board</LinkButton>
        {staff && (
          <>
            {begun ? (
              <RenameEvent id={event.id} version={event.version} name={event.name} />
            ) : (
              <LinkButton href={`${base}/judged/edit?id=${event.id}`}>Edit rules</LinkButton>
            )}
            <LinkButton href={`${base}/event`}>New event</LinkButton>
          </>
        )}
      </PageHead>
      {open && !runs ? (
        <p className="text-soft">The judges are at work. The standings are shown when the result is confirmed.</p>
      ) : (
        <div className="grid items-start gap-6 xl:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)]">
          <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
            <section>
              <h2 className="mb-2">Standings</h2>
              <JudgedStandingsTable event={event} />
              <p className="mt-2 text-sm text-soft">
                {agreementWords(view.agreement)} {event.orderSeed && `Order drawn with seed ${event.orderSeed}. `}
                {begun && "Rules are fixed since the first sheet."}
              </p>
              <ResultVersions projectId={p.id} eventId={event.id} />
              {view.says.map((says) => (
                <p key={says} className="mt-1 text-ochre-deep">
                  {says}
                </p>
              ))}
              {staff && (
                <div className="no-print mt-3 flex flex-wrap items-center gap-3">
                  {event.state === "running" && (
                    <ConfirmButton
                      id={event.id}
                      version={event.version}
                      without={event.standings.filter((s) => s.sheets === 0).map((s) => s.name)}
                    />
                  )}
                  {event.state === "confirmed" && <ReopenForm id={event.id} version={event.version} />}
                  {open && <WithdrawEvent id={event.id} goTo={base} />}
                </div>
              )}
            </section>
            {runs && begun && (
              <Sheet title="Sheets">
                <JudgeList event={event} open={staff && open} />
              </Sheet>
            )}
          </div>
          {runs && (
            <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
              <Sheet
                title="Judges"
                aside={staff && <LinkButton href={`/p/${slug}/people`}>Links for judges</LinkButton>}
              >
                {view.judges.length === 0 ? (
                  <p className="text-soft">
                    Nobody judges yet. Each judge gets a link of their own, so that sheets are told apart.
                  </p>
                ) : (
                  <DataTable
                    caption="Judges"
                    columns={[
                      { key: "judge", text: "Judge", className: "font-[600]" },
                      { key: "marked", text: "Marked", num: true },
                      { key: "missing", text: "Still to mark", className: "text-soft" },
                      { key: "stepped", text: "Steps back from" },
                      { key: "severity", text: "Marks" },
                    ]}
                    rows={view.judges.map((j) => ({
                      id: j.id,
                      cells: {
                        judge: { value: j.name },
                        marked: { value: j.marked },
                        missing: { value: j.missing },
                        stepped: { value: j.stepped.join(", ") || "–" },
                        severity: { value: j.severity },
                      },
                    }))}
                  />
                )}
              </Sheet>
              {staff && open && (
                <Sheet title="Your own sheets" aside={!begun && <RefreshButton id={event.id} />}>
                  {!begun && (
                    <div className="mb-3">
                      <DrawForm
                        id={event.id}
                        version={event.version}
                        seed={proposedSeed()}
                        submit="Draw the order of presentation"
                      />
                    </div>
                  )}
                  <SafetyBar event={safety.get(event.id)!} judges />
                  <DayBox>
                    <fieldset disabled={!mayBegin(safety.get(event.id)!)}>
                      <JudgeSheets rows={rows} rules={rules} />
                    </fieldset>
                  </DayBox>
                </Sheet>
              )}
            </div>
          )}
        </div>
      )}
    </>
  );
}
