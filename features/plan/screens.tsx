import { describePattern, sessionsHeld } from "@/core/sessions/sessions";
import { milestonesOf } from "@/data/grades";
import { studentsOf } from "@/data/people";
import { teamsOf } from "@/data/teams";
import { projectPage } from "@/server/page";
import { cx } from "@/ui/classes";
import { fullDate, longDate, shortDate } from "@/ui/date";
import { LinkButton, PageHead, Sheet } from "@/ui/page";
import { DaysOffForm, MilestoneCheck, MilestoneForm, ProjectForm, RemoveDayOff, RemoveMilestone, SectionForm } from "./forms";

/** The plan: class sessions of every section, days off, milestones with who has passed them. */
export async function PlanScreen({ slug }: { slug: string }) {
  const { frame, staff, ownTeam, actor } = await projectPage(slug);
  const p = frame.project;
  const [milestones, teams, students] = await Promise.all([milestonesOf(p.id), teamsOf(p.id), studentsOf(p.id)]);
  return (
    <>
      <PageHead title="Plan" note={`${fullDate(p.startsOn)} to ${fullDate(p.endsOn)}${p.eventOn ? ` · event ${longDate(p.eventOn)}` : ""}`} />
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_330px]">
        <div className="grid min-w-0 gap-5 [&>*]:min-w-0">
          <section>
            <h2 className="mb-2">Milestones</h2>
            {milestones.length === 0 ? <p className="text-soft">None yet. A milestone is something that every team or student must have done by a day: a drawing handed in, tool training signed, a model complete.</p> : (
              <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Milestones">
                <table className="table">
                  <thead><tr><th>Milestone</th><th>Due</th>{staff ? teams.map((t) => <th key={t.id}>{t.name}</th>) : <th>{ownTeam ? "My team" : "Mine"}</th>}<th /></tr></thead>
                  <tbody>
                    {milestones.map((m) => (
                      <tr key={m.id}>
                        <td className="min-w-36 font-[600]">{m.title}</td>
                        <td className="whitespace-nowrap">{shortDate(m.dueOn)} <span className="text-sm text-soft">session {sessionsHeld(frame.sessions, m.dueOn)}</span></td>
                        {staff
                          ? m.scope === "team"
                            ? teams.map((t) => { const k = m.checks.find((c) => c.teamId === t.id); return <td key={t.id} className={cx(!k && m.dueOn < frame.today && "bg-iron-wash")}><MilestoneCheck milestoneId={m.id} teamId={t.id} doneOn={k?.doneOn ?? null} today={frame.today} label={`${m.title}, ${t.name}`} /></td>; })
                            : <td colSpan={Math.max(1, teams.length)}><details><summary>{m.checks.length} of {students.length} students</summary><ul className="mt-1 columns-2 md:columns-3">{students.map((s) => <li key={s.id} className="flex items-center gap-2"><MilestoneCheck milestoneId={m.id} personId={s.id} doneOn={m.checks.find((c) => c.personId === s.id)?.doneOn ?? null} today={frame.today} label={`${m.title}, ${s.name}`} />{s.name}</li>)}</ul></details></td>
                          : <td>{m.checks.some((c) => (m.scope === "team" ? ownTeam && c.teamId === ownTeam : c.personId === actor.id)) ? "passed" : m.dueOn < frame.today ? <span className="text-iron">overdue</span> : "open"}</td>}
                        <td>{staff && m.checks.length === 0 && <RemoveMilestone id={m.id} />}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </div>
            )}
            {staff && <div className="no-print mt-3"><MilestoneForm projectId={p.id} /></div>}
          </section>
          {frame.sections.map((s) => {
            const list = frame.calendars.get(s.id) ?? [];
            return (
              <section key={s.id}>
                <div className="mb-2 flex flex-wrap items-baseline justify-between gap-3"><h2>Section {s.name} <span className="font-normal text-soft">{describePattern(s.pattern)} · {list.length} sessions, {sessionsHeld(list, frame.today)} held</span></h2><LinkButton href={`/p/${slug}/calendar/${s.id}`} look="quiet" download>Calendar (ICS)</LinkButton></div>
                <ol className="flex flex-wrap gap-1">{list.map((x) => <li key={x.date} title={`session ${x.number}, ${longDate(x.date)}`} className={cx("w-[62px] rounded-sm border px-1.5 py-0.5 text-xs", x.date === frame.today ? "border-iron bg-sheet font-[650] text-iron" : x.date < frame.today ? "border-stone-2 bg-stone-1" : "border-line bg-sheet")}><span className="block text-[#574e45]">{x.number}</span>{shortDate(x.date)}</li>)}</ol>
              </section>
            );
          })}
        </div>
        <aside className="no-print grid gap-5">
          <Sheet title="Days off">
            {frame.daysOff.length > 0 && <ul className="mb-3">{frame.daysOff.map((d) => <li key={d.id} className="flex items-baseline justify-between border-b border-line py-0.5 last:border-0"><span>{longDate(d.onDate)} <span className="text-soft">{d.reason}{d.sectionId ? ` (section ${frame.sections.find((s) => s.id === d.sectionId)?.name})` : ""}</span></span>{staff && <RemoveDayOff id={d.id} />}</li>)}</ul>}
            {staff ? <DaysOffForm projectId={p.id} sections={frame.sections.map((s) => ({ value: s.id, label: `section ${s.name}` }))} /> : frame.daysOff.length === 0 && <p className="text-soft">None.</p>}
          </Sheet>
          {staff && <Sheet title="Another section"><SectionForm projectId={p.id} /></Sheet>}
        </aside>
      </div>
    </>
  );
}

export async function SettingsScreen({ slug }: { slug: string }) {
  const { frame } = await projectPage(slug, "project.edit");
  const p = frame.project;
  return (
    <>
      <PageHead title="Settings" note="What the project is, when it runs, and taking it with you." />
      <ProjectForm projectId={p.id} version={p.version} values={{ title: p.title, purpose: p.purpose, kind: p.kind, client: p.client, startsOn: p.startsOn, endsOn: p.endsOn, eventOn: p.eventOn ?? "", currency: p.currency }} />
      <section className="mt-8 max-w-[700px] border-t border-line pt-4">
        <h2>Out</h2>
        <p className="my-1.5 text-soft">The bundle holds the whole project as open files: one JSON a table, and the photos. It imports again unchanged, here or in another school. It holds students' names; logins and guest links stay behind.</p>
        <div className="flex flex-wrap gap-2"><LinkButton href={`/p/${slug}/bundle`} download>Export the project</LinkButton>{["requirements", "runs", "standings", "gradebook"].map((k) => <LinkButton key={k} href={`/p/${slug}/csv/${k}`} download look="quiet">{k} CSV</LinkButton>)}</div>
      </section>
    </>
  );
}
