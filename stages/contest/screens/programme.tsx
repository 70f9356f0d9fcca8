import { clockOf } from "@/core/contest/programme";
import { proposedSeed } from "@/platform/draw/seed";
import { longDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { cx } from "@/ui/classes";
import { Caution, Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { contestActs } from "../acts";
import { EventNav } from "../parts/event-nav";
import { ProgrammeForm } from "../parts/programme-form";
import { RehearsalBox } from "../parts/rehearsal-box";
import { matchEventsOf } from "../queries/matches";
import { programmeOf } from "../queries/programme";
import { recordedOf, rehearsalOf } from "../queries/rehearsal";
import { roundSizes } from "../view/lives";
import { programmeView } from "../view/programme";
import { recordedWords } from "../view/words";

/** The programme of the day: when each team is on, in which lane, when each event ends, and how far behind it is. */
export async function ProgrammeScreen({ slug }: { slug: string }) {
  const { frame, may } = await projectPage(slug, contestActs.read);
  const p = frame.project;
  const staff = may(contestActs.edit) && !p.finishedAt;
  const [events, races, since, recorded] = await Promise.all([
    programmeOf(p.id),
    matchEventsOf(p.id),
    rehearsalOf(p.id),
    staff ? recordedOf(p.id) : [],
  ]);
  const view = programmeView(events, (id) => {
    const race = races.find((r) => r.id === id);
    return race ? roundSizes(race) : [];
  });
  return (
    <>
      <PageHead title="Programme" note={p.eventOn ? longDate(p.eventOn) : undefined}>
        <EventNav slug={slug} events={events} chosen="programme" staff={staff} />
      </PageHead>
      {events.length === 0 && (
        <Empty
          title="No event yet"
          action={staff && <LinkButton href={`/p/${slug}/contest`}>To the contest</LinkButton>}
        >
          Each event gets its beginning here; when every team is on is computed from it.
        </Empty>
      )}
      {since && !staff && <p className="mb-3 text-ochre-deep">The day is rehearsed: nothing of it counts.</p>}
      {staff && events.length > 0 && (
        <div className="no-print mb-4">
          <RehearsalBox
            projectId={p.id}
            on={since !== null}
            recorded={recordedWords(recorded)}
            events={events.map((e) => ({ id: e.id, name: e.name, confirmed: e.state === "confirmed" }))}
            seed={proposedSeed()}
          />
        </div>
      )}
      {view.clashes.length > 0 && (
        <div className="mb-4">
          <Caution>{view.clashes.join(" ")}</Caution>
        </div>
      )}
      <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
        {events.map((e) => {
          const planned = view.events.find((x) => x.id === e.id);
          const lanes = planned?.lanes ?? [];
          return (
            <Sheet
              key={e.id}
              title={e.name}
              aside={planned ? [`${planned.from} to ${planned.until}`, planned.late].filter(Boolean).join(" · ") : ""}
            >
              {!planned && <p className="text-soft">It is not in the programme yet.</p>}
              {planned && (
                <p className="text-sm text-soft">
                  {e.lanes > 1 ? `${e.lanes} side by side, ` : ""}
                  {e.minutes} min each, {e.repair} min for repair at least.
                </p>
              )}
              {planned && planned.turns.length > 0 && (
                <ol className="mt-2 grid gap-x-6 gap-y-0.5 sm:grid-cols-2 lg:grid-cols-3">
                  {planned.turns.map((t) => (
                    <li key={t.key} className={cx("flex gap-3", t.made && "text-soft line-through")}>
                      <span className="w-11 text-right tabular-nums">{t.at}</span>
                      {e.lanes > 1 && <span className="text-soft">lane {t.lane}</span>}
                      <span className="font-[600]">{t.team}</span>
                      <span className="text-soft">attempt {t.attempt}</span>
                    </li>
                  ))}
                </ol>
              )}
              {lanes.length > 0 && (
                <table className="mt-3 text-sm">
                  <caption className="mb-1 text-left whitespace-nowrap text-soft">
                    How often each team is in each lane
                  </caption>
                  <thead>
                    <tr>
                      <th scope="col" className="pr-4 text-left font-[600]">
                        Team
                      </th>
                      {lanes[0]!.counts.map((_, i) => (
                        <th key={i} scope="col" className="px-2 text-right font-[600]">
                          {i + 1}
                        </th>
                      ))}
                    </tr>
                  </thead>
                  <tbody>
                    {lanes.map((row) => (
                      <tr key={row.team}>
                        <th scope="row" className="pr-4 text-left font-normal">
                          {row.team}
                        </th>
                        {row.counts.map((n, i) => (
                          <td key={i} className="px-2 text-right">
                            {n}
                          </td>
                        ))}
                      </tr>
                    ))}
                  </tbody>
                </table>
              )}
              {staff && (
                <div className="no-print mt-2">
                  <ProgrammeForm
                    id={e.id}
                    version={e.version}
                    matches={e.attempts === null}
                    defaults={{
                      starts: e.starts === null ? "" : clockOf(e.starts),
                      lanes: e.lanes,
                      minutes: e.minutes,
                      repair: e.repair,
                    }}
                  />
                </div>
              )}
            </Sheet>
          );
        })}
      </div>
    </>
  );
}
