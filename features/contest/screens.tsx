import { randomInt } from "node:crypto";
import Link from "@/ui/link";
import { notFound } from "next/navigation";
import { attemptSchools } from "@/core/points/attempts";
import { describeRule } from "@/core/points/rule";
import { channelsOf } from "@/core/run/protocol";
import { protocolsOf } from "@/data/bench";
import { contestOf } from "@/data/contest";
import { requirementLimits } from "@/data/inspection";
import { drawsOf } from "@/data/teams";
import { projectPage } from "@/server/page";
import { longDate } from "@/ui/date";
import { Caution, Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { showRule } from "@/ui/rule-fields-read";
import { ConfirmButton, DrawForm, EventForm, RefreshButton, ReopenForm } from "./forms";
import { LimitMarks } from "./limits";
import { Scoring } from "./scoring";
import { StandingsTable } from "./standings-table";

/** The contest: events with inspection, run order, attempts and standings. */
export async function ContestScreen({ slug, event: wanted }: { slug: string; event?: string }) {
  const { frame, staff } = await projectPage(slug, "contest.read");
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
    `${attemptSchools[d.policy.school].split(":")[0]!.replace(" n", ` ${d.policy.n}`)}, ` +
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
                <DrawForm id={event.id} version={event.version} seed={String(randomInt(1000, 10_000))} />
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

export async function EventScreen({ slug, id }: { slug: string; id?: string }) {
  const { frame } = await projectPage(slug, "contest.edit");
  const p = frame.project;
  const [protocols, events] = await Promise.all([protocolsOf(p.id), contestOf(p.id)]);
  const e = id ? events.find((x) => x.id === id) : undefined;
  if (id && !e) notFound();
  const first = protocols[0];
  if (!first)
    return (
      <>
        <PageHead title="New event" />
        <Empty
          title="An event is measured under a protocol"
          action={
            <LinkButton href={`/p/${slug}/bench/protocol`} look="main">
              Write a protocol
            </LinkButton>
          }
        >
          So that the contest measures the same way as the bench did.
        </Empty>
      </>
    );
  const d = e?.definition;
  return (
    <>
      <PageHead title={e ? e.name : "New event"} note="The rules are fixed once the first attempt is scored." />
      <EventForm
        projectId={p.id}
        slug={slug}
        id={e?.id}
        version={e?.version ?? 0}
        protocols={protocols.map((x) => ({ value: x.id, label: `${x.name} v${x.number}` }))}
        channels={Object.fromEntries(
          protocols.map((x) => [
            x.id,
            channelsOf(x.definition).map((c) => ({ value: c.key, label: `${c.name} (${c.unit})` })),
          ]),
        )}
        defaults={{
          name: e?.name ?? "",
          protocolId: e?.protocolId ?? first.id,
          channel: d?.channel ?? first.definition.primary,
          better: d?.better ?? first.definition.better,
          school: d?.policy.school ?? "best",
          n: d?.policy.n ?? 3,
          k: d?.policy.k ?? 2,
          foul: d?.policy.foul ?? "out",
          ranking: d?.ranking ?? "competition",
          ties: d && d.resolution === null ? "digits" : "resolution",
          resolution: d?.resolution ?? "0.1",
          tieBreaks: [...(d?.tieBreaks ?? ["second"])],
          seed: d?.seed ?? String(randomInt(1000, 10_000)),
          rule: showRule(d?.points ?? null),
        }}
      />
    </>
  );
}
