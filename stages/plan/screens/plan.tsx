import { sessionsHeld } from "@/core/sessions/sessions";
import { fullDate, longDate, shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { studentsOf } from "@/stages/people/queries/students";
import { teamsOf } from "@/stages/teams/queries/teams";
import { cx } from "@/ui/classes";
import { Fold } from "@/ui/fold";
import Link from "@/ui/link";
import { LinkButton, PageHead } from "@/ui/page";
import { RemoveMilestone } from "../parts/buttons";
import { MilestoneCheck } from "../parts/milestone-check";
import { MilestoneDateForm } from "../parts/milestone-date-form";
import { EditMilestone, MilestoneForm } from "../parts/milestone-form";
import { PlanChart } from "../parts/plan-chart";
import { PlanTabs } from "../parts/plan-tabs";
import { TaskForm } from "../parts/task-form";
import { TaskTable } from "../parts/task-table";
import { milestonesOf } from "../queries/milestones";
import { tasksOf } from "../queries/tasks";
import { dueFor, eventFor, planView } from "../view/tasks";

/** The plan as a network in class sessions, its chart and its table, and the milestones with who has passed them. */
export async function PlanScreen({ slug, section }: { slug: string; section?: string }) {
  const { frame, staff, ownTeam, actor } = await projectPage(slug);
  const p = frame.project;
  const [milestones, teams, students, tasks] = await Promise.all([
    milestonesOf(p.id),
    teamsOf(p.id),
    studentsOf(p.id),
    tasksOf(p.id),
  ]);
  const mine = students.find((x) => x.id === actor.id)?.sectionId;
  const shown =
    frame.sections.find((x) => x.name === section) ?? frame.sections.find((x) => x.id === mine) ?? frame.sections[0];
  const sessions = shown ? (frame.calendars.get(shown.id) ?? []) : [];
  const event = eventFor(p, shown);
  const view = planView(tasks, milestones, shown?.id ?? null, sessions, event, frame.today);
  const taskChoices = tasks.map((t) => ({ value: t.id, label: t.title }));
  const milestoneChoices = milestones.map((m) => ({ value: m.id, label: m.title }));
  return (
    <>
      <PageHead title="Plan" note={`${fullDate(p.startsOn)} to ${fullDate(p.endsOn)} · event ${longDate(event)}`}>
        {frame.sections.length > 1 &&
          frame.sections.map((x) => (
            <Link
              key={x.id}
              href={`/p/${slug}/plan?section=${encodeURIComponent(x.name)}`}
              aria-current={x.id === shown?.id ? "true" : undefined}
              className={cx("text-soft", x.id === shown?.id && "font-[650] text-ink")}
            >
              section {x.name}
            </Link>
          ))}
        {shown && (
          <LinkButton href={`/p/${slug}/calendar/${shown.id}`} look="quiet" download>
            Calendar (ICS)
          </LinkButton>
        )}
      </PageHead>
      <PlanTabs slug={slug} />
      <div className="grid gap-6 [&>*]:min-w-0">
        {(tasks.length > 0 || milestones.length > 0) && sessions.length > 0 && (
          <section aria-label="Chart">
            <PlanChart
              projectId={p.id}
              staff={staff}
              sessions={[...sessions]}
              event={event}
              today={frame.today}
              network={view.network}
              tasks={tasks}
              milestones={milestones.map((m) => ({
                id: m.id,
                title: m.title,
                dueOn: dueFor(m, shown?.id),
                version: m.version,
                own: !!(shown && m.dates[shown.id]),
              }))}
            />
          </section>
        )}
        <section>
          <h2 className="mb-2">Tasks</h2>
          {tasks.length === 0 ? (
            <p className="text-soft">
              None yet. A task lasts class sessions, may wait for others, and leads to a milestone; the plan then says
              what is critical and what slips when a day is lost.
            </p>
          ) : (
            <TaskTable
              projectId={p.id}
              staff={staff}
              today={frame.today}
              tasks={taskChoices}
              milestones={milestoneChoices}
              rows={view.lines}
            />
          )}
          {staff && (
            <div className="no-print mt-3">
              <TaskForm projectId={p.id} tasks={taskChoices} milestones={milestoneChoices} />
            </div>
          )}
        </section>
        <section>
          <h2 className="mb-2">Milestones</h2>
          {milestones.length === 0 ? (
            <p className="text-soft">
              None yet. A milestone is something that every team or student must have done by a day: a drawing handed
              in, tool training signed, a model complete.
            </p>
          ) : (
            <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Milestones">
              <table className="table">
                <thead>
                  <tr>
                    <th>Milestone</th>
                    <th>Due</th>
                    {staff ? teams.map((t) => <th key={t.id}>{t.name}</th>) : <th>{ownTeam ? "My team" : "Mine"}</th>}
                    <th />
                  </tr>
                </thead>
                <tbody>
                  {milestones.map((m) => (
                    <tr key={m.id}>
                      <td className="max-w-96 min-w-36 font-[600] wrap-anywhere">{m.title}</td>
                      <td className="whitespace-nowrap">
                        {shortDate(dueFor(m, shown?.id))}{" "}
                        <span className="text-sm text-soft">
                          session {sessionsHeld(sessions, dueFor(m, shown?.id))}
                        </span>
                        {m.gateStage && (
                          <span className="block text-sm">
                            <Link href={`/p/${slug}/plan/gates`} className="underline">
                              gate
                            </Link>
                          </span>
                        )}
                        {staff && shown && frame.sections.length > 1 && (
                          <Fold className="no-print text-sm text-soft" label="own date">
                            <MilestoneDateForm
                              milestoneId={m.id}
                              sectionId={shown.id}
                              dueOn={m.dates[shown.id] ?? ""}
                              label={`Section ${shown.name}`}
                            />
                          </Fold>
                        )}
                      </td>
                      {staff ? (
                        m.scope === "team" ? (
                          teams.map((t) => {
                            const k = m.checks.find((c) => c.teamId === t.id);
                            return (
                              <td
                                key={t.id}
                                className={cx(!k && dueFor(m, t.sectionId) < frame.today && "bg-iron-wash")}
                              >
                                <MilestoneCheck
                                  milestoneId={m.id}
                                  teamId={t.id}
                                  doneOn={k?.doneOn ?? null}
                                  today={frame.today}
                                  label={`${m.title}, ${t.name}`}
                                />
                              </td>
                            );
                          })
                        ) : (
                          <td colSpan={Math.max(1, teams.length)}>
                            <Fold
                              label={
                                <>
                                  {m.checks.length} of {students.length} students
                                </>
                              }
                            >
                              <ul className="mt-1 columns-2 md:columns-3">
                                {students.map((s) => (
                                  <li key={s.id} className="flex items-center gap-2">
                                    <MilestoneCheck
                                      milestoneId={m.id}
                                      personId={s.id}
                                      doneOn={m.checks.find((c) => c.personId === s.id)?.doneOn ?? null}
                                      today={frame.today}
                                      label={`${m.title}, ${s.name}`}
                                    />
                                    {s.name}
                                  </li>
                                ))}
                              </ul>
                            </Fold>
                          </td>
                        )
                      ) : (
                        <td>
                          {m.checks.some((c) =>
                            m.scope === "team" ? ownTeam && c.teamId === ownTeam : c.personId === actor.id,
                          ) ? (
                            "passed"
                          ) : dueFor(m, mine) < frame.today ? (
                            <span className="text-iron">overdue</span>
                          ) : (
                            "open"
                          )}
                        </td>
                      )}
                      <td>
                        {staff && (
                          <span className="flex flex-wrap gap-x-2.5">
                            <EditMilestone
                              projectId={p.id}
                              id={m.id}
                              version={m.version}
                              values={{ title: m.title, dueOn: m.dueOn, scope: m.scope }}
                            />
                            {m.checks.length === 0 && <RemoveMilestone id={m.id} />}
                          </span>
                        )}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          )}
          {staff && (
            <div className="no-print mt-3">
              <MilestoneForm projectId={p.id} />
            </div>
          )}
        </section>
      </div>
    </>
  );
}
