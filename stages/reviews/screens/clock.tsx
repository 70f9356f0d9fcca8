import { notFound } from "next/navigation";
import { longDate, shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import Link from "@/ui/link";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { reviewActs } from "../acts";
import { SlotClock } from "../parts/slot-clock";
import { minuteOfDay, slotPlansOf, slotsOf } from "../queries/slots";
import { clockDay } from "../view/clock";

/** The clock on the day of reviews: the time that the speakers have left, and how far the day is behind. */
export async function ClockScreen({ slug, title, day: asked }: { slug: string; title: string; day?: string }) {
  const { frame, may } = await projectPage(slug, reviewActs.read);
  const p = frame.project;
  const [plans, slots, now] = await Promise.all([slotPlansOf(p.id), slotsOf(p.id, title), minuteOfDay()]);
  const plan = plans.find((x) => x.title === title);
  if (!plan) notFound();
  const leads = may(reviewActs.plan);
  const view = clockDay(plan, slots, frame.today, asked);
  // On another day nothing is late: the clock stands before its first review.
  const ticks = view.day === frame.today;
  const of = `title=${encodeURIComponent(title)}`;
  return (
    <>
      <PageHead
        title={title}
        note={
          view.day && longDate(view.day) + (leads && !ticks ? " · reviews are begun and ended here on that day" : "")
        }
      >
        {leads && <LinkButton href={`/p/${slug}/reviews/slots?${of}`}>The slots</LinkButton>}
        {view.days.length > 1 &&
          view.days
            .filter((d) => d !== view.day)
            .map((d) => (
              <Link
                key={d}
                href={`/p/${slug}/reviews/clock?${of}&day=${d}`}
                className="underline decoration-line underline-offset-3 hover:text-iron"
              >
                {shortDate(d)}
              </Link>
            ))}
      </PageHead>
      {view.rooms.length === 0 ? (
        <Empty title="No team has a place yet">Find the slots first.</Empty>
      ) : (
        <div className="grid items-start gap-6 lg:auto-cols-fr lg:grid-flow-col">
          {view.rooms.map((room) => (
            <SlotClock key={room.name} room={room} change={view.change} now={ticks ? now : 0} leads={leads && ticks} />
          ))}
        </div>
      )}
    </>
  );
}
