import { formatNumber } from "@/core/quantity/quantity";
import { addDays } from "@/core/sessions/date";
import { shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { plural } from "@/platform/registry/words";
import { LinkChoice } from "@/ui/link-choice";
import { Caution, Empty, LinkButton, PageHead } from "@/ui/page";
import { toolActs } from "../acts";
import { PlanQueue } from "../parts/booking-acts";
import { AskBooking } from "../parts/booking-form";
import { BookingRow } from "../parts/booking-row";
import { MachineCheck } from "../parts/machine-check";
import { MachineStrip } from "../parts/machine-strip";
import { ShopTabs } from "../parts/shop-tabs";
import { minutesSince, type Slot } from "../view/bookings";
import { placeOf } from "../view/times";
import { machinePage } from "./machine-page";

/** The shared machines: a week of one, session by session, and who waits for it. */
export async function ShopScreen({ slug, machine, week }: { slug: string; machine?: string; week?: string }) {
  const page = await projectPage(slug);
  const { frame, staff, ownTeam } = page;
  const m = await machinePage(page, { machine, week });
  const base = `/p/${slug}/shop`;
  if (!m.tool)
    return (
      <>
        <PageHead title="Shop" note="Shared machines, who is trained for them, stock, and what is cut from it." />
        <ShopTabs slug={slug} />
        <Empty
          title="No machine is shared yet"
          action={staff && <LinkButton href={`${base}/training`}>To the tools</LinkButton>}
        >
          A shared machine has a queue: teams ask for minutes, and everybody sees who has it when.
          {staff && " Add a tool, or correct one, and say that teams share it."}
        </Empty>
      </>
    );
  const { tool } = m;
  const own = ownTeam && m.ask(ownTeam) ? m.teams.find((t) => t.id === ownTeam) : undefined;
  const at = (monday: string) => `${base}?machine=${tool.id}&week=${monday}`;
  const row = (s: Slot, when: string) => (
    <BookingRow
      key={s.booking.id}
      slot={s}
      slug={slug}
      when={when}
      needed={shortDate(s.booking.needBy)}
      may={{ own: m.ask(s.booking.teamId), place: m.place }}
      times={m.times}
      team={m.teams.find((t) => t.id === s.booking.teamId)}
      time={placeOf(s.booking)}
      running={minutesSince(s.booking.startedAt)}
    />
  );
  const asks = m.place ? m.teams : own ? [own] : [];
  return (
    <>
      <PageHead
        title={tool.name}
        note={[
          tool.place,
          `${m.week.booked} of ${m.week.minutes} minutes of the week are taken`,
          m.week.overrun
            ? `times here took ${formatNumber(m.week.overrun.ratio, 1)} times what was estimated (median of ` +
              `${m.week.overrun.of})`
            : "",
        ]
          .filter(Boolean)
          .join(" · ")}
      >
        <LinkButton href={`${base}/machine/${tool.id}?week=${m.from}`}>Plan at its door</LinkButton>
      </PageHead>
      <ShopTabs slug={slug} />
      {m.tools.length > 1 && (
        <LinkChoice
          label="Machine"
          options={m.tools.map((t) => ({ value: t.id, label: t.name }))}
          chosen={tool.id}
          hrefOf={(id) => `${base}?machine=${id}&week=${m.from}`}
        />
      )}
      <div className="my-3 max-w-[860px]">
        <Caution>
          {tool.rules && <strong className="font-[650]">{tool.rules} </strong>}
          {tool.caution} {m.strictness === "block" && "Nobody begins here without a training that holds. "}
          The school's rules and its trained staff decide.
        </Caution>
      </div>
      <div className="grid gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <section aria-labelledby="week" className="min-w-0">
          <div className="mb-2 flex flex-wrap items-baseline justify-between gap-3">
            <h2 id="week">Week of {shortDate(m.from)}</h2>
            <nav aria-label="Week" className="no-print flex gap-2">
              <LinkButton look="quiet" href={at(addDays(m.from, -7))}>
                week before
              </LinkButton>
              <LinkButton look="quiet" href={at(addDays(m.from, 7))}>
                week after
              </LinkButton>
            </nav>
          </div>
          {m.week.running && (
            <div className="mb-3 border-l-4 border-ochre bg-ochre-wash px-3 py-1">
              <p className="text-sm font-[600]">
                Begun on {shortDate(m.week.running.booking.onDate!)} and not ended: nobody else begins here.
              </p>
              <ul>{row(m.week.running, `${m.week.running.booking.minutes} min`)}</ul>
            </div>
          )}
          {m.week.days.length === 0 && <p className="text-soft">No class meets in this week.</p>}
          <div className="grid gap-4">
            {m.week.days.map((d) => (
              <div key={d.time.key}>
                <p className="mb-1 flex flex-wrap justify-between gap-x-3 text-sm">
                  <span className="font-[600]">
                    {shortDate(d.time.date)} · session {d.time.number}
                    {frame.sections.length > 1 && ` · section ${d.section}`}
                    {d.time.date === frame.today && <span className="text-iron"> · today</span>}
                  </span>
                  <span className="text-soft">{d.free} min free</span>
                </p>
                <MachineStrip day={d} />
                {d.slots.length > 0 && (
                  <ul className="mt-1">
                    {d.slots.map((s) => row(s, `${s.booking.starts}–${s.booking.starts! + s.booking.minutes} min`))}
                  </ul>
                )}
              </div>
            ))}
          </div>
        </section>
        <section aria-labelledby="queue" className="min-w-0">
          <div className="mb-2 flex flex-wrap items-baseline justify-between gap-3">
            <h2 id="queue">
              {m.week.waiting.length === 0 ? "Nobody waits" : plural(m.week.waiting.length, "waits", "wait")}
            </h2>
            {m.place && m.week.waiting.length > 0 && <PlanQueue toolId={tool.id} waiting={m.week.waiting.length} />}
          </div>
          <p className="mb-1 text-sm text-soft">
            By the day on which it is needed, then by who asked first; each in the first session of the own class with
            room.
          </p>
          <ul>{m.week.waiting.map((s) => row(s, ""))}</ul>
          {asks.length > 0 && (
            <div className="mt-3">
              <AskBooking
                toolId={tool.id}
                machine={tool.name}
                teams={asks}
                own={m.place ? undefined : own?.id}
                needBy={addDays(frame.today, 7)}
              />
            </div>
          )}
          {tool.checks.length > 0 && page.may(toolActs.record) && (
            <div className="mt-6">
              <h2 className="mb-1">Before it runs today</h2>
              {m.checked.length > 0 ? (
                <p className="text-sm text-moss">Looked at today by {m.checked.map((c) => c.checkedBy).join(", ")}.</p>
              ) : (
                <MachineCheck toolId={tool.id} lines={tool.checks} machine={tool.name} />
              )}
            </div>
          )}
        </section>
      </div>
    </>
  );
}
