import { notFound } from "next/navigation";
import { isElimination, roundsOf } from "@/core/contest/matches";
import { matchFormat, matchOutcome, matchRule } from "@/core/vocabulary/contest";
import { proposedSeed } from "@/platform/draw/seed";
import { instant } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import Link from "@/ui/link";
import { LinkButton, PageHead, Sheet } from "@/ui/page";
import { contestActs } from "../acts";
import { BracketChart } from "../parts/bracket-chart";
import { ConfirmButton, RefreshButton, WithdrawEvent } from "../parts/buttons";
import { RenameEvent } from "../parts/correct-forms";
import { DayBox } from "../parts/day-box";
import { RoundForm } from "../parts/draw-form";
import { EventNav } from "../parts/event-nav";
import { SafetyBar } from "../parts/event-safety";
import { MatchEntry } from "../parts/match-entry";
import { PlayedTools } from "../parts/match-played";
import { MatchStandingsTable } from "../parts/match-standings";
import { ReopenForm } from "../parts/reopen-form";
import { ResultVersions } from "../parts/result-versions";
import { RoundsList } from "../parts/rounds-list";
import { SeedForms } from "../parts/seed-forms";
import { eventNames, matchEventsOf } from "../queries/matches";
import { safetyOf } from "../queries/safety";
import { bracketView } from "../view/bracket";
import { allPlaced, livesView, onRecord, playedView, progressOf, toPlay } from "../view/lives";
import { mayBegin } from "../view/safety";

/** An event in which two meet at a time: its bracket or table, what is played next, and who is still in it. */
export async function MatchesScreen({ slug, event: wanted }: { slug: string; event?: string }) {
  const { frame, may } = await projectPage(slug, contestActs.read);
  const p = frame.project;
  const [events, names, safety] = await Promise.all([matchEventsOf(p.id), eventNames(p.id), safetyOf(p.id)]);
  const event = events.find((e) => e.id === wanted) ?? events[0];
  if (!event) notFound();
  const staff = may(contestActs.edit) && !p.finishedAt;
  const { rules } = event;
  const played = playedView(event);
  const drawing = bracketView(played.matches, played.names);
  const elimination = isElimination(rules.format);
  const lives = livesView(event, played);
  const next = toPlay(played);
  const recorded = onRecord(played, event.results);
  const begun = event.results.length > 0 || event.drawn.length > 0;
  const open = event.state !== "confirmed";
  const waiting = event.entries.filter((n) => n.inspection === "waiting");
  const base = `/p/${slug}/contest`;
  const nextRound = rules.format === "records" && next.length === 0 && event.drawn.length < rules.rounds;
  return (
    <>
      <PageHead
        title={event.name}
        note={
          `${matchFormat.labels[rules.format].split(":")[0]} · won by ${matchRule.labels[rules.decides]}` +
          `${rules.decides === "games" ? `, at most ${rules.games}` : ""} · ${progressOf(played.matches)}` +
          `${open ? "" : " · confirmed"}`
        }
      >
        <EventNav slug={slug} events={names} chosen={event.id} staff={staff} />
        <LinkButton href={`/screen/${slug}?event=${event.id}`}>Board</LinkButton>
        {staff && (
          <>
            {begun ? (
              <RenameEvent id={event.id} version={event.version} name={event.name} />
            ) : (
              <LinkButton href={`${base}/matches/edit?id=${event.id}`}>Edit rules</LinkButton>
            )}
            <LinkButton href={`${base}/event`}>New event</LinkButton>
          </>
        )}
      </PageHead>
      {elimination && drawing.boxes.length > 0 && (
        <section className="bracket-sheet mb-5 overflow-x-auto" aria-label="Bracket, to be scrolled" tabIndex={0}>
          <BracketChart
            drawing={drawing}
            label={`Bracket of ${event.name}; who has met whom stands below in words`}
            className="min-w-[760px]"
          />
        </section>
      )}
      <div className="grid items-start gap-6 xl:grid-cols-2">
        <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
          {staff && open && (
            <Sheet title="To be played now" aside={!begun && <RefreshButton id={event.id} />}>
              {!begun && (
                <div className="mb-3">
                  <SeedForms
                    id={event.id}
                    version={event.version}
                    seed={proposedSeed()}
                    events={names.filter((n) => n.id !== event.id).map((n) => ({ value: n.id, label: n.name }))}
                    entries={event.entries.map((n) => ({ value: n.id, label: n.team }))}
                  />
                </div>
              )}
              <SafetyBar event={safety.get(event.id)!} judges />
              <DayBox>
                <fieldset disabled={!mayBegin(safety.get(event.id)!)}>
                  {next.map((m) => (
                    <MatchEntry key={`${m.slot} ${m.a} ${m.b}`} eventId={event.id} match={m} rules={rules} />
                  ))}
                </fieldset>
              </DayBox>
              {nextRound && played.entries.length > 1 && (
                <div className="mt-2">
                  <RoundForm
                    id={event.id}
                    version={event.version}
                    seed={proposedSeed()}
                    round={event.drawn.length + 1}
                  />
                </div>
              )}
              {begun && next.length === 0 && !nextRound && <p className="text-soft">Every match is played.</p>}
            </Sheet>
          )}
          {staff && open && waiting.length > 0 && (
            <Sheet title="Not inspected yet" aside={`${waiting.length} of ${event.entries.length}`}>
              <ul className="flex flex-wrap gap-x-5 gap-y-1">
                {waiting.map((n) => (
                  <li key={n.id}>
                    {n.buildId ? (
                      <Link href={`${base}/inspection?build=${n.buildId}`} className="underline">
                        {n.team} G{n.build}
                      </Link>
                    ) : (
                      `${n.team}, no build`
                    )}
                    {n.inspectionNote && <span className="text-sm text-soft"> {n.inspectionNote}</span>}
                  </li>
                ))}
              </ul>
            </Sheet>
          )}
          {!elimination && played.matches.length > 0 && (
            <Sheet title="Rounds">
              <RoundsList rounds={roundsOf(played.matches)} names={played.names} />
            </Sheet>
          )}
          {lives.length > 0 && (
            <Sheet title="Who is still in it" aside={`${lives.filter((l) => l.in).length} of ${lives.length}`}>
              <ul className="grid gap-1">
                {lives.map((l) => (
                  <li key={l.id} className={l.in ? "" : "text-soft"}>
                    {l.says}
                  </li>
                ))}
              </ul>
            </Sheet>
          )}
        </div>
        <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
          <section>
            <h2 className="mb-2">Standings</h2>
            <MatchStandingsTable event={event} />
            <p className="mt-2 text-sm text-soft">
              {event.drawSeed
                ? `Seeds drawn with seed ${event.drawSeed}. `
                : played.entries.length > 0
                  ? "Seeded without a draw. "
                  : "Not seeded yet. "}
              {begun && "Rules and seeds are fixed since the first match."}
            </p>
            <ResultVersions projectId={p.id} eventId={event.id} />
            {staff && (
              <div className="no-print mt-3 flex flex-wrap items-center gap-3">
                {event.state === "running" && allPlaced(event.standings) && (
                  <ConfirmButton id={event.id} version={event.version} without={[]} />
                )}
                {event.state === "confirmed" && <ReopenForm id={event.id} version={event.version} />}
                {open && <WithdrawEvent id={event.id} goTo={base} />}
              </div>
            )}
          </section>
          {recorded.length > 0 && (
            <Sheet title="Played">
              <ul>
                {recorded.map(({ match, stored, winner, loser }) => (
                  <li key={match.slot} className="border-b border-line py-1.5 last:border-0">
                    <span className="text-soft">{match.title}:</span>{" "}
                    {winner ? (
                      <>
                        <strong>{winner}</strong> against {loser}
                      </>
                    ) : (
                      match.teams.join(" and ")
                    )}
                    {stored.score && ` ${stored.score.join(" : ")}`}
                    {stored.outcome !== "won" && `, ${matchOutcome.labels[stored.outcome].split(":")[0]}`}
                    <span className="block text-sm text-soft">
                      {stored.by}, {instant(stored.at)}
                      {stored.reason && `: ${stored.reason}`}
                    </span>
                    {staff && open && (
                      <PlayedTools
                        eventId={event.id}
                        id={stored.id}
                        name={`${match.title}, ${match.teams.join(" and ")}`}
                        staff
                        match={match}
                        rules={rules}
                        entries={played.entries.map((n) => n.id as string)}
                        results={event.results}
                        drawn={event.drawn}
                        names={Object.fromEntries(played.names)}
                      />
                    )}
                  </li>
                ))}
              </ul>
            </Sheet>
          )}
        </div>
      </div>
    </>
  );
}
