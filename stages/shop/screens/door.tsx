import { notFound } from "next/navigation";
import { shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { cx } from "@/ui/classes";
import { Caution, LinkButton, PageHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { EndBooking, StartBooking } from "../parts/booking-acts";
import { MachineCheck } from "../parts/machine-check";
import { lackLabels, minutesSince } from "../view/bookings";
import { machinePage } from "./machine-page";

/** A machine's week for its door, printed or on the tablet beside it: who comes when, with one act a line. */
export async function DoorScreen({ slug, id, week }: { slug: string; id: string; week?: string }) {
  const page = await projectPage(slug);
  const m = await machinePage(page, { machine: id, week });
  if (!m.tool || m.tool.id !== id) notFound();
  const { tool } = m;
  const today = page.frame.today;
  return (
    <>
      <PageHead title={tool.name} note={`${tool.place ? `${tool.place} · ` : ""}week of ${shortDate(m.from)}`}>
        <PrintButton />
        <LinkButton href={`/p/${slug}/shop?machine=${id}&week=${m.from}`}>To the queue</LinkButton>
      </PageHead>
      <div className="mb-4">
        <Caution>
          {tool.rules && <strong className="font-[650]">{tool.rules} </strong>}
          {tool.caution} The school's rules and its trained staff decide.
          {tool.trainers && ` Trained by: ${tool.trainers}.`}
        </Caution>
      </div>
      {tool.checks.length > 0 && m.checked.length === 0 && (
        <section className="no-print mb-5 max-w-[620px]">
          <h2 className="mb-1">Before it runs today</h2>
          <MachineCheck toolId={id} lines={tool.checks} machine={tool.name} />
        </section>
      )}
      <div className="grid gap-5">
        {m.week.days.map((d) => (
          <section key={d.time.key} className="break-inside-avoid">
            <h2 className={cx("mb-1", d.time.date === today && "text-iron")}>
              {shortDate(d.time.date)} · session {d.time.number}
              {page.frame.sections.length > 1 && ` · section ${d.section}`}
              <span className="font-normal text-soft"> · {d.free} min free</span>
            </h2>
            <ul>
              {d.slots.map((s) => {
                const b = s.booking;
                const own = m.ask(b.teamId);
                return (
                  <li
                    key={b.id}
                    className={cx(
                      "grid min-h-12 items-center gap-x-4 border-t border-line py-1.5 text-[15px]",
                      "grid-cols-[4.5rem_1fr_auto]",
                      s.state === "over" && "text-soft",
                    )}
                  >
                    <strong className="font-[650] tabular-nums">
                      {b.starts}–{b.starts! + b.minutes}
                    </strong>
                    <span className="min-w-0 wrap-anywhere">
                      <strong className="font-[650]">{b.team}</strong>: {b.what}
                      {b.material && ` · ${b.material}`}
                      {b.once && s.state !== "over" && <strong className="text-iron"> · cut once only</strong>}
                      {s.state === "over" && ` · ${b.usedMinutes} min, ${b.outcome}`}
                      {s.lacks.length > 0 && d.time.date === today && (
                        <span className="block text-sm text-ochre-deep">
                          {s.lacks.map((l) => lackLabels[l]).join(" · ")}
                        </span>
                      )}
                    </span>
                    <span className="no-print">
                      {own && s.state === "stands" && d.time.date === today && (
                        <StartBooking id={b.id} version={b.version} look="main" />
                      )}
                      {own && s.state === "runs" && (
                        <EndBooking
                          id={b.id}
                          version={b.version}
                          used={Math.max(1, minutesSince(b.startedAt))}
                          outcome="done"
                          seen=""
                          over={false}
                        />
                      )}
                    </span>
                  </li>
                );
              })}
              {d.slots.length === 0 && <li className="border-t border-line py-1.5 text-soft">free</li>}
            </ul>
          </section>
        ))}
      </div>
      <p className="mt-6 border-t border-line pt-2 text-sm text-soft">
        Minutes are counted from the beginning of the session. Nobody works here alone; stop it and call the adult in
        the room when something is not as it should be.
      </p>
    </>
  );
}
