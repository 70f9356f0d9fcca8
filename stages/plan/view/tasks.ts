import type { DatedTask } from "@/core/sessions/network";
import type { Milestone } from "../queries/milestones";
import type { Task } from "../queries/tasks";

/** The date by which a milestone is due for a section: the section's own, or the project's. */
export const dueFor = (m: Pick<Milestone, "dueOn" | "dates">, sectionId: string | null | undefined): string =>
  (sectionId && m.dates[sectionId]) || m.dueOn;

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
