import type { ReactNode } from "react";
import { instant, longDate, shortDate } from "@/platform/pages/dates";
import { projectPage, sectionOf } from "@/platform/pages/page";
import { settingsOf } from "@/platform/project/settings";
import { studentsOf } from "@/stages/people/queries/students";
import { teamsOf } from "@/stages/teams/queries/teams";
import { cx } from "@/ui/classes";
import { Fold } from "@/ui/fold";
import Link from "@/ui/link";
import { LinkChoice, SectionChoice } from "@/ui/link-choice";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { Amend } from "../parts/amend";
import { AskCountersign } from "../parts/countersign";
import { DayRecordLine } from "../parts/day-record";
import { EntryField } from "../parts/entry-field";
import { EntryPictures } from "../parts/entry-pictures";
import { EntryText } from "../parts/entry-text";
import { ReadButton } from "../parts/read-button";
import { ReadKeys } from "../parts/read-keys";
import { Remarks } from "../parts/remarks";
import { Signs } from "../parts/signs";
import { ToSign } from "../parts/to-sign";
import { WithdrawEntry } from "../parts/withdraw-entry";
import { buildsByStudent, entriesOf, notebooksOf, onPage } from "../queries";
import { daysOf, shownTo } from "../queries-day";

/**
 * Each student's dated record. A student writes and reads the own one; instructors read all. What was written first
 * stays beside every amendment.
 */
export async function NotebookScreen({
  slug,
  person,
  section: asked,
  page: askedPage,
  unread: askedUnread,
  beside,
  mark,
}: {
  slug: string;
  person?: string;
  section?: string;
  page?: string;
  /** Only what the instructor has not read yet. */
  unread?: boolean;
  /** What stays with entries from elsewhere, by entry. */
  beside: (entries: readonly { id: string }[]) => Promise<ReadonlyMap<string, ReactNode>>;
  /** Where the instructor marks this student's notebook. */
  mark: (person: string) => Promise<ReactNode>;
}) {
  const { frame, staff, actor } = await projectPage(slug);
  const p = frame.project;
  const who = staff ? (person ?? null) : actor.id;
  const section = staff ? sectionOf(frame, asked) : undefined;
  const unread = staff && askedUnread === true;
  const page = Math.max(1, Math.floor(Number(askedPage)) || 1);
  const { countersign } = await settingsOf(p.id);
  const asks = !staff && countersign === "partner";
  const [found, notebooks, everybody, builds, shown, teams] = await Promise.all([
    entriesOf(p.id, { personId: who, sectionId: who ? null : section?.id, page, reader: actor.id, unread }),
    staff ? notebooksOf(p.id, actor.id) : [],
    staff ? studentsOf(p.id) : [],
    buildsByStudent(p.id, who),
    staff ? [] : shownTo(p.id, actor.id),
    asks ? teamsOf(p.id) : [],
  ]);
  const students = everybody.filter((s) => !section || s.sectionId === section.id);
  const entries = found.slice(0, onPage);
  const [kept, days, marking] = await Promise.all([
    beside(entries),
    daysOf(entries.map((e) => e.id)),
    staff && who ? mark(who) : null,
  ]);
  const own = teams.find((t) => t.members.some((m) => m.id === actor.id));
  const partners = asks ? (own?.members ?? []).filter((m) => m.id !== actor.id) : [];
  const chosen = students.find((s) => s.id === who);
  const hrefOf = (more: { person?: string; page?: string; unread?: boolean }) => {
    const { unread: only = unread, ...rest } = more;
    const narrowed = { ...(section && { section: section.id }), ...(only && { unread: "1" }), ...rest };
    const q = new URLSearchParams(narrowed).toString();
    return `/p/${slug}/notebook${q && `?${q}`}`;
  };
  const pageOf = (n: number) =>
    hrefOf({ ...(staff && who ? { person: who } : {}), ...(n > 1 ? { page: String(n) } : {}) });
  const last = new Map(notebooks.map((n) => [n.personId as string, n]));
  const written = students.filter((s) => last.has(s.id));
  const unseen = students.filter((x) => !who || x.id === who).reduce((n, x) => n + (last.get(x.id)?.unread ?? 0), 0);
  const count = who ? (last.get(who)?.entries ?? 0) : written.reduce((n, s) => n + last.get(s.id)!.entries, 0);
  return (
    <>
      <PageHead
        title={staff ? (chosen ? `Notebook of ${chosen.name}` : "Notebooks") : "My notebook"}
        note={
          staff
            ? `${count} entries${chosen ? "" : ` of ${written.length} of ${students.length} students`}`
            : "Dated, in your own words. A later change is shown as an amendment. G3 and R-05 become links."
        }
      >
        {who && <LinkButton href={`/p/${slug}/notebook/book?person=${who}`}>Bound book</LinkButton>}
      </PageHead>
      <div className={staff ? "grid items-start gap-6 lg:grid-cols-[230px_minmax(0,1fr)]" : "grid max-w-[720px] gap-5"}>
        {staff ? (
          <nav aria-label="Students" className="no-print grid gap-2">
            <SectionChoice sections={frame.sections} chosen={section?.id} base={`/p/${slug}/notebook`} />
            <LinkChoice
              label="Which entries"
              options={[
                { value: "", label: "all entries" },
                { value: "1", label: `unread: ${unseen}` },
              ]}
              chosen={unread ? "1" : ""}
              hrefOf={(v) => hrefOf({ ...(who && { person: who }), unread: v === "1" })}
            />
            {unseen > 0 && <p className="text-sm text-soft">N marks an entry as read and goes to the next.</p>}
            <ReadKeys />
            <ul className="text-sm">
              {chosen && (
                <li className="mb-1">
                  <Link href={hrefOf({})} className="underline">
                    everybody
                  </Link>
                </li>
              )}
              {students.map((s) => (
                <li key={s.id} className="flex justify-between gap-2 border-b border-line py-0.5">
                  <Link
                    href={hrefOf({ person: s.id })}
                    className={cx("wrap-anywhere", s.id === who ? "font-[650] text-iron" : "hover:text-iron")}
                  >
                    {s.name}
                  </Link>
                  <span className={last.has(s.id) ? "text-soft" : "text-ochre-deep"}>
                    {last.get(s.id)?.unread ? (
                      <strong className="text-ink">{last.get(s.id)!.unread} new · </strong>
                    ) : null}
                    {last.has(s.id) ? shortDate(last.get(s.id)!.last) : "none"}
                  </span>
                </li>
              ))}
            </ul>
          </nav>
        ) : (
          <div className="grid gap-5">
            <ToSign shown={shown} />
            <EntryField projectId={p.id} personId={actor.id} known={entries.map((e) => e.id)} />
          </div>
        )}
        <div className="grid min-w-0 content-start gap-4">
          {marking}
          {entries.length === 0 && (
            <Empty title={unread && count > 0 ? "Everything is read" : "No entry yet"}>
              {unread && count > 0
                ? "What is written or amended from now on stands here until you have read it."
                : staff
                  ? "Students write what they did, saw and decided; each entry carries its date and stays."
                  : "Write down today what you did and why: in six weeks nobody remembers."}
            </Empty>
          )}
          {entries.map((e) => {
            const now = e.versions.at(-1)!;
            const fresh = staff && e.seen < now.number;
            const left = partners
              .filter((m) => !e.signs.some((x) => x.partnerId === m.id))
              .map((m) => ({ value: m.id, label: m.name }));
            return (
              <article
                key={e.id}
                className="border-t-2 border-stone-3 pt-1.5"
                {...(fresh && {
                  "data-unread": "",
                  tabIndex: -1,
                  "aria-label": `Unread: ${e.person}, ${longDate(e.onDate)}`,
                })}
              >
                <h2 className="wrap-anywhere">
                  {longDate(e.onDate)}
                  {staff && !chosen && <span className="font-normal text-soft"> · {e.person}</span>}
                  {fresh && (
                    <span className="ml-2 text-sm font-[600] text-iron">{e.seen ? "amended since" : "unread"}</span>
                  )}
                </h2>
                <EntryText text={now.text} base={`/p/${slug}`} builds={builds.get(e.personId)} />
                <EntryPictures entryId={e.id} pictures={e.pictures} own={!staff} date={longDate(e.onDate)} />
                <DayRecordLine base={`/p/${slug}`} day={days.get(e.id)} />
                <Signs signs={e.signs} version={now.number} own={!staff} when={instant} />
                {kept.get(e.id)}
                {e.versions.length > 1 && (
                  <Fold
                    className="mt-1 text-sm text-soft"
                    label={
                      <>
                        amended {e.versions.length - 1 === 1 ? "once" : `${e.versions.length - 1} times`}, last{" "}
                        {instant(now.writtenAt)}: {now.reason}
                      </>
                    }
                  >
                    {e.versions
                      .slice(0, -1)
                      .reverse()
                      .map((v) => (
                        <div key={v.number} className="mt-1 border-l-3 border-stone-2 pl-2.5">
                          <p className="whitespace-pre-wrap">{v.text}</p>
                          <p className="text-xs">
                            {v.number === 1 ? "first writing" : `amendment: ${v.reason}`}, {instant(v.writtenAt)}
                          </p>
                        </div>
                      ))}
                  </Fold>
                )}
                <Remarks
                  entryId={e.id}
                  remarks={e.remarks.map(({ madeAt, ...r }) => ({ ...r, when: instant(madeAt) }))}
                  may={staff}
                />
                {staff && <ReadButton entryId={e.id} number={now.number} read={!fresh} />}
                {!staff && (
                  <span className="flex flex-wrap gap-x-2.5">
                    <Amend id={e.id} version={e.version} text={now.text} />
                    <WithdrawEntry id={e.id} />
                    {left.length > 0 && <AskCountersign entryId={e.id} partners={left} />}
                  </span>
                )}
              </article>
            );
          })}
          {(page > 1 || found.length > onPage) && (
            <nav aria-label="Pages" className="no-print flex gap-5">
              {page > 1 && (
                <Link href={pageOf(page - 1)} className="underline">
                  Later entries
                </Link>
              )}
              {found.length > onPage && (
                <Link href={pageOf(page + 1)} className="underline">
                  Earlier entries
                </Link>
              )}
            </nav>
          )}
        </div>
      </div>
    </>
  );
}
