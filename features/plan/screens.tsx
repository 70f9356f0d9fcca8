import { countTasks, type Scheduled, scheduleTasks } from "@/core/sessions/network";
import { describePattern, sessionsHeld } from "@/core/sessions/sessions";
import { gatesOf, gateTicks, toolsOf } from "@/data/gates";
import { milestonesOf } from "@/data/grades";
import { studentsOf } from "@/data/people";
import { dueFor, networkOf, tasksOf } from "@/data/plan";
import { settingsOf } from "@/data/settings";
import { teamsOf } from "@/data/teams";
import { projectPage } from "@/server/page";
import { cx } from "@/ui/classes";
import { fullDate, instant, longDate, shortDate } from "@/ui/date";
import Link from "@/ui/link";
import { Caution, Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { Tabs } from "@/ui/tabs";
import { VerdictMark } from "@/ui/verdict";
import { PlanChart } from "./chart";
import {
  ExtraForm,
  GateForm,
  GateItemForm,
  IcsImport,
  MilestoneDateForm,
  PatternForm,
  RemoveExtra,
  RemoveItem,
  SignGate,
  SchoolsForm,
  SignTool,
  StrictnessForm,
  TaskForm,
  TaskTable,
  Tick,
  ToolForm,
} from "./plan-forms";
import {
  DaysOffForm,
  MilestoneCheck,
  MilestoneForm,
  ProjectForm,
  RemoveDayOff,
  RemoveMilestone,
  SectionForm,
} from "./forms";

const PlanTabs = ({ slug }: { slug: string }) => (
  <Tabs
    label="Plan"
    pages={[
      { href: `/p/${slug}/plan`, label: "Tasks and milestones" },
      { href: `/p/${slug}/plan/calendar`, label: "Calendar" },
      { href: `/p/${slug}/plan/gates`, label: "Gates and tools" },
    ]}
  />
);

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
  const event = shown?.eventOn ?? p.eventOn ?? shown?.endsOn ?? p.endsOn;
  const network = networkOf(tasks, milestones, shown?.id ?? null);
  const plan = scheduleTasks(countTasks(network, sessions), sessionsHeld(sessions, event));
  const at = plan.ok ? new Map(plan.tasks.map((t) => [t.id, t])) : new Map<string, Scheduled>();
  const taskChoices = tasks.map((t) => ({ value: t.id, label: t.title }));
  const milestoneChoices = milestones.map((m) => ({ value: m.id, label: m.title }));
  const when = (t: Scheduled | undefined) => {
    const [a, b] = t ? [sessions[t.early]?.date, sessions[t.earlyEnd - 1]?.date] : [];
    return a ? `${shortDate(a)}${b && b !== a ? ` to ${shortDate(b)}` : ""}` : "after the last session";
  };
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
              network={network}
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
              rows={tasks.map((t) => {
                const x = at.get(t.id);
                return {
                  id: t.id,
                  version: t.version,
                  title: t.title,
                  length: t.length,
                  notBefore: t.notBefore ?? "",
                  deadline: t.deadline ?? "",
                  milestoneId: t.milestoneId ?? "",
                  after: t.after,
                  doneOn: t.doneOn,
                  when: when(x),
                  slack: x?.slack ?? 0,
                  critical: x?.critical ?? false,
                  late: !t.doneOn && (x?.slack ?? 0) < 0,
                };
              })}
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
                      <td className="min-w-36 font-[600]">{m.title}</td>
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
                          <details className="no-print text-sm text-soft">
                            <summary>own date</summary>
                            <MilestoneDateForm
                              milestoneId={m.id}
                              sectionId={shown.id}
                              dueOn={m.dates[shown.id] ?? ""}
                              label={`Section ${shown.name}`}
                            />
                          </details>
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
                            <details>
                              <summary>
                                {m.checks.length} of {students.length} students
                              </summary>
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
                            </details>
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
                      <td>{staff && m.checks.length === 0 && <RemoveMilestone id={m.id} />}</td>
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

/** The calendar: each section's pattern and sessions, days off and extra sessions. */
export async function CalendarScreen({ slug }: { slug: string }) {
  const { frame, staff } = await projectPage(slug);
  const p = frame.project;
  const sections = frame.sections.map((s) => ({ value: s.id, label: `section ${s.name}` }));
  const of = (id: string | null) => (id ? ` (section ${frame.sections.find((s) => s.id === id)?.name})` : "");
  return (
    <>
      <PageHead
        title="Calendar"
        note="Class sessions come from each section's pattern, less days off, with what was added."
      />
      <PlanTabs slug={slug} />
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_330px]">
        <div className="grid min-w-0 gap-6 [&>*]:min-w-0">
          {frame.sections.map((s) => {
            const list = frame.calendars.get(s.id) ?? [];
            const c = s.pattern;
            return (
              <section key={s.id}>
                <div className="mb-2 flex flex-wrap items-baseline justify-between gap-3">
                  <h2>
                    Section {s.name}{" "}
                    <span className="font-normal text-soft">
                      {describePattern(c)} · {list.length} sessions, {sessionsHeld(list, frame.today)} held
                      {s.eventOn && ` · event ${longDate(s.eventOn)}`}
                    </span>
                  </h2>
                  <LinkButton href={`/p/${slug}/calendar/${s.id}`} look="quiet" download>
                    Calendar (ICS)
                  </LinkButton>
                </div>
                <ol className="flex flex-wrap gap-1">
                  {list.map((x) => (
                    <li
                      key={x.number}
                      title={`session ${x.number}, ${longDate(x.date)}`}
                      className={cx(
                        "w-[62px] rounded-sm border px-1.5 py-0.5 text-xs",
                        x.date === frame.today
                          ? "border-iron bg-sheet font-[650] text-iron"
                          : x.date < frame.today
                            ? "border-stone-2 bg-stone-1"
                            : "border-line bg-sheet",
                      )}
                    >
                      <span className="block text-[#574e45]">{x.number}</span>
                      {shortDate(x.date)}
                    </li>
                  ))}
                </ol>
                {staff && (
                  <details className="no-print mt-2">
                    <summary className="text-sm text-soft">Change the pattern or this section's dates</summary>
                    <div className="mt-2 max-w-xl">
                      <PatternForm
                        key={s.version}
                        projectId={p.id}
                        sectionId={s.id}
                        version={s.version}
                        values={{
                          pattern: c.kind,
                          days: c.kind === "weekdays" ? c.days : [],
                          double: c.double ?? [],
                          cycleLength: c.kind === "cycle" ? c.length : 2,
                          meets: c.kind === "cycle" ? c.meets : [],
                          cycleStart: c.kind === "cycle" ? c.startsOn : p.startsOn,
                          startsOn: s.startsOn ?? "",
                          endsOn: s.endsOn ?? "",
                          eventOn: s.eventOn ?? "",
                        }}
                      />
                    </div>
                  </details>
                )}
              </section>
            );
          })}
        </div>
        <aside className="no-print grid gap-5">
          <Sheet title="Days off">
            {frame.daysOff.length > 0 && (
              <ul className="mb-3">
                {frame.daysOff.map((d) => (
                  <li
                    key={d.id}
                    className="flex items-baseline justify-between border-b border-line py-0.5 last:border-0"
                  >
                    <span>
                      {longDate(d.onDate)}{" "}
                      <span className="text-soft">
                        {d.reason}
                        {of(d.sectionId)}
                      </span>
                    </span>
                    {staff && <RemoveDayOff id={d.id} />}
                  </li>
                ))}
              </ul>
            )}
            {staff ? (
              <>
                <DaysOffForm projectId={p.id} sections={sections} />
                <div className="mt-3 border-t border-line pt-3">
                  <IcsImport projectId={p.id} sections={sections} />
                </div>
              </>
            ) : (
              frame.daysOff.length === 0 && <p className="text-soft">None.</p>
            )}
          </Sheet>
          <Sheet title="Extra sessions">
            {frame.extras.length > 0 && (
              <ul className="mb-3">
                {frame.extras.map((d) => (
                  <li
                    key={d.id}
                    className="flex items-baseline justify-between border-b border-line py-0.5 last:border-0"
                  >
                    <span>
                      {longDate(d.onDate)}{" "}
                      <span className="text-soft">
                        {d.reason}
                        {of(d.sectionId)}
                      </span>
                    </span>
                    {staff && <RemoveExtra id={d.id} />}
                  </li>
                ))}
              </ul>
            )}
            {staff ? (
              <ExtraForm projectId={p.id} sections={sections} />
            ) : (
              frame.extras.length === 0 && <p className="text-soft">None.</p>
            )}
          </Sheet>
          {staff && (
            <Sheet title="Another section">
              <SectionForm projectId={p.id} />
            </Sheet>
          )}
        </aside>
      </div>
    </>
  );
}

/**
 * Gates: a checklist before material is touched, team by team, signed by the instructor; and who is signed for which
 * tool.
 */
export async function GatesScreen({ slug }: { slug: string }) {
  const { frame, staff, ownTeam, actor } = await projectPage(slug);
  const p = frame.project;
  const [gates, tools, settings, milestones, teams, students] = await Promise.all([
    gatesOf(p.id),
    toolsOf(p.id),
    settingsOf(p.id),
    milestonesOf(p.id),
    teamsOf(p.id),
    studentsOf(p.id),
  ]);
  const rest = milestones.filter((m) => !m.gateStage && m.scope === "team");
  const ticks = await gateTicks(p.id);
  const strict = {
    warn: "Builds may be recorded with an open gate, with a warning.",
    block: "No build is recorded before the gate is signed.",
    none: "Gates are not asked for.",
  }[settings.gateStrictness];
  return (
    <>
      <PageHead title="Gates and tools" note={strict} />
      <PlanTabs slug={slug} />
      <div className="grid gap-6">
        <div className="grid min-w-0 gap-6 [&>*]:min-w-0">
          {gates.length === 0 && (
            <Empty
              title="No gate yet"
              action={staff && <LinkButton href={`/p/${slug}/plan`}>To the milestones</LinkButton>}
            >
              A gate is a milestone with a checklist that a team passes before it touches material: drawings in, model
              complete, materials listed, tools signed.{" "}
              {staff &&
                (rest.length ? "Make one of the milestones below a gate." : "Add a milestone in the plan first.")}
            </Empty>
          )}
          {gates.map((g) => (
            <section key={g.id}>
              <div className="mb-2 flex flex-wrap items-baseline justify-between gap-3">
                <h2>
                  {g.title}{" "}
                  <span className="font-normal text-soft">
                    before every {g.stage} · due {shortDate(g.dueOn)} · signed for{" "}
                    {g.teams.filter((t) => t.signed).length} of {g.teams.length}
                  </span>
                </h2>
                {staff && <GateForm milestoneId={g.id} stage={g.stage} />}
              </div>
              <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={g.title}>
                <table className="table">
                  <thead>
                    <tr>
                      <th>Team</th>
                      {g.items.map((i) => (
                        <th key={i.id} className="whitespace-normal">
                          {i.label}
                          {staff && (
                            <span className="block font-normal">
                              <RemoveItem id={i.id} />
                            </span>
                          )}
                        </th>
                      ))}
                      <th>Signature</th>
                    </tr>
                  </thead>
                  <tbody>
                    {g.teams
                      .filter((t) => staff || t.id === ownTeam)
                      .map((t) => (
                        <tr key={t.id}>
                          <td className="font-[600]">{t.name}</td>
                          {t.states.map((x) => {
                            const members = teams.find((y) => y.id === t.id)?.members ?? [];
                            const has = (k: { teamId?: string; personId?: string }) =>
                              ticks.some(
                                (y) =>
                                  y.itemId === x.item.id &&
                                  (k.personId ? y.personId === k.personId : y.teamId === k.teamId),
                              );
                            return (
                              <td key={x.item.id} className="min-w-36">
                                <span className="flex items-baseline gap-1.5">
                                  <VerdictMark verdict={x.met ? "met" : "not met"} />
                                  <span className="text-sm">{x.note}</span>
                                </span>
                                {x.item.kind === "team" && staff && (
                                  <Tick
                                    itemId={x.item.id}
                                    teamId={t.id}
                                    on={has({ teamId: t.id })}
                                    label="it is there"
                                  />
                                )}
                                {x.item.kind === "each" &&
                                  (staff ? (
                                    <details className="no-print text-sm text-soft">
                                      <summary>who</summary>
                                      {members.map((m) => (
                                        <span key={m.id} className="block">
                                          <Tick
                                            itemId={x.item.id}
                                            personId={m.id}
                                            on={has({ personId: m.id })}
                                            label={m.name}
                                          />
                                        </span>
                                      ))}
                                    </details>
                                  ) : (
                                    <Tick
                                      itemId={x.item.id}
                                      personId={actor.id}
                                      on={has({ personId: actor.id })}
                                      label={has({ personId: actor.id }) ? "my own" : "I hand mine in"}
                                    />
                                  ))}
                              </td>
                            );
                          })}
                          <td className="min-w-32">
                            {t.signed && (
                              <span className="block">
                                <strong className="font-[650] text-moss">signed</strong>{" "}
                                <span className="text-sm text-soft">
                                  {t.signed.by}, {instant(t.signed.at)}
                                </span>
                                {t.signed.missing && (
                                  <span className="block text-sm text-ochre-deep">although {t.signed.missing}</span>
                                )}
                              </span>
                            )}
                            {staff ? (
                              <SignGate
                                milestoneId={g.id}
                                teamId={t.id}
                                signed={!!t.signed}
                                missing={t.states.filter((x) => !x.met).length}
                              />
                            ) : (
                              !t.signed && <span className="text-soft">not signed yet</span>
                            )}
                          </td>
                        </tr>
                      ))}
                  </tbody>
                </table>
              </div>
              {staff && (
                <details className="no-print mt-2">
                  <summary className="text-sm text-soft">Add to the checklist</summary>
                  <div className="mt-2">
                    <GateItemForm milestoneId={g.id} tools={tools.map((t) => ({ value: t.id, label: t.name }))} />
                  </div>
                </details>
              )}
            </section>
          ))}
          {tools.length > 0 && (
            <section>
              <h2 className="mb-2">Tools</h2>
              <Caution>
                A signature here says that a person was trained and watched by somebody who may train for this tool, by
                the school's own rules. It replaces neither those rules nor the eye of the adult in the room.
              </Caution>
              <ul className="mt-3 grid gap-3">
                {tools.map((t) => (
                  <li key={t.id} className="border-t border-line pt-2">
                    <p>
                      <strong className="font-[650]">{t.name}</strong>{" "}
                      {t.caution && <span className="text-sm text-ochre-deep">{t.caution}</span>}
                    </p>
                    <p className="text-sm text-soft">
                      signed:{" "}
                      {t.signed.length === 0
                        ? "nobody"
                        : staff
                          ? t.signed
                              .map((x) => students.find((y) => y.id === x.personId)?.name)
                              .filter(Boolean)
                              .join(", ")
                          : t.signed.some((x) => x.personId === actor.id)
                            ? "you are"
                            : "you are not; ask your instructor"}
                    </p>
                    {staff && (
                      <details className="no-print text-sm">
                        <summary className="text-soft">sign</summary>
                        <div className="columns-2 sm:columns-3">
                          {students.map((x) => (
                            <span key={x.id} className="block">
                              <SignTool
                                toolId={t.id}
                                personId={x.id}
                                name={x.name}
                                on={t.signed.some((y) => y.personId === x.id)}
                              />
                            </span>
                          ))}
                        </div>
                      </details>
                    )}
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
        {staff && (
          <aside className="no-print grid items-start gap-4 md:grid-cols-3">
            <Sheet title="School">
              <StrictnessForm projectId={p.id} value={settings.gateStrictness} />
            </Sheet>
            {rest.length > 0 && (
              <Sheet title="Make a milestone a gate before">
                <ul className="grid gap-2">
                  {rest.map((m) => (
                    <li key={m.id}>
                      <p className="font-[600]">
                        {m.title} <span className="font-normal text-soft">{shortDate(m.dueOn)}</span>
                      </p>
                      <GateForm milestoneId={m.id} stage="" />
                    </li>
                  ))}
                </ul>
              </Sheet>
            )}
            <Sheet title="A tool">
              <ToolForm projectId={p.id} />
            </Sheet>
          </aside>
        )}
      </div>
    </>
  );
}

export async function SettingsScreen({ slug }: { slug: string }) {
  const { frame } = await projectPage(slug, "project.edit");
  const p = frame.project;
  const settings = await settingsOf(p.id);
  return (
    <>
      <PageHead title="Settings" note="What the project is, when it runs, its schools, and taking it with you." />
      <ProjectForm
        projectId={p.id}
        version={p.version}
        values={{
          title: p.title,
          purpose: p.purpose,
          kind: p.kind,
          client: p.client,
          startsOn: p.startsOn,
          endsOn: p.endsOn,
          eventOn: p.eventOn ?? "",
          currency: p.currency,
        }}
      />
      <section className="mt-8 max-w-[700px] border-t border-line pt-4">
        <h2 className="mb-2">Schools</h2>
        <SchoolsForm
          projectId={p.id}
          values={{
            conceptSchool: settings.conceptSchool,
            teamSchool: settings.teamSchool,
            teamMin: settings.teamMin,
            teamMax: settings.teamMax,
            gateStrictness: settings.gateStrictness,
            shareSchool: settings.shareSchool,
          }}
        />
      </section>
      <section className="mt-8 max-w-[700px] border-t border-line pt-4">
        <h2>Out</h2>
        <p className="my-1.5 text-soft">
          The bundle holds the whole project as open files: one JSON a table, and the photos. It imports again
          unchanged, here or in another school. It holds students' names; logins and guest links stay behind.
        </p>
        <div className="flex flex-wrap gap-2">
          <LinkButton href={`/p/${slug}/bundle`} download>
            Export the project
          </LinkButton>
          {["requirements", "register", "runs", "standings", "gradebook"].map((k) => (
            <LinkButton key={k} href={`/p/${slug}/csv/${k}`} download look="quiet">
              {k} CSV
            </LinkButton>
          ))}
        </div>
      </section>
    </>
  );
}
