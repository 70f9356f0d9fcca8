import { redirect } from "next/navigation";
import { describeRule } from "@/core/points/rule";
import { unitAfter } from "@/core/run/reading";
import { attemptMethod } from "@/core/vocabulary/runs";
import { proposedSeed } from "@/platform/draw/seed";
import { longDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { contestActs } from "../acts";
import { ConfirmButton, RefreshButton, WithdrawEvent } from "../parts/buttons";
import { RenameEvent } from "../parts/correct-forms";
import { DayBox } from "../parts/day-box";
import { DrawForm } from "../parts/draw-form";
import { entryTools } from "../parts/entry-tools";
import { EventNav, eventHref } from "../parts/event-nav";
import { SafetyBar } from "../parts/event-safety";
import { Field } from "../parts/field";
import { ReopenForm } from "../parts/reopen-form";
import { ResultVersions } from "../parts/result-versions";
import { RunOffForm } from "../parts/run-off-form";
import { StandingsTable } from "../parts/standings-table";
import { eventsOf, withAttempts } from "../queries/events";
import { eventNames } from "../queries/matches";
import { safetyOf } from "../queries/safety";
import { fieldRows, fieldRules } from "../view/field";
import { runOffs } from "../view/run-off";
import { mayBegin } from "../view/safety";

/** The contest: events with inspection, run order, attempts and standings. */
export async function ContestScreen({ slug, event: wanted }: { slug: string; event?: string }) {
  const { frame, staff: runs } = await projectPage(slug, contestActs.read);
  const p = frame.project;
  const staff = runs && !p.finishedAt;
  const [events, protocols, names, safety] = await Promise.all([
    eventsOf(p.id),
    protocolsOf(p.id),
    eventNames(p.id),
    safetyOf(p.id),
  ]);
  const other = names.find((e) => e.format !== "attempts");
  if (!events.length && other) redirect(eventHref(slug, other));
  const chosen = events.find((e) => e.id === wanted) ?? events.find((e) => e.state === "running") ?? events[0];
  const event = chosen && (await withAttempts(chosen));
  const base = `/p/${slug}/contest`;
  if (!event)
    return (
      <>
        <PageHead title="Contest" note={p.eventOn ? longDate(p.eventOn) : undefined} />
        <Empty
          title="No event yet"
          action={
            staff &&
            (protocols.length ? (
              <LinkButton href={`${base}/event`} look="main">
                Set up an event
              </LinkButton>
            ) : (
              <>
                <LinkButton href={`/p/${slug}/bench/protocol`} look="main">
                  Write a protocol first
                </LinkButton>{" "}
                <LinkButton href={`${base}/matches/edit`}>Or set up matches</LinkButton>
              </>
            ))
          }
        >
          {staff
            ? "An event says what is measured under which protocol, which attempt counts, how ties are broken and " +
              "what it earns. Its board can stand on a second screen."
            : "Your instructor sets it up."}
        </Empty>
      </>
    );
  const d = event.definition;
  const without = event.entries.filter((n) => n.taken === 0 && n.inspection !== "turned away").map((n) => n.team);
  const rules =
    `${attemptMethod.labels[d.policy.school].split(":")[0]!.replace(" n", ` ${d.policy.n}`)}, ` +
    `${
      d.target === undefined
        ? `${d.better === "more" ? "more" : "less"} is better`
        : `closest to ${unitAfter(d.target, d.unit)}`
    }` +
    `${d.resolution ? `, ties at ${d.resolution} ${d.unit}` : ", recorded digits decide"}`;
  return (
    <>
      <PageHead title={event.name} note={`${event.protocol} · ${rules} · ${event.state}`}>
        <EventNav slug={slug} events={names} chosen={event.id} staff={staff} />
        <LinkButton href={`/p/${slug}/csv/standings`} download>
          CSV
        </LinkButton>
        <LinkButton href={`/screen/${slug}`}>Board</LinkButton>
        {names.some((n) => n.state !== "set up") && <LinkButton href={`/screen/${slug}/replay`}>Replay</LinkButton>}
        {staff && (
          <>
            {event.attempts.length === 0 ? (
              <LinkButton href={`${base}/event?id=${event.id}`}>Edit rules</LinkButton>
            ) : (
              <RenameEvent id={event.id} version={event.version} name={event.name} />
            )}
            <LinkButton href={`${base}/event`}>New event</LinkButton>
          </>
        )}
      </PageHead>
      <div className="grid items-start gap-6 xl:grid-cols-[minmax(0,1fr)_minmax(0,0.95fr)]">
        <section>
          <h2 className="mb-2">Standings</h2>
          <StandingsTable event={event} />
          <p className="mt-2 text-sm text-soft">
            {d.points ? `Points: ${describeRule(d.points, d.unit)} ` : ""}
            {event.orderSeed && `Run order drawn with seed ${event.orderSeed}. `}Lots use seed {d.seed}.
            {event.attempts.length > 0 && " Rules and run order are fixed since the first attempt."}
          </p>
          <ResultVersions projectId={p.id} eventId={event.id} />
          {staff &&
            runOffs(event).map((tie) => (
              <div key={tie.says} className="mt-2">
                <p className={tie.broken ? "text-soft" : "text-ochre-deep"}>{tie.says}</p>
                <RunOffForm id={event.id} version={event.version} tie={tie} />
              </div>
            ))}
          {staff && (
            <div className="no-print mt-3 flex flex-wrap items-center gap-3">
              {event.state === "running" && <ConfirmButton id={event.id} version={event.version} without={without} />}
              {event.state === "confirmed" && <ReopenForm id={event.id} version={event.version} />}
              {event.state !== "confirmed" && <WithdrawEvent id={event.id} goTo={base} />}
            </div>
          )}
        </section>
        {runs && (
          <Sheet title="Scoring" aside={event.attempts.length === 0 && <RefreshButton id={event.id} />}>
            {event.state !== "confirmed" && <SafetyBar event={safety.get(event.id)!} judges />}
            {event.attempts.length === 0 && (
              <div className="mb-2">
                <DrawForm id={event.id} version={event.version} seed={proposedSeed()} />
                <p className="mt-1 text-sm text-soft">
                  With the first attempt the rules and the run order are fixed: draw and edit before it.
                </p>
              </div>
            )}
            {event.entries.length === 0 ? (
              <p className="text-soft">No team has entered. Form teams, then take them in.</p>
            ) : (
              <DayBox>
                <Field
                  key={event.id}
                  rows={fieldRows(event)}
                  rules={fieldRules(event)}
                  inspectAt={`${base}/inspection?build=`}
                  blocked={!mayBegin(safety.get(event.id)!)}
                  confirmed={event.state === "confirmed"}
                  tools={entryTools(event)}
                />
              </DayBox>
            )}
          </Sheet>
        )}
      </div>
    </>
  );
}
