import { shortDate } from "@/platform/pages/dates";
import type { Waiting } from "@/platform/registry/stage";
import { cx } from "@/ui/classes";
import Link from "@/ui/link";
import { Waits } from "@/ui/waits";
import { MachinesOfClass } from "../parts/class-machines";
import { ClassPlanForm } from "../parts/class-plan-form";
import { ClassStanding } from "../parts/class-standing";
import { PutAside, Reasons } from "../parts/reasons";
import type { ClassPage } from "./class-page";

/** Before class: its purpose and course, what is due, who stands where and why one looks, and what waits. */
export function ClassBefore({ slug, page, waiting }: { slug: string; page: ClassPage; waiting: readonly Waiting[] }) {
  const { frame, facts, view, on, aside } = page;
  const finished = frame.project.finishedAt !== null;
  const flagged = view.standing.filter((t) => t.flags.length);
  const by = on.onDate < frame.today ? on.onDate : frame.today;
  return (
    <div className="grid items-start gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <div className="grid min-w-0 gap-6">
        <section aria-labelledby="standing">
          <h2 id="standing" className="mb-1.5">
            Who stands where
          </h2>
          <ClassStanding slug={slug} standing={view.standing} channel={view.channel} />
        </section>
        <section aria-labelledby="look">
          <h2 id="look" className="mb-1">
            Where to look
          </h2>
          {flagged.length === 0 && <p className="text-soft">No team of this section wants a look.</p>}
          <ul className="grid gap-2">
            {flagged.map((t) => (
              <li key={t.id} className="grid grid-cols-[7rem_1fr] gap-x-3 border-t border-line pt-1.5">
                <strong className="font-[600]">{t.name}</strong>
                <Reasons slug={slug} flags={t.flags} may={!finished} />
              </li>
            ))}
          </ul>
          {aside.length > 0 && (
            <>
              <h3 className="mt-3 mb-1 text-sm font-[600] text-soft">Put aside</h3>
              <PutAside aside={aside} teams={view.standing} may={!finished} />
            </>
          )}
        </section>
        <section aria-labelledby="waits">
          <h2 id="waits" className="mb-1">
            What waits for you in this project
          </h2>
          <Waits items={waiting} base={`/p/${slug}`} />
        </section>
      </div>
      <div className="grid min-w-0 gap-6">
        {facts.before && (
          <section aria-labelledby="last">
            <h2 id="last" className="mb-1">
              From {shortDate(facts.before.onDate)}
            </h2>
            <p className="whitespace-pre-line">{facts.before.remark}</p>
          </section>
        )}
        <section aria-label="Purpose and course" className="sheet px-4 py-3">
          <ClassPlanForm
            key={on.sectionId + on.onDate}
            on={on}
            version={facts.kept?.version ?? 0}
            purpose={facts.kept?.purpose ?? ""}
            agenda={facts.kept?.agenda ?? ""}
            proposed={view.proposed}
            minutes={view.minutes}
          />
        </section>
        <section aria-labelledby="due">
          <h2 id="due" className="mb-1">
            Due by the next class
          </h2>
          {view.due.length === 0 && <p className="text-soft">Nothing is due.</p>}
          <ul>
            {view.due.map((d) => (
              <li
                key={d.path + d.what + d.who}
                className="grid grid-cols-[5.5rem_1fr] gap-x-3 border-t border-line py-1.5"
              >
                <span className={cx("text-sm", d.on < by ? "text-iron" : "text-soft")}>{shortDate(d.on)}</span>
                <span className="min-w-0 wrap-anywhere">
                  <Link href={`/p/${slug}${d.path}`} className="hover:text-iron">
                    {d.what}
                  </Link>
                  <span className="block text-sm text-soft">{d.who}</span>
                </span>
              </li>
            ))}
          </ul>
        </section>
        <MachinesOfClass slug={slug} machines={view.machines} />
      </div>
    </div>
  );
}
