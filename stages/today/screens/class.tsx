import { instant, shortDate } from "@/platform/pages/dates";
import type { Waiting } from "@/platform/registry/stage";
import { LinkChoice } from "@/ui/link-choice";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { AttendanceBoard } from "../parts/attendance-board";
import { MachinesOfClass } from "../parts/class-machines";
import { ClassTimer } from "../parts/class-timer";
import { ClassAfter } from "./class-after";
import { ClassBefore } from "./class-before";
import { classPage } from "./class-page";

const parts = [
  { value: "before", label: "Before class" },
  { value: "during", label: "In class" },
  { value: "after", label: "After class" },
] as const;

/** One class of a section: what it is for and who stands where, who is here and at which machine, what came of it. */
export async function ClassScreen({
  slug,
  asked,
  waitsIn,
}: {
  slug: string;
  asked: { section?: string; day?: string; part?: string };
  /** What waits for the instructor in a project, from all stages. */
  waitsIn: (project: string, today: string) => Promise<readonly Waiting[]>;
}) {
  const page = await classPage(slug, asked);
  if (!page.chosen)
    return (
      <>
        <PageHead title="Class" />
        <Empty
          title="No class meets"
          action={<LinkButton href={`/p/${slug}/plan/calendar`}>To the calendar</LinkButton>}
        >
          Say on which days a section meets; then each of its classes has a page here.
        </Empty>
      </>
    );
  const { frame, chosen, section, facts, view, on } = page;
  const { meeting, before, next } = chosen;
  const base = `/p/${slug}/class`;
  const part = parts.find((x) => x.value === asked.part)?.value ?? view.part;
  const at = (more: { section?: string; day?: string; part?: string }) =>
    `${base}?${new URLSearchParams({ section: section.id, day: meeting.date, ...more })}`;
  const finished = frame.project.finishedAt !== null;
  const taken = facts.kept?.takenAt ? `taken by ${facts.kept.takenBy}, ${instant(facts.kept.takenAt)}` : null;
  return (
    <>
      <PageHead title={`Class of section ${section.name}`} note={page.says}>
        {before && (
          <LinkButton look="quiet" href={`${base}?section=${section.id}&day=${before.date}`}>
            before: {shortDate(before.date)}
          </LinkButton>
        )}
        {next && (
          <LinkButton look="quiet" href={`${base}?section=${section.id}&day=${next.date}`}>
            next: {shortDate(next.date)}
          </LinkButton>
        )}
        <LinkButton href={`${base}/attendance`}>Attendance</LinkButton>
        <LinkButton href={`${base}/sheet?section=${section.id}&day=${meeting.date}`}>Sheet to print</LinkButton>
      </PageHead>
      <div className="mb-4 flex flex-wrap justify-between gap-x-8 gap-y-1">
        <LinkChoice label="Part of the class" options={parts} chosen={part} hrefOf={(x) => at({ part: x })} />
        {frame.sections.length > 1 && (
          <LinkChoice
            label="Section"
            options={frame.sections.map((s) => ({ value: s.id, label: `Section ${s.name}` }))}
            chosen={section.id}
            hrefOf={(id) => `${base}?section=${id}`}
          />
        )}
      </div>
      {finished && (
        <p className="mb-4 border-l-4 border-slate bg-slate-wash px-3 py-1.5">
          This project is finished: what was written down of its classes is read here, and nothing is added.
        </p>
      )}
      <fieldset disabled={finished} className="contents">
        {part === "before" && (
          <ClassBefore slug={slug} page={page} waiting={await waitsIn(frame.project.id, frame.today)} />
        )}
        {part === "during" && (
          <div className="grid items-start gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
            <AttendanceBoard
              on={on}
              groups={view.groups}
              taken={taken}
              ran={meeting.date === frame.today ? facts.ran : null}
              minutes={view.minutes}
              counts={{ here: view.here, of: facts.students.length }}
            />
            <div className="grid gap-6 max-lg:order-first">
              <ClassTimer
                on={on}
                agenda={view.agenda}
                minutes={view.minutes}
                ran={facts.ran}
                isToday={meeting.date === frame.today}
              />
              <MachinesOfClass slug={slug} machines={view.machines} />
            </div>
          </div>
        )}
        {part === "after" && <ClassAfter slug={slug} page={page} />}
      </fieldset>
    </>
  );
}
