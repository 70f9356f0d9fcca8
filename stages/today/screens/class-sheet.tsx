import { shortDate } from "@/platform/pages/dates";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { AgendaStrip } from "../parts/agenda-strip";
import { classPage } from "./class-page";

/** The class on one sheet of paper: purpose, course, due, teams with what to look at, machines, and boxes to tick. */
export async function ClassSheetScreen({ slug, asked }: { slug: string; asked: { section?: string; day?: string } }) {
  const page = await classPage(slug, asked);
  if (!page.chosen) return <Empty title="No class meets">Say on which days a section meets, under Calendar.</Empty>;
  const { section, view, facts, frame, on } = page;
  return (
    <div className="max-w-[820px] text-[12.5px] leading-snug">
      <PageHead title={`${frame.project.title}, section ${section.name}`} note={page.says}>
        <PrintButton />
        <LinkButton href={`/p/${slug}/class?section=${section.id}&day=${on.onDate}`}>To the class</LinkButton>
      </PageHead>
      <p className="mb-3 text-[15px] font-[600]">{facts.kept?.purpose || view.proposed || "Purpose: "}</p>
      <div className="grid grid-cols-2 gap-x-8 gap-y-4">
        <div>
          <AgendaStrip agenda={view.agenda} minutes={view.minutes} />
        </div>
        <div>
          <h2 className="text-base">Due by the next class</h2>
          <ul>
            {view.due.map((d) => (
              <li key={d.path + d.what + d.who}>
                {shortDate(d.on)}: {d.what} <span className="text-soft">({d.who})</span>
              </li>
            ))}
          </ul>
          {facts.machines.length > 0 && <h2 className="mt-2 text-base">At the machines</h2>}
          <ul>
            {view.machines.map((b) => (
              <li key={b.id}>
                {b.tool} {b.starts}–{b.starts! + b.minutes}: {b.team}, {b.what}
              </li>
            ))}
          </ul>
        </div>
      </div>
      <table className="table mt-4">
        <caption className="sr-only">Teams with their students</caption>
        <thead>
          <tr>
            <th>Team</th>
            <th>Not here</th>
            <th>Where to look</th>
            <th className="w-[30%]">Seen</th>
          </tr>
        </thead>
        <tbody>
          {view.groups.map((g) => {
            const t = view.standing.find((x) => x.id === g.id);
            return (
              <tr key={g.id} className="break-inside-avoid">
                <td className="align-top">
                  <strong className="font-[650]">{g.name}</strong>
                  {t && (
                    <span className="block text-soft">
                      {t.build?.name ?? "no build"}, {t.verified} of {t.musts} musts
                    </span>
                  )}
                </td>
                <td className="align-top">
                  {g.students.map((s) => (
                    <span key={s.id} className="block whitespace-nowrap">
                      <span aria-hidden className="mr-1.5 inline-block size-2.5 border border-ink" />
                      {s.name}
                    </span>
                  ))}
                </td>
                <td className="align-top">{t?.flags.map((f) => f.reason).join("; ")}</td>
                <td />
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
