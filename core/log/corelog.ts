import { type Week, weekOf } from "../sessions/sessions";
import type { Better } from "../vocabulary/runs";

export interface LogFacts {
  readonly from: string;
  readonly today: string;
  readonly weeks: readonly Week[];
  readonly teams: readonly { id: string }[];
  readonly builds: readonly { team: string; date: string; label: string }[];
  /** Runs of a team on a day: how many, and the best of those that count. */
  readonly runs: readonly { team: string; date: string; n: number; best: number | null }[];
  readonly reviews: readonly { team: string; date: string }[];
  readonly checks: readonly { team: string; date: string; title: string }[];
}

export interface LogCell {
  readonly week: number;
  readonly builds: readonly string[];
  readonly runs: number;
  /** Best comparable value of the week. */
  readonly best: number | null;
  readonly reviews: number;
  readonly checks: readonly string[];
  /** past: the week is over or running; gap: it should hold a record and holds none. */
  readonly state: "past" | "future";
  readonly gap: boolean;
}

/**
 * The core log: a column a team, a cell a week. A gap is a past week without any record, after the team's first build;
 * the running week is not a gap yet unless the one before was.
 * @example
 * coreLog(
 *   {
 *     from: "2027-01-18",
 *     today: "2027-01-28",
 *     weeks: [{ number: 1, monday: "2027-01-18" }],
 *     teams: [{ id: "a" }],
 *     builds: [{ team: "a", date: "2027-01-19", label: "G1" }],
 *     runs: [],
 *     reviews: [],
 *     checks: [],
 *   },
 *   "more",
 * ).get("a")?.[0]?.builds
 * // => ["G1"]
 */
export function coreLog(facts: LogFacts, better: Better): Map<string, LogCell[]> {
  const nowWeek = weekOf(facts.from, facts.today);
  const out = new Map<string, LogCell[]>();
  for (const team of facts.teams) {
    const of = <T extends { team: string; date: string }>(list: readonly T[], week: number) =>
      list.filter((x) => x.team === team.id && weekOf(facts.from, x.date) === week);
    const first = Math.min(...facts.builds.filter((b) => b.team === team.id).map((b) => weekOf(facts.from, b.date)));
    let previousGap = false;
    out.set(
      team.id,
      facts.weeks.map(({ number }) => {
        const builds = of(facts.builds, number).map((b) => b.label);
        const runs = of(facts.runs, number);
        const values = runs.flatMap((r) => (r.best === null ? [] : [r.best]));
        const reviews = of(facts.reviews, number).length;
        const checks = of(facts.checks, number).map((c) => c.title);
        const empty = builds.length + runs.length + reviews + checks.length === 0;
        const past = number <= nowWeek;
        const gap = past && empty && number > first && (number < nowWeek || previousGap);
        previousGap = gap;
        return {
          week: number,
          builds,
          runs: runs.reduce((s, r) => s + r.n, 0),
          best: values.length ? (better === "more" ? Math.max(...values) : Math.min(...values)) : null,
          reviews,
          checks,
          state: past ? ("past" as const) : ("future" as const),
          gap,
        };
      }),
    );
  }
  return out;
}
