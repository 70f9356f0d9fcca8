import type { ClassSession } from "./sessions";
import { sessionsHeld } from "./sessions";

/** A piece of work that lasts class sessions; a milestone lasts none. Sessions are counted from the project's first. */
export interface PlanTask {
  readonly id: string;
  readonly name: string;
  /** Sessions that it lasts, 0 for a milestone. */
  readonly length: number;
  /** Tasks that must be finished before it begins. */
  readonly after: readonly string[];
  /** Sessions that have passed before it may begin: where somebody has put it. */
  readonly notBefore?: number;
  /** Sessions by whose end it must be finished. */
  readonly deadline?: number;
  /** Finished: it keeps its place and is not critical any more. */
  readonly done?: boolean;
}

export interface Scheduled {
  readonly id: string;
  /** Sessions passed before its earliest beginning; it takes sessions `early` + 1 to `earlyEnd`. */
  readonly early: number;
  readonly earlyEnd: number;
  /** The latest that it may begin so that every deadline and the event are kept. */
  readonly late: number;
  readonly lateEnd: number;
  /** Sessions that it can slip; negative when it is already too late. */
  readonly slack: number;
  /** It should have been finished by now and is not: it is planned from today on. */
  readonly overdue: boolean;
  readonly critical: boolean;
}

export type Network =
  | {
      ok: true;
      tasks: Scheduled[] /** The longest chain that leaves no room, in order. */;
      chain: string[] /** Sessions that the whole takes. */;
      takes: number;
    }
  | { ok: false /** Names of tasks that wait for each other. */; cycle: string[] };

/**
 * Forward and backward pass over tasks that last class sessions (critical path method): early and late beginnings,
 * slack and the critical chain back from the event.
 * Tasks that wait for each other are named. A task that is not there is ignored as a predecessor. With `past`, the
 * sessions before today's, what should be finished and is not begins today at the earliest.
 * @example
 * scheduleTasks([{ id: "a", name: "Draw", length: 2, after: [] }], 6, 5).tasks.map((t) => [t.early, t.slack])
 * // => [[5, -1]]
 * @example
 * scheduleTasks(
 *   [
 *     { id: "a", name: "Draw", length: 2, after: [] },
 *     { id: "b", name: "Cut", length: 3, after: ["a"] },
 *     { id: "c", name: "Buy", length: 1, after: [] },
 *   ],
 *   6,
 * ).tasks.map((t) => [t.early, t.late, t.slack])
 * // => [[0, 1, 1], [2, 3, 1], [0, 5, 5]]
 * @example
 * scheduleTasks(
 *   [
 *     { id: "a", name: "Draw", length: 2, after: ["b"] },
 *     { id: "b", name: "Cut", length: 3, after: ["a"] },
 *   ],
 *   6,
 * ).cycle
 * // => ["Draw", "Cut"]
 */
export function scheduleTasks(tasks: readonly PlanTask[], eventAfter: number, past = 0): Network {
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const before = (t: PlanTask) => t.after.filter((id) => byId.has(id));
  const order: PlanTask[] = [];
  const state = new Map<string, "open" | "done">();
  const path: PlanTask[] = [];
  const visit = (t: PlanTask): string[] | null => {
    if (state.get(t.id) === "done") return null;
    if (state.get(t.id) === "open")
      return path
        .slice(path.indexOf(t))
        .map((x) => x.name)
        .reverse();
    state.set(t.id, "open");
    path.push(t);
    for (const id of before(t)) {
      const c = visit(byId.get(id)!);
      if (c) return c;
    }
    path.pop();
    state.set(t.id, "done");
    order.push(t);
    return null;
  };
  for (const t of tasks) {
    const cycle = visit(t);
    if (cycle) {
      const first = Math.min(...cycle.map((n) => tasks.findIndex((x) => x.name === n)));
      const i = cycle.indexOf(tasks[first]!.name);
      return { ok: false, cycle: [...cycle.slice(i), ...cycle.slice(0, i)] };
    }
  }
  const early = new Map<string, number>();
  const overdue = new Set<string>();
  for (const t of order) {
    const planned = Math.max(t.notBefore ?? 0, 0, ...before(t).map((id) => early.get(id)! + byId.get(id)!.length));
    if (!t.done && t.length > 0 && planned + t.length <= past) overdue.add(t.id);
    early.set(t.id, overdue.has(t.id) ? past : planned);
  }
  const late = new Map<string, number>();
  const followers = new Map<string, string[]>();
  for (const t of tasks) for (const id of before(t)) followers.set(id, [...(followers.get(id) ?? []), t.id]);
  for (const t of [...order].reverse()) {
    const next = (followers.get(t.id) ?? []).map((id) => late.get(id)!);
    late.set(t.id, Math.min(eventAfter, t.deadline ?? eventAfter, ...next) - t.length);
  }
  // A milestone is open as long as something that leads to it is.
  const isOpen = new Map<string, boolean>();
  for (const t of order) isOpen.set(t.id, !t.done && (t.length > 0 || before(t).some((id) => isOpen.get(id))));
  const open = (t: PlanTask) => isOpen.get(t.id)!;
  const least = Math.min(...tasks.filter(open).map((t) => late.get(t.id)! - early.get(t.id)!));
  const scheduled = tasks.map((t) => {
    const [e, l] = [early.get(t.id)!, late.get(t.id)!];
    return {
      id: t.id,
      early: e,
      earlyEnd: e + t.length,
      late: l,
      lateEnd: l + t.length,
      slack: l - e,
      overdue: overdue.has(t.id),
      critical: l - e === least && open(t),
    };
  });
  // One chain of the critical tasks, back from the one that ends last: each begins where the one before it ends.
  const at = new Map(scheduled.map((s) => [s.id, s]));
  const critical = order.filter((t) => at.get(t.id)!.critical);
  const chain: PlanTask[] = [];
  let link = critical.reduce<PlanTask | undefined>(
    (last, t) => (last && at.get(last.id)!.earlyEnd > at.get(t.id)!.earlyEnd ? last : t),
    undefined,
  );
  while (link) {
    chain.unshift(link);
    const { after, id }: PlanTask = link;
    link = critical.find((t) => after.includes(t.id) && at.get(t.id)!.earlyEnd === at.get(id)!.early);
  }
  return {
    ok: true,
    tasks: scheduled,
    chain: chain.map((t) => t.id),
    takes: Math.max(0, ...scheduled.map((s) => s.earlyEnd)),
  };
}

export interface Slip {
  readonly id: string;
  readonly name: string;
  /** Date of its end as planned, and after the sessions are lost; null beyond the last session. */
  readonly was: string | null;
  readonly now: string | null;
  /** Ends after its deadline, or after the event. */
  readonly late: boolean;
}

const endDate = (sessions: readonly ClassSession[], end: number) =>
  end === 0 ? (sessions[0]?.date ?? null) : (sessions[end - 1]?.date ?? null);

/** A task with its dates: what it may not begin before, what it must be finished by, and whether it is done. */
export interface DatedTask {
  readonly id: string;
  readonly name: string;
  readonly length: number;
  readonly after: readonly string[];
  readonly notBefore?: string | null;
  readonly deadline?: string | null;
  readonly done?: boolean;
}

/**
 * Tasks with dates counted in the sessions of one section: "not before" begins with that date's session, a deadline
 * allows the sessions up to it.
 * @example
 * countTasks(
 *   [{ id: "a", name: "Draw", length: 1, after: [], notBefore: "2027-01-21", deadline: "2027-01-25" }],
 *   [
 *     { number: 1, date: "2027-01-18" },
 *     { number: 2, date: "2027-01-21" },
 *     { number: 3, date: "2027-01-25" },
 *   ],
 * ).map((t) => [t.notBefore, t.deadline])
 * // => [[1, 3]]
 */
export function countTasks(tasks: readonly DatedTask[], sessions: readonly ClassSession[]): PlanTask[] {
  return tasks.map((t) => ({
    id: t.id,
    name: t.name,
    length: t.length,
    after: t.after,
    ...(t.notBefore ? { notBefore: sessions.filter((s) => s.date < t.notBefore!).length } : {}),
    ...(t.deadline ? { deadline: sessionsHeld(sessions, t.deadline) } : {}),
    ...(t.done ? { done: true } : {}),
  }));
}

/**
 * Replays a plan without some class days and lists what ends later than before, with what is then past its deadline or
 * the event. Tasks that are done stay.
 * @example
 * replayLost(
 *   [{ id: "a", name: "Draw", length: 2, after: [], deadline: "2027-01-21" }],
 *   [
 *     { number: 1, date: "2027-01-18" },
 *     { number: 2, date: "2027-01-21" },
 *     { number: 3, date: "2027-01-25" },
 *   ],
 *   ["2027-01-18"],
 *   "2027-01-25",
 * )
 * // => [{ id: "a", name: "Draw", was: "2027-01-21", now: "2027-01-25", late: true }]
 */
export function replayLost(
  tasks: readonly DatedTask[],
  sessions: readonly ClassSession[],
  lost: readonly string[],
  event: string,
): Slip[] {
  const fewer = sessions.filter((s) => !lost.includes(s.date)).map((s, i) => ({ number: i + 1, date: s.date }));
  const open = tasks.filter((t) => !t.done);
  const plan = (list: readonly ClassSession[]) => scheduleTasks(countTasks(open, list), sessionsHeld(list, event));
  const [a, b] = [plan(sessions), plan(fewer)];
  if (!a.ok || !b.ok) return [];
  return open.flatMap((t, i) => {
    const [was, now] = [endDate(sessions, a.tasks[i]!.earlyEnd), endDate(fewer, b.tasks[i]!.earlyEnd)];
    if (was === now || (now !== null && was !== null && now < was)) return [];
    return [{ id: t.id, name: t.name, was, now, late: now === null || now > (t.deadline ?? event) || now > event }];
  });
}
