import { seededRandom } from "../draw/draw";
import type { Hours } from "../slots/hours";
import { type SlotProblem, slotGround } from "../slots/problem";

/**
 * A made-up review day or several, for tests and benchmarks: reviewers with one or two stretches a day, teams of which
 * some cannot come to everything.
 * @example slotProblem({ seed: "1", teams: 8, reviewers: 6, days: 2, perDay: 6, rooms: 1 }).teams.length // => 8
 */
export function slotProblem({
  seed,
  teams,
  reviewers,
  days: D,
  perDay,
  rooms,
  busy = 0.4,
  away = 0.15,
  tight = false,
  least = 0,
}: {
  seed: string;
  teams: number;
  reviewers: number;
  days: number;
  perDay: number;
  rooms: number;
  /** How likely a reviewer has a lesson in the middle of a day, or does not come at all. */
  busy?: number;
  /** How likely a team misses a day, or half of one. */
  away?: number;
  /** At most as many teams as there are places, so that nearly every place is needed. */
  tight?: boolean;
  /** How many reviewers a panel takes at least; 0 draws it. Where nearly all are needed, waiting is hard to avoid. */
  least?: number;
}): SlotProblem {
  const random = seededRandom(seed);
  const pick = (n: number) => Math.floor(random() * n);
  const minutes = 20;
  const opens = 8 * 60;
  const closes = opens + perDay * minutes;
  const days = Array.from({ length: D }, (_, d) => ({
    day: `2027-03-${String(8 + d).padStart(2, "0")}`,
    hours: [{ from: opens, to: closes }],
  }));
  const at = (i: number) => opens + i * minutes;
  const stretch = (): Hours[] => {
    if (random() < busy / 3) return [];
    const from = pick(Math.ceil(perDay / 2));
    const to = perDay - pick(Math.ceil((perDay - from) / 2));
    if (random() > busy || to - from < 4) return [{ from: at(from), to: at(to) }];
    const hole = from + 1 + pick(to - from - 2);
    return [
      { from: at(from), to: at(hole) },
      { from: at(hole + 1), to: at(to) },
    ];
  };
  const few = least || 1 + pick(Math.min(3, Math.max(1, Math.floor(reviewers / rooms / 2))));
  const problem = {
    days,
    minutes,
    change: 0,
    rooms,
    panel: { least: few, most: few + pick(2) },
    reviewers: Array.from({ length: reviewers }, (_, i) => ({
      name: `R${i + 1}`,
      days: days.map(({ day }) => ({ day, hours: stretch() })),
    })),
    teams: Array.from({ length: teams }, (_, i) => ({
      id: `t${i + 1}`,
      name: `Team ${i + 1}`,
      days: days.map(({ day, hours }) => ({
        day,
        hours: random() > away ? hours : random() < 0.5 ? [] : [{ from: opens, to: at(Math.ceil(perDay / 2)) }],
      })),
    })),
  };
  if (!tight) return problem;
  const places = slotGround(problem).capacity.reduce((a, b) => a + b, 0);
  return { ...problem, teams: problem.teams.slice(0, Math.max(1, places - pick(2))) };
}

/**
 * The same problem as a mixed-integer program in LP format, written without a thought of how the planner goes about
 * it: least sum of g, where g is 1 at a time between two of a reviewer's reviews of one stay at which he reviews
 * nobody.
 * @example
 * slotProgram(slotProblem({ seed: "1", teams: 1, reviewers: 1, days: 1, perDay: 2, rooms: 1 })).split("\n")[0]
 * // => "Minimize"
 */
export function slotProgram(p: SlotProblem): string {
  const { times, there, open } = slotGround(p);
  const rows: string[] = [];
  const waits: string[] = [];
  const whole: string[] = [];
  const of = (names: string[]) => names.join(" + ") || "0 none";
  for (const [i, ts] of open.entries()) rows.push(`${of(ts.map((t) => `x_${i}_${t}`))} = 1`);
  for (const t of times.keys()) {
    const here = open.flatMap((ts, i) => (ts.includes(t) ? [`x_${i}_${t}`] : []));
    const who = there.flatMap((present, r) => (present[t] ? [`w_${r}_${t}`] : []));
    rows.push(`${of(here)} - y_${t} = 0`, `y_${t} <= ${p.rooms}`);
    rows.push(`${of(who)} - ${p.panel.least} y_${t} >= 0`, `${of(who)} - ${p.panel.most} y_${t} <= 0`);
    whole.push(`y_${t}`);
  }
  for (const [r, present] of there.entries())
    for (const [t, time] of times.entries()) {
      if (!present[t]) continue;
      const v = (name: string, at = t) => `${name}_${r}_${at}`;
      const same = (at: number) => times[at]?.block === time.block && present[at];
      whole.push(v("w"));
      waits.push(v("g"));
      rows.push(`${v("b")} - ${v("w")} >= 0`, `${v("a")} - ${v("w")} >= 0`, `${v("w")} <= 1`);
      if (same(t - 1)) rows.push(`${v("b")} - ${v("b", t - 1)} >= 0`);
      if (same(t + 1)) rows.push(`${v("a")} - ${v("a", t + 1)} >= 0`);
      rows.push(`${v("g")} - ${v("b")} - ${v("a")} + ${v("w")} >= -1`);
    }
  return [
    "Minimize",
    ` gaps: ${of(waits)}`,
    "Subject To",
    ...rows.map((row, i) => ` c${i}: ${row}`),
    "General",
    ` ${whole.join(" ")}`,
    "End",
  ].join("\n");
}
