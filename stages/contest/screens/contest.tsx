import { describeRule } from "@/core/points/rule";
import { attemptMethod } from "@/core/vocabulary/runs";
import { proposedSeed } from "@/platform/draw/seed";
import { projectPage } from "@/platform/pages/page";
import { protocolsOf } from "@/stages/bench/queries";
import { drawsOf } from "@/stages/teams/queries/teams";
import { longDate } from "@/ui/date";
import Link from "@/ui/link";
import { Caution, Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { contestActs } from "../acts";
import { ConfirmButton, RefreshButton } from "../parts/buttons";
import { DrawForm } from "../parts/draw-form";
import { LimitMarks } from "../parts/limit-marks";
import { ReopenForm } from "../parts/reopen-form";
import { Scoring } from "../parts/scoring";
import { StandingsTable } from "../parts/standings-table";
import { requirementLimits } from "../queries/attempts";
import { contestOf } from "../queries/events";

/** The contest: events with inspection, run order, attempts and standings. */
export async function ContestScreen({ slug, event: wanted }: { slug: string; event?: string }) {
  const { frame, staff } = await projectPage(slug, contestActs.read);
  const p = frame.project;
  const [events, limits, protocols] = await Promise.all([contestOf(p.id), requirementLimits(p.id), protocolsOf(p.id)]);
  const event = events.find((e) => e.id === wanted) ?? events.find((e) => e.state === "running") ?? events[0];
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
              <LinkButton href={`/p/${slug}/bench/protocol`} look="main">
                Write a protocol first
              </LinkButton>
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
  const draws = await drawsOf(p.id, `run order ${event.id}`);
  const d = event.definition;
  const rules =
    `${attemptMethod.labels[d.policy.school].split(":")[0]!.replace(" n", ` ${d.policy.n}`)}, ` +
    `${d.better === "more" ? "more" : "less"} is better` +
    `${d.resolution ? `, ties at ${d.resolution} ${d.unit}` : ", recorded digits decide"}`;
  return (
    <>
      <PageHead title={event.name} note={`${event.protocol} · ${rules} · ${event.state}`}>
        {events.length > 1 && (
          <nav aria-label="Event" className="text-soft">
            {events.map((e, i) => (
              <span key={e.id}>
                {i > 0 && " · "}
                <Link
                  href={`${base}?event=${e.id}`}
                  className={e.id === event.id ? "font-[650] text-ink" : "hover:text-ink"}
                >
                  {e.name}
                </Link>
              </span>
            ))}
          </nav>
        )}
        <LinkButton href={`/p/${slug}/csv/standings`} download>
          CSV
        </LinkButton>
        <LinkButton href={`/screen/${slug}`}>Board</LinkButton>
        {staff && (
          <>
            {event.runs.length === 0 && <LinkButton href={`${base}/event?id=${event.id}`}>Edit rules</LinkButton>}
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
            {draws[0] && `Run order drawn with seed ${draws[0].seed}. `}Lots use seed {d.seed}.
          </p>
          {staff && (
            <div className="no-print mt-3 flex flex-wrap items-center gap-3">
              {event.state === "running" && <ConfirmButton id={event.id} version={event.version} />}
              {event.state === "confirmed" && <ReopenForm id={event.id} version={event.version} />}
            </div>
          )}
        </section>
        {staff && (
          <Sheet title="Inspection and scoring" aside={event.runs.length === 0 && <RefreshButton id={event.id} />}>
            {event.state === "set up" && (
              <div className="mb-3">
                <Caution>
                  Before the first attempt: spectators behind the line, water away from power, eyes protected. The
                  safety officer or instructor gives the start.
                </Caution>
              </div>
            )}
            {event.runs.length === 0 && (
              <div className="mb-2">
                <DrawForm id={event.id} version={event.version} seed={proposedSeed()} />
              </div>
            )}
            {event.entries.length === 0 ? (
              <p className="text-soft">No team has entered. Form teams, then take them in.</p>
            ) : (
              <Scoring
                event={event}
                limits={(n) => (n.buildId ? <LimitMarks checks={limits.get(n.buildId) ?? []} /> : null)}
              />
            )}
          </Sheet>
        )}
      </div>
    </>
  );
}
