import { readAgenda } from "@/core/log/agenda";
import { isAway } from "@/core/log/attendance";
import type { Flag } from "@/core/log/flags";
import { coverage } from "@/core/needs/requirement";
import { primaryOf } from "@/core/run/protocol";
import type { ClassSession } from "@/core/sessions/sessions";
import { sessionsHeld } from "@/core/sessions/sessions";
import { plural } from "@/platform/registry/words";
import type { ProjectState } from "@/stages/needs/queries/state";
import { runsByDay } from "@/stages/needs/view/days";
import type { Milestone } from "@/stages/plan/queries/milestones";
import { dueFor, type TaskLine } from "@/stages/plan/view/tasks";
import type { ClassFacts } from "../queries/classes";

export interface Meeting {
  readonly section: string;
  readonly date: string;
  /** Which of the section's sessions it is; two where it is a double period. */
  readonly numbers: readonly number[];
}

/** The classes of all sections, a double period as one, in the order of time. */
export function meetingsOf(calendars: ReadonlyMap<string, readonly ClassSession[]>): Meeting[] {
  return [...calendars]
    .flatMap(([section, sessions]) => {
      const days = new Map<string, number[]>();
      for (const s of sessions) days.set(s.date, [...(days.get(s.date) ?? []), s.number]);
      return [...days].map(([date, numbers]): Meeting => ({ section, date, numbers }));
    })
    .sort((a, b) => a.date.localeCompare(b.date));
}

/**
 * The class that is shown: the one asked for, else the nearest one from today on, else the last; with the section's
 * classes before and after it. Null where no section ever meets.
 */
export function chosenMeeting(
  meetings: readonly Meeting[],
  today: string,
  asked: { readonly section?: string | undefined; readonly day?: string | undefined },
): { meeting: Meeting; before: Meeting | null; next: Meeting | null } | null {
  const of = asked.section ? meetings.filter((m) => m.section === asked.section) : meetings;
  const meeting = of.find((m) => m.date === asked.day) ?? of.find((m) => m.date >= today) ?? of.at(-1);
  if (!meeting) return null;
  const own = meetings.filter((m) => m.section === meeting.section);
  const at = own.indexOf(meeting);
  return { meeting, before: own[at - 1] ?? null, next: own[at + 1] ?? null };
}

/** What a class is for by the plan, where the instructor has not said it: what goes on, and what is due. */
export function purposeByPlan(
  date: string,
  tasks: readonly Pick<TaskLine, "title" | "begins" | "ends" | "doneOn">[],
  due: readonly { readonly title: string }[],
): string {
  const on = tasks.filter((t) => t.begins && t.ends && t.begins <= date && date <= t.ends && !t.doneOn);
  return [...on.map((t) => t.title), ...due.map((m) => `due: ${m.title}`)].join("; ");
}

type State = Pick<
  ProjectState,
  "builds" | "newest" | "protocols" | "requirements" | "summary" | "teams" | "tested" | "verdict"
>;

/** A thing that is due by the next class. */
export interface DueLine {
  readonly what: string;
  readonly on: string;
  /** Whose it is: teams, or nobody named. */
  readonly who: string;
  readonly path: string;
}

/** What a section's page of a class shows. */
export function classView(
  { meeting, next, today }: { meeting: Meeting; next: Meeting | null; today: string },
  state: State,
  facts: ClassFacts,
  around: {
    readonly sessions: readonly ClassSession[];
    readonly milestones: readonly Milestone[];
    readonly tasks: readonly TaskLine[];
    readonly flags: readonly Flag[];
    readonly sessionMinutes: number;
  },
) {
  const { date, section } = meeting;
  const until = next?.date ?? date;
  const teams = state.teams.filter(
    (t) => t.sectionId === section || t.members.some((m) => facts.students.some((s) => s.id === m.id)),
  );
  /** What is in the way of a time at a machine: who is to stand there is elsewhere at that minute, or not in class. */
  const inTheWay = (b: ClassFacts["machines"][number]): string[] => {
    if (!b.operatorId || b.endedAt) return [];
    const also = facts.machines.filter(
      (o) =>
        o.id !== b.id &&
        o.operatorId === b.operatorId &&
        !o.endedAt &&
        o.period === b.period &&
        o.starts! < b.starts! + b.minutes &&
        b.starts! < o.starts! + o.minutes,
    );
    return [
      ...(away.some((s) => s.id === b.operatorId) ? [`${b.operator} is not here`] : []),
      ...also.map((o) => `${b.operator} is at the ${o.tool} too, ${o.starts}–${o.starts! + o.minutes}`),
    ];
  };
  const nameOf = (id: string | null) => state.teams.find((t) => t.id === id)?.name ?? "";
  const mine = <T extends { teamId: string | null }>(list: readonly T[]) =>
    list.filter((x) => teams.some((t) => t.id === x.teamId));
  const minutes = meeting.numbers.length * around.sessionMinutes;
  const primary = state.protocols[0];
  const channel = primary ? primaryOf(primary.definition) : null;
  const runs = runsByDay(state, primary ?? null);
  const away = facts.students.filter((s) => s.mark && isAway(s.mark.state));
  const here = facts.students.filter((s) => !away.includes(s));

  const open = around.milestones.flatMap((m) => {
    const on = dueFor(m, section);
    if (on > until) return [];
    const whole = m.scope === "team" ? teams : facts.students;
    const passed = new Set<string | null>(m.checks.map((k) => (m.scope === "team" ? k.teamId : k.personId)));
    const missing = whole.filter((x) => !passed.has(x.id));
    if (!missing.length) return [];
    const all = missing.length === whole.length;
    const who =
      m.scope === "team"
        ? all
          ? "all teams"
          : missing.map((x) => x.name).join(", ")
        : `${all ? "all" : `${missing.length} of`} ${plural(whole.length, "student")}`;
    return [{ title: m.title, on, who }];
  });
  const due: DueLine[] = [
    ...open.map((m) => ({ what: m.title, on: m.on, who: m.who, path: "/plan" })),
    ...mine(facts.reviews).map((r) => ({
      what: r.title,
      on: r.heldOn,
      who: nameOf(r.teamId),
      path: `/reviews/${r.id}`,
    })),
    ...mine(facts.actions)
      .filter((a) => !a.closed)
      .map((a) => ({ what: a.what, on: a.dueOn, who: nameOf(a.teamId), path: "/reviews" })),
  ].sort((a, b) => a.on.localeCompare(b.on));

  const standing = teams.map((t) => {
    const build = state.newest.get(t.id);
    const best = primary && build ? state.summary(build.id, primary.id, primary.definition.primary) : null;
    const since = build ? sessionsHeld(around.sessions, date) - sessionsHeld(around.sessions, build.builtOn) : 0;
    const c = coverage(
      state.requirements.map((r) => ({ priority: r.priority, verdict: state.verdict(r.id, build?.id) })),
    );
    return {
      id: t.id,
      name: t.name,
      build: build ? { id: build.id, name: `G${build.number} ${build.stage}`, since } : null,
      counted: best && best.counted !== null ? { value: best.counted, shown: best.shown } : null,
      verified: c.verified,
      musts: c.musts,
      machines: facts.machines.filter((b) => b.teamId === t.id),
      away: away.filter((s) => s.teamId === t.id).map((s) => s.name),
      flags: around.flags.filter((f) => f.team === t.id),
    };
  });

  const recorded = teams.map((t) => {
    const students = here.filter((s) => s.teamId === t.id);
    return {
      id: t.id,
      name: t.name,
      builds: state.builds.filter((b) => b.teamId === t.id && b.builtOn === date).map((b) => `G${b.number}`),
      runs: runs.filter((r) => r.team === t.id && r.date === date).reduce((n, r) => n + r.n, 0),
      checks: around.milestones
        .filter((m) => m.checks.some((k) => k.teamId === t.id && k.doneOn === date))
        .map((m) => m.title),
      reviews: facts.reviews.filter((r) => r.teamId === t.id && r.heldOn === date).map((r) => r.title),
      closed: facts.actions.filter((a) => a.teamId === t.id && a.closed).map((a) => a.what),
      wrote: students.filter((s) => s.wrote).length,
      silent: students.filter((s) => !s.wrote).map((s) => s.name),
      here: students.length,
    };
  });

  const by = (id: string | null) => facts.students.filter((s) => s.teamId === id);
  return {
    minutes,
    agenda: readAgenda(facts.kept?.agenda ?? "", minutes),
    proposed: purposeByPlan(
      date,
      around.tasks,
      open.filter((m) => m.on === date),
    ),
    channel,
    due,
    machines: facts.machines.map((b) => ({
      ...b,
      team: state.teams.find((t) => t.id === b.teamId)?.name ?? "a team that is no more",
      inTheWay: inTheWay(b),
    })),
    standing,
    recorded: recorded.map((r) => ({
      ...r,
      nothing: r.builds.length + r.runs + r.checks.length + r.reviews.length + r.closed.length + r.wrote === 0,
    })),
    silent: recorded.filter((r) => r.silent.length).map((r) => ({ team: r.name, names: r.silent })),
    /** Times at machines that were taken and did not begin, or did not end. */
    unfinished: facts.machines.filter((b) => !b.endedAt),
    groups: [
      ...teams.map((t) => ({ id: t.id, name: t.name, students: by(t.id) })),
      { id: "", name: "Without a team", students: facts.students.filter((s) => !teams.some((t) => t.id === s.teamId)) },
    ].filter((g) => g.students.length),
    here: here.length,
    away,
    /** Which of its three parts is of use now. */
    part:
      date > today
        ? ("before" as const)
        : date < today
          ? ("after" as const)
          : facts.ran === null
            ? ("before" as const)
            : ("during" as const),
  };
}

export type ClassView = ReturnType<typeof classView>;
