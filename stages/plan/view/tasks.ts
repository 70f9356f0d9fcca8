import { countTasks, type DatedTask, scheduleTasks } from "@/core/sessions/network";
import { type ClassSession, sessionsHeld } from "@/core/sessions/sessions";
import type { Milestone } from "../queries/milestones";
import type { Task } from "../queries/tasks";

/** The date by which a milestone is due for a section: the section's own, or the project's. */
export const dueFor = (m: Pick<Milestone, "dueOn" | "dates">, sectionId: string | null | undefined): string =>
  (sectionId && m.dates[sectionId]) || m.dueOn;

/** The day that a section works towards: its own event or the project's, else its own last day or the project's. */
export const eventFor = (
  project: { readonly eventOn: string | null; readonly endsOn: string },
  section?: { readonly eventOn: string | null; readonly endsOn: string | null },
): string => section?.eventOn ?? project.eventOn ?? section?.endsOn ?? project.endsOn;

/**
 * Tasks and milestones of a section as one network: a task is due with the milestone that it leads to, and a milestone
 * is reached when its tasks are done.
 */
export function networkOf(
  tasks: readonly Task[],
  milestones: readonly Milestone[],
  sectionId: string | null,
): DatedTask[] {
  const due = new Map(milestones.map((m) => [m.id, dueFor(m, sectionId)]));
  return [
    ...tasks.map((t) => ({
      id: t.id,
      name: t.title,
      length: t.length,
      after: t.after,
      notBefore: t.notBefore,
      deadline:
        [t.deadline, t.milestoneId ? due.get(t.milestoneId) : null].filter((d): d is string => !!d).sort()[0] ?? null,
      done: t.doneOn !== null,
    })),
    ...milestones.map((m) => ({
      id: m.id,
      name: m.title,
      length: 0,
      after: tasks.filter((t) => t.milestoneId === m.id).map((t) => t.id),
      notBefore: null,
      deadline: due.get(m.id)!,
      done: false,
    })),
  ];
}

export interface TaskLine {
  readonly id: string;
  readonly version: number;
  readonly title: string;
  readonly length: number;
  readonly notBefore: string;
  readonly deadline: string;
  readonly milestoneId: string;
  readonly after: string[];
  readonly doneOn: string | null;
  /** Its first and last day; null where it lies behind the last session. */
  readonly begins: string | null;
  readonly ends: string | null;
  readonly slack: number;
  readonly critical: boolean;
  readonly late: boolean;
  /** It should have been finished by now: it is planned from today on. */
  readonly overdue: boolean;
}

/** The tasks of a plan with their days, slack and what is late; their network as the chart draws it. */
export function planView(
  tasks: readonly Task[],
  milestones: readonly Milestone[],
  section: string | null,
  sessions: readonly ClassSession[],
  event: string,
  today: string,
): { network: DatedTask[]; lines: TaskLine[] } {
  const network = networkOf(tasks, milestones, section);
  const past = sessions.filter((s) => s.date < today).length;
  const plan = scheduleTasks(countTasks(network, sessions), sessionsHeld(sessions, event), past);
  const at = new Map(plan.ok ? plan.tasks.map((t) => [t.id, t]) : []);
  return {
    network,
    lines: tasks.map((t) => {
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
        begins: (x && sessions[x.early]?.date) ?? null,
        ends: (x && sessions[x.earlyEnd - 1]?.date) ?? null,
        slack: x?.slack ?? 0,
        critical: x?.critical ?? false,
        late: !t.doneOn && (x?.slack ?? 0) < 0,
        overdue: x?.overdue ?? false,
      };
    }),
  };
}

/** What a plan asks for on Today: what is overdue, and by how much what is left does not fit; null when it fits. */
export function planSays(lines: readonly TaskLine[]): string | null {
  const overdue = lines.filter((l) => l.overdue);
  const short = Math.min(0, ...lines.filter((l) => !l.doneOn).map((l) => l.slack));
  const says = [
    ...(overdue.length ? [`${overdue.length === 1 ? "one task is" : `${overdue.length} tasks are`} overdue`] : []),
    ...(short < 0 ? [`what is left is ${-short} ${short === -1 ? "session" : "sessions"} too long`] : []),
  ];
  return says.length ? says.join("; ") : null;
}
