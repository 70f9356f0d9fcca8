import { notFound } from "next/navigation";
import type { ReactNode } from "react";
import { attendanceOf, isAway } from "@/core/log/attendance";
import { isId } from "@/platform/db/id";
import { fullDate, shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { plural } from "@/platform/registry/words";
import { publishedTo } from "@/stages/grades/queries/publications";
import { peopleActs } from "@/stages/people/acts";
import { attendanceIn } from "@/stages/today/queries/classes";
import Link from "@/ui/link";
import { LinkButton, PageHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { studentFacts } from "../queries";
import { notebookView } from "../view";

const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <section aria-label={title} className="break-inside-avoid">
    <h2 className="mb-1">{title}</h2>
    {children}
  </section>
);

const Line = ({ left, children, right }: { left: ReactNode; children: ReactNode; right?: ReactNode }) => (
  <li className="grid grid-cols-[6rem_1fr_auto] gap-x-3 border-t border-line py-1">
    <span className="text-sm text-soft">{left}</span>
    <span className="min-w-0 wrap-anywhere">{children}</span>
    <span className="text-sm text-soft">{right}</span>
  </li>
);

/** The whole of a student in one screen, for a talk: own work, attendance, grade, and nothing of anybody else. */
export async function StudentScreen({ slug, person }: { slug: string; person: string }) {
  const { frame } = await projectPage(slug, peopleActs.read);
  if (!isId(person)) notFound();
  const p = frame.project;
  const [facts, published, [attended]] = await Promise.all([
    studentFacts(p.id, person),
    publishedTo(p.id, person),
    attendanceIn(p.id, person),
  ]);
  if (!facts || !attended) notFound();
  const section = frame.sections.find((s) => s.name === facts.section);
  const { marks } = attended;
  const a = attendanceOf(attended.taken, marks);
  const missed = marks.filter((m) => isAway(m.state)).map((m) => m.date);
  const book = notebookView(frame.calendars.get(section?.id ?? "") ?? [], facts.entries, missed, frame.today);
  const grade = published.find((x) => !x.withdrawnAt);
  const base = `/p/${slug}`;
  return (
    <>
      <PageHead
        title={facts.name}
        note={[
          facts.section && `section ${facts.section}`,
          facts.team && `team ${facts.team.name}${facts.team.role ? `, ${facts.team.role}` : ""}`,
          `as of ${fullDate(frame.today)}`,
        ]
          .filter(Boolean)
          .join(" · ")}
      >
        <PrintButton />
        <LinkButton href={`${base}/notebook?person=${person}`}>Notebook</LinkButton>
        {facts.team && <LinkButton href={`${base}/teams/${facts.team.id}`}>Team {facts.team.name}</LinkButton>}
      </PageHead>
      <div className="grid items-start gap-x-8 gap-y-6 lg:grid-cols-2">
        <div className="grid min-w-0 gap-6">
          <Part title="Grade">
            {grade ? (
              <ul>
                <Line left="published" right={fullDate(grade.publishedAt)}>
                  <strong className="font-[650]">
                    {grade.line.grade ?? "no grade yet"}
                    {grade.line.grade && " %"}
                    {grade.line.letter && ` · ${grade.line.letter}`}
                  </strong>
                </Line>
                {grade.line.components
                  .filter((c) => !c.group)
                  .map((c) => (
                    <Line key={c.key} left={c.state} right={c.percent === null ? "" : `${c.percent} %`}>
                      {c.name}
                    </Line>
                  ))}
              </ul>
            ) : (
              <p className="text-soft">No grade is published yet.</p>
            )}
          </Part>
          <Part title="In class">
            {a.taken === 0 ? (
              <p className="text-soft">Attendance was not taken yet.</p>
            ) : (
              <>
                <p>
                  Here from beginning to end in {a.whole} of {plural(a.taken, "class", "classes")}
                  {a.late > 0 && `, late ${a.late === 1 ? "once" : `${a.late} times`}`}
                  {a.leftEarly > 0 && `, left early ${a.leftEarly === 1 ? "once" : `${a.leftEarly} times`}`}
                  {a.minutes > 0 && ` (${a.minutes} min missed)`}
                  {a.absent > 0 && `, absent ${a.absent === 1 ? "once" : `${a.absent} times`}`}
                  {a.excused > 0 && `, excused ${a.excused === 1 ? "once" : `${a.excused} times`}`}.
                </p>
                <ul className="mt-1">
                  {marks.map((m) => (
                    <Line key={m.date} left={shortDate(m.date)}>
                      {m.state}
                      {m.minutes && `, ${m.minutes} min`}
                    </Line>
                  ))}
                </ul>
              </>
            )}
          </Part>
          <Part title="Notebook">
            {facts.entries.length === 0 ? (
              <p className="text-soft">No entry yet.</p>
            ) : (
              <p>
                An entry of its day for {book.written} of {plural(book.attended, "class", "classes")} attended; the
                longest stretch without one: {plural(book.longest, "class", "classes")}. Last{" "}
                {shortDate(facts.entries.toSorted().at(-1)!)}.
              </p>
            )}
          </Part>
        </div>
        <div className="grid min-w-0 gap-6">
          <Part title="Own work">
            {facts.concepts.length + facts.builds.length + facts.parts.length === 0 && (
              <p className="text-soft">Nothing carries the name alone yet.</p>
            )}
            <ul>
              {facts.concepts.map((k) => (
                <Line key={k.title} left="concept" right={k.fate}>
                  {k.title}
                  {k.fateReason && <span className="block text-sm text-soft">{k.fateReason}</span>}
                </Line>
              ))}
              {facts.parts.map((x) => (
                <Line key={x.name + x.role} left="part" right={x.role}>
                  {x.name}
                </Line>
              ))}
              {facts.builds.map((b) => (
                <Line key={b.id} left={shortDate(b.builtOn)} right={`${b.team} G${b.number}`}>
                  <Link href={`${base}/builds/${b.id}`} className="hover:text-iron">
                    {b.whatChanged}
                  </Link>
                </Line>
              ))}
            </ul>
          </Part>
          <Part title="Asked to do">
            {facts.actions.length === 0 && <p className="text-soft">No action of a review was in this name.</p>}
            <ul>
              {facts.actions.map((x) => (
                <Line key={x.what + x.dueOn} left={shortDate(x.dueOn)} right={x.closed ? "done" : "open"}>
                  {x.what}
                </Line>
              ))}
              {facts.checks.map((k) => (
                <Line key={k.title} left={shortDate(k.doneOn)} right="passed">
                  {k.title}
                </Line>
              ))}
            </ul>
          </Part>
          <Part title="Trained for">
            {facts.trainings.length === 0 && <p className="text-soft">No training is signed.</p>}
            <ul>
              {facts.trainings.map((t) => (
                <Line
                  key={t.tool}
                  left={shortDate(t.on)}
                  right={t.until ? (t.until < frame.today ? "over" : `until ${fullDate(t.until)}`) : ""}
                >
                  {t.tool}
                </Line>
              ))}
            </ul>
            {facts.minutesAtMachines > 0 && (
              <p className="mt-1 text-sm text-soft">{facts.minutesAtMachines} minutes at machines.</p>
            )}
          </Part>
          {facts.exercises.answered > 0 && (
            <Part title="Trainer">
              <p>
                {facts.exercises.correct} of {plural(facts.exercises.answered, "exercise")} right.
              </p>
            </Part>
          )}
        </div>
      </div>
    </>
  );
}
