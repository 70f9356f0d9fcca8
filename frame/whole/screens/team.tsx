import { notFound } from "next/navigation";
import { headed } from "@/core/run/reading";
import { isId } from "@/platform/db/id";
import { longDate, shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { plural } from "@/platform/registry/words";
import { projectState } from "@/stages/needs/queries/state";
import { milestonesOf } from "@/stages/plan/queries/milestones";
import { Reasons } from "@/stages/today/parts/reasons";
import { flagsOf } from "@/stages/today/queries/flags";
import { cx } from "@/ui/classes";
import Link from "@/ui/link";
import { LinkButton, PageHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { DataTable } from "@/ui/table";
import { VerdictMark } from "@/ui/verdict";
import { teamFacts } from "../queries";
import { teamView } from "../view";

/** The whole of a team in one screen: who it is, what it built and reached, what holds and what is open. */
export async function TeamScreen({ slug, team: id }: { slug: string; team: string }) {
  const { frame, staff, ownTeam } = await projectPage(slug);
  if (!isId(id) || (!staff && ownTeam !== id)) notFound();
  const p = frame.project;
  const [state, milestones] = await Promise.all([projectState(p.id), milestonesOf(p.id)]);
  const team = state.teams.find((t) => t.id === id);
  if (!team) notFound();
  const [facts, looked] = await Promise.all([
    teamFacts(p.id, id, frame.today),
    staff
      ? flagsOf(state, {
          project: p.id,
          today: frame.today,
          end: p.eventOn ?? p.endsOn,
          calendars: frame.calendars,
          milestones,
        })
      : null,
  ]);
  const view = teamView(team, state, milestones, frame.units);
  const flags = looked?.flags.filter((f) => f.team === id) ?? [];
  const base = `/p/${slug}`;
  const open = facts.failures.filter((f) => f.closed === null);
  const next = view.milestones.find((m) => !m.doneOn);
  return (
    <>
      <PageHead
        title={`Team ${team.name}`}
        note={[
          team.section && `section ${team.section}`,
          team.concept && `concept “${team.concept}”`,
          `${view.verified} of ${view.musts} musts met`,
          next && `next: ${next.title}, ${longDate(next.dueOn)}`,
        ]
          .filter(Boolean)
          .join(" · ")}
      >
        <PrintButton />
        <LinkButton href={`${base}/reviews`}>Reviews</LinkButton>
      </PageHead>
      <div className="grid items-start gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <div className="grid min-w-0 gap-6">
          {flags.length > 0 && (
            <section aria-labelledby="look" className="border-l-4 border-ochre bg-ochre-wash px-3 py-2">
              <h2 id="look" className="text-base">
                Where to look
              </h2>
              <Reasons slug={slug} flags={flags} may={false} />
            </section>
          )}
          <section aria-labelledby="generations">
            <h2 id="generations" className="mb-1.5">
              Generations
            </h2>
            <DataTable
              caption="Generations"
              empty="No build yet."
              columns={[
                { key: "build", text: "Build" },
                { key: "changed", text: "What changed" },
                { key: "mass", text: `Mass, ${frame.units.mass}`, num: true },
                { key: "cost", text: "Cost", num: true },
                ...(view.channel ? [{ key: "counted", text: headed(view.channel), num: true }] : []),
                { key: "met", text: "Musts met", num: true },
              ]}
              rows={view.generations.map((g) => ({
                id: g.id,
                cells: {
                  build: {
                    value: g.number,
                    show: (
                      <>
                        <Link href={`${base}/builds/${g.id}`} className="font-[600] whitespace-nowrap hover:text-iron">
                          G{g.number} {g.stage}
                        </Link>
                        <span className="block text-sm text-soft">{shortDate(g.builtOn)}</span>
                      </>
                    ),
                  },
                  changed: g.whatChanged,
                  mass: g.mass,
                  cost: g.cost,
                  counted: {
                    value: g.counted?.value ?? null,
                    show: g.counted ? (
                      <>
                        {g.counted.shown}
                        <span className="block text-sm text-soft">{plural(g.runs, "run")}</span>
                      </>
                    ) : (
                      <span className="text-soft">untested</span>
                    ),
                  },
                  met: g.met,
                },
              }))}
            />
          </section>
          <section aria-labelledby="verdicts">
            <h2 id="verdicts" className="mb-1">
              What holds for {view.newest ? `G${view.newest.number}` : "the newest build"}
            </h2>
            <ul className="grid gap-x-6 sm:grid-cols-2">
              {view.verdicts.map((v) => (
                <li key={v.id} className="flex items-baseline gap-2 border-t border-line py-1">
                  <span className="shrink-0">
                    <VerdictMark verdict={v.verdict} />
                  </span>
                  <Link href={`${base}/needs?open=${v.code}`} className="min-w-0 wrap-anywhere hover:text-iron">
                    {v.statement}
                  </Link>
                  {v.priority !== "must" && <span className="ml-auto shrink-0 text-sm text-soft">{v.priority}</span>}
                </li>
              ))}
            </ul>
          </section>
        </div>
        <div className="grid min-w-0 gap-6">
          <section aria-labelledby="members">
            <h2 id="members" className="mb-1">
              Members
            </h2>
            <ul>
              {team.members.map((m) => {
                const book = facts.notebooks.find((n) => n.personId === m.id);
                return (
                  <li key={m.id} className="flex flex-wrap items-baseline gap-x-3 border-t border-line py-1">
                    {staff ? (
                      <Link href={`${base}/people/${m.id}`} className="font-[600] hover:text-iron">
                        {m.name}
                      </Link>
                    ) : (
                      <span className="font-[600]">{m.name}</span>
                    )}
                    <span className="text-soft">{m.role}</span>
                    {staff && (
                      <span className="ml-auto text-sm text-soft">
                        {book
                          ? `${plural(book.entries, "entry", "entries")}, last ${shortDate(book.last)}`
                          : "no notebook entry"}
                      </span>
                    )}
                  </li>
                );
              })}
            </ul>
          </section>
          <section aria-labelledby="open">
            <h2 id="open" className="mb-1">
              Open
            </h2>
            {facts.actions.length + open.length === 0 && <p className="text-soft">Nothing is open.</p>}
            <ul>
              {facts.actions.map((a) => (
                <li key={a.id} className="grid grid-cols-[5.5rem_1fr] gap-x-3 border-t border-line py-1">
                  <span className={cx("text-sm", a.dueOn < frame.today ? "text-iron" : "text-soft")}>
                    {shortDate(a.dueOn)}
                  </span>
                  <span>
                    {a.what}
                    {a.owner && <span className="text-soft"> · {a.owner}</span>}
                  </span>
                </li>
              ))}
              {open.map((f) => (
                <li key={f.id} className="grid grid-cols-[5.5rem_1fr] gap-x-3 border-t border-line py-1">
                  <span className="text-sm text-soft">G{f.build}</span>
                  <Link href={`${base}/builds/failures?team=${id}`} className="hover:text-iron">
                    {f.mode} <span className="text-soft">· {f.severity}, not answered</span>
                  </Link>
                </li>
              ))}
            </ul>
            <p className="mt-1 text-sm text-soft">
              {facts.closed} actions closed, {facts.failures.length - open.length} of {facts.failures.length} failures
              answered.
            </p>
          </section>
          <section aria-labelledby="milestones">
            <h2 id="milestones" className="mb-1">
              Milestones
            </h2>
            <ul>
              {view.milestones.map((m) => (
                <li key={m.id} className="grid grid-cols-[5.5rem_1fr_auto] gap-x-3 border-t border-line py-1">
                  <span className="text-sm text-soft">{shortDate(m.dueOn)}</span>
                  <span>{m.title}</span>
                  <span className={cx("text-sm", !m.doneOn && m.dueOn < frame.today ? "text-iron" : "text-soft")}>
                    {m.doneOn ? `passed ${shortDate(m.doneOn)}` : m.dueOn < frame.today ? "overdue" : "to come"}
                  </span>
                </li>
              ))}
            </ul>
          </section>
          <section aria-labelledby="reviews">
            <h2 id="reviews" className="mb-1">
              Reviews and contest
            </h2>
            {facts.reviews.length + facts.places.length === 0 && <p className="text-soft">None yet.</p>}
            <ul>
              {facts.reviews.map((r) => (
                <li key={r.id} className="grid grid-cols-[5.5rem_1fr_auto] gap-x-3 border-t border-line py-1">
                  <span className="text-sm text-soft">{shortDate(r.heldOn)}</span>
                  <Link href={`${base}/reviews/${r.id}`} className="hover:text-iron">
                    {r.title}
                  </Link>
                  <span className="text-sm text-soft">{r.verdict ?? "no verdict yet"}</span>
                </li>
              ))}
              {facts.places.map((x) => (
                <li key={x.event} className="grid grid-cols-[5.5rem_1fr_auto] gap-x-3 border-t border-line py-1">
                  <span className="text-sm text-soft">contest</span>
                  <span>{x.event}</span>
                  <span className="text-sm text-soft">
                    place {x.place}
                    {!x.confirmed && ", not confirmed"}
                  </span>
                </li>
              ))}
            </ul>
          </section>
          {facts.bookings.length > 0 && (
            <section aria-labelledby="machines">
              <h2 id="machines" className="mb-1">
                At the machines
              </h2>
              <ul>
                {facts.bookings.map((b) => (
                  <li key={b.id} className="grid grid-cols-[5.5rem_1fr_auto] gap-x-3 border-t border-line py-1">
                    <span className="text-sm text-soft">{b.onDate ? shortDate(b.onDate) : "waits"}</span>
                    <span>{b.what}</span>
                    <span className="text-sm text-soft">
                      {b.tool}
                      {b.starts !== null && ` ${b.starts}–${b.starts + b.minutes}`}
                    </span>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
      </div>
    </>
  );
}
