import { longDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import Link from "@/ui/link";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { contestActs } from "../acts";
import { CallBox, CallButton } from "../parts/call-box";
import { EventNav, eventHref } from "../parts/event-nav";
import { openCall } from "../queries/calls";
import { placedContestOf } from "../queries/contest";
import { programmeOf } from "../queries/programme";
import { safetyOf } from "../queries/safety";
import { twiceScored } from "../queries/twice";
import { roundSizes } from "../view/lives";
import { programmeView } from "../view/programme";
import { inspectionLeft, stewardView } from "../view/steward";
import { clockAt } from "../view/words";

/** The day from its steward's tablet: what runs, who must come, what is late or in the way, and calls to the boards. */
export async function StewardScreen({ slug }: { slug: string }) {
  const { frame } = await projectPage(slug, contestActs.edit);
  const p = frame.project;
  const [{ contest, names }, programme, safety, twice, call] = await Promise.all([
    placedContestOf(p.id, false),
    programmeOf(p.id),
    safetyOf(p.id),
    twiceScored(p.id),
    openCall(p.id),
  ]);
  const { events: planned } = programmeView(programme, (id) => {
    const race = contest.races.find((r) => r.id === id);
    return race ? roundSizes(race) : [];
  });
  const watched = stewardView({ ...contest, planned, safety, twice });
  const left = inspectionLeft(contest);
  return (
    <>
      <PageHead title="Steward" note={p.eventOn ? longDate(p.eventOn) : undefined}>
        <EventNav slug={slug} events={names} chosen="steward" staff />
        <LinkButton href="/stopwatch">Stopwatch, gates</LinkButton>
      </PageHead>
      {watched.length === 0 ? (
        <Empty title="No event yet" action={<LinkButton href={`/p/${slug}/contest`}>To the contest</LinkButton>}>
          On the day it stands here what runs, who must come, and what is in the way.
        </Empty>
      ) : (
        <div className="grid items-start gap-4 xl:grid-cols-2">
          <div className="grid gap-4">
            <CallBox
              projectId={p.id}
              now={call && { id: call.id, words: call.words, at: clockAt(call.calledAt), by: call.calledBy }}
            />
            {left.length > 0 && (
              <Sheet
                title="Inspection"
                aside={
                  <Link className="underline" href={`/p/${slug}/contest/inspection`}>
                    inspect
                  </Link>
                }
              >
                {left.map((words) => (
                  <p key={words} className="text-ochre-deep">
                    {words}
                  </p>
                ))}
              </Sheet>
            )}
          </div>
          {watched.map((e) => (
            <Sheet
              key={e.id}
              title={e.name}
              aside={
                <>
                  {e.late && <strong className="mr-3 text-ochre-deep">{e.late}</strong>}
                  <Link className="underline" href={eventHref(slug, names.find((n) => n.id === e.id)!)}>
                    {e.state}
                  </Link>
                </>
              }
            >
              {e.due.length > 0 ? (
                <ul>
                  {e.due.map((d) => (
                    <li
                      key={`${d.when} ${d.who} ${d.where}`}
                      className={
                        "grid grid-cols-[3.5em_1fr_auto] items-baseline gap-x-3 border-b border-line py-1 last:border-0"
                      }
                    >
                      <span className={d.when === "now" ? "font-[650] text-iron" : "text-soft"}>{d.when}</span>
                      <span>
                        <strong>{d.who}</strong> <span className="text-sm text-soft">{d.where}</span>
                        {d.waits && <span className="text-sm text-ochre-deep"> not inspected</span>}
                      </span>
                      <CallButton projectId={p.id} words={d.call} />
                    </li>
                  ))}
                </ul>
              ) : (
                <p className="text-soft">{e.state === "confirmed" ? "Confirmed." : "Nobody is due."}</p>
              )}
              {e.hinders.map((h) => (
                <p key={h} className="mt-1 text-ochre-deep">
                  {h}
                </p>
              ))}
            </Sheet>
          ))}
        </div>
      )}
    </>
  );
}
