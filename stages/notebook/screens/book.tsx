import { notFound } from "next/navigation";
import { sessionsHeld } from "@/core/sessions/sessions";
import { isId } from "@/platform/db/id";
import { fullDate, instant, longDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { plural } from "@/platform/registry/words";
import { studentsOf } from "@/stages/people/queries/students";
import { LinkButton, PageHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { notebookActs } from "../acts";
import { DayRecordLine } from "../parts/day-record";
import { EntryPictures } from "../parts/entry-pictures";
import { EntryText } from "../parts/entry-text";
import { Signs } from "../parts/signs";
import { buildsByStudent, entriesOf } from "../queries";
import { daysOf } from "../queries-day";

/** A student's whole notebook as a book to print and bind: every entry, its amendments, pictures and remarks. */
export async function BookScreen({ slug, person: asked }: { slug: string; person?: string }) {
  const page = await projectPage(slug);
  const person = asked ?? page.actor.id;
  if (!isId(person) || !page.may(notebookActs.read, { person })) notFound();
  const { frame } = page;
  const p = frame.project;
  const [entries, students, builds] = await Promise.all([
    entriesOf(p.id, { personId: person, whole: true }),
    studentsOf(p.id),
    buildsByStudent(p.id, person),
  ]);
  const days = await daysOf(entries.map((e) => e.id));
  const student = students.find((s) => s.id === person);
  if (!student) notFound();
  const sessions = frame.calendars.get(student.sectionId) ?? [];
  const first = entries[0];
  return (
    <div className="numbered max-w-[760px]">
      <PageHead
        title={`Notebook of ${student.name}`}
        note={
          `${p.title}, section ${student.section}${student.team ? `, team ${student.team}` : ""} · ` +
          (first
            ? `${plural(entries.length, "entry", "entries")}, ${fullDate(first.onDate)} to ` +
              fullDate(entries.at(-1)!.onDate)
            : "no entry yet")
        }
      >
        <PrintButton />
        <LinkButton href={`/p/${slug}/notebook${page.staff ? `?person=${person}` : ""}`}>To the notebook</LinkButton>
      </PageHead>
      {entries.map((e, n) => {
        const now = e.versions.at(-1)!;
        const held = sessionsHeld(sessions, e.onDate);
        return (
          <article key={e.id} className="mb-4 border-t-2 border-stone-3 pt-1.5">
            <h2 className="flex flex-wrap items-baseline gap-x-3">
              {longDate(e.onDate)}
              <span className="text-sm font-normal text-soft">
                entry {n + 1}
                {held > 0 && ` · session ${held} of ${sessions.length}`} · written {instant(e.createdAt)}
              </span>
            </h2>
            <EntryText text={now.text} base={`/p/${slug}`} builds={builds.get(person)} />
            {e.versions.length > 1 && (
              <div className="mt-1 border-l-3 border-stone-2 pl-2.5 text-sm">
                {e.versions.slice(0, -1).map((v) => (
                  <p key={v.number} className="whitespace-pre-wrap text-soft">
                    {instant(v.writtenAt)}: {v.text}
                  </p>
                ))}
                <p>
                  Amended {instant(now.writtenAt)}: {now.reason}
                </p>
              </div>
            )}
            {e.pictures.length > 0 && (
              <EntryPictures entryId={e.id} pictures={e.pictures} own={false} date={longDate(e.onDate)} />
            )}
            <DayRecordLine base={`/p/${slug}`} day={days.get(e.id)} />
            <Signs signs={e.signs} version={now.number} own={false} when={instant} />
            {e.remarks.map((r) => (
              <p key={r.id} className="mt-1 text-sm">
                <strong className="font-[600]">{r.madeBy}</strong>, {instant(r.madeAt)}: {r.text}
              </p>
            ))}
          </article>
        );
      })}
      <p className="mt-8 hidden border-t border-line pt-8 text-sm print:block">
        Read by ______________________________ on ________________
      </p>
    </div>
  );
}
