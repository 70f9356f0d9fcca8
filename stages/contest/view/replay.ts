import type { JudgedStanding } from "@/core/contest/judged";
import type { MatchStanding } from "@/core/contest/matches";
import type { Standing } from "@/core/contest/standings";
import type { EventState } from "@/core/vocabulary/contest";
import type { BoardSource } from "./board-face";
import { withoutOpenMarks } from "./overall";
import { clockAt } from "./words";

/** Something that was recorded of a contest. */
export interface Moment {
  readonly at: string;
  readonly act: string;
  readonly label: string;
  readonly subjectId: string;
}

const time = (at: string) => Date.parse(at);

/**
 * What boards showed at a time.
 * @param source what they show now
 * @param standings of each event, of what was recorded by then
 */
export function asOf(
  source: BoardSource,
  standings: ReadonlyMap<string, readonly (Standing | MatchStanding | JudgedStanding)[]>,
  moments: readonly Moment[],
  until: string,
): BoardSource {
  const then = (at: string | null) => at !== null && time(at) <= time(until);
  const confirmed = (id: string) => moments.some((m) => m.act === "confirmEvent" && m.subjectId === id && then(m.at));
  const state = (id: string, begun: boolean): EventState =>
    confirmed(id) ? "confirmed" : begun ? "running" : "set up";
  const { contest } = source;
  const events = contest.events.map((e) => {
    const own = (standings.get(e.id) ?? []) as readonly Standing[];
    const entries = e.entries.map((n) => ({
      ...n,
      taken: own.find((s) => s.id === n.id)?.attempts.length ?? 0,
      inspection: then(n.inspectedAt) ? n.inspection : ("waiting" as const),
    }));
    return {
      ...e,
      entries,
      standings: [...own],
      state: state(
        e.id,
        entries.some((n) => n.taken > 0),
      ),
    };
  });
  const races = contest.races.map((e) => {
    const results = e.results.filter((r) => then(r.at));
    const own = [...((standings.get(e.id) ?? []) as readonly MatchStanding[])];
    return { ...e, results, standings: own, state: state(e.id, results.length > 0) };
  });
  const judged = contest.judged.map((e) => {
    const sheets = e.sheets.filter((s) => then(s.at));
    const own = [...((standings.get(e.id) ?? []) as readonly JudgedStanding[])];
    return { ...e, sheets, standings: own, state: state(e.id, sheets.length > 0) };
  });
  return {
    ...source,
    contest: withoutOpenMarks({ ...contest, events, races, judged }),
    boards: [],
    halts: new Map(),
    call: "",
  };
}

/** Where a replay stands: the hours of the day, what is before and after, and what happened in the hour. */
export interface ReplayAt {
  readonly at: string;
  readonly clock: string;
  readonly hours: readonly { readonly label: string; readonly at: string }[];
  readonly before: string | null;
  readonly after: string | null;
  readonly happened: readonly { readonly key: string; readonly clock: string; readonly label: string }[];
}

const hour = (at: string): string => `${new Date(at).toDateString()} ${new Date(at).getHours()}`;

/**
 * Where a replay stands at a moment; the last one where no other is asked for.
 * @param moments in their order
 */
export function replayAt(moments: readonly Moment[], asked: string | undefined): ReplayAt | null {
  const times = [...new Set(moments.map((m) => m.at))];
  const last = times.at(-1);
  if (!last) return null;
  const wanted = asked && Number.isFinite(time(asked)) ? time(asked) : time(last);
  const here = times.findLastIndex((t) => time(t) <= wanted);
  const at = times[Math.max(0, here)]!;
  const lastOfHour = new Map(times.map((t) => [hour(t), t]));
  const days = new Set(times.map((t) => new Date(t).toDateString())).size;
  return {
    at,
    clock: clockAt(at),
    hours: [...lastOfHour].map(([, t]) => ({
      label: `${days > 1 ? `${new Date(t).getDate()}., ` : ""}${new Date(t).getHours()} h`,
      at: t,
    })),
    before: times[here - 1] ?? null,
    after: times[here + 1] ?? null,
    happened: moments
      .filter((m) => hour(m.at) === hour(at) && time(m.at) <= time(at))
      .slice(-6)
      .map((m, i) => ({ key: `${m.at} ${i}`, clock: clockAt(m.at), label: m.label })),
  };
}
