import { type Hours, within } from "./hours";

/** Hours on a date (yyyy-mm-dd). */
export interface DayHours {
  readonly day: string;
  readonly hours: readonly Hours[];
}

/** What reviews have to be put into: everybody's hours, how long one takes, how many go on at once. */
export interface SlotProblem {
  /** When reviews may take place. */
  readonly days: readonly DayHours[];
  /** Of one review, at least 1. */
  readonly minutes: number;
  /** Between two reviews, at least 0. */
  readonly change: number;
  /** How many reviews can go on at once, 1 to 8. */
  readonly rooms: number;
  /** How many reviewers see a team, at least and at most. */
  readonly panel: { readonly least: number; readonly most: number };
  readonly reviewers: readonly { readonly name: string; readonly days: readonly DayHours[] }[];
  readonly teams: readonly { readonly id: string; readonly name: string; readonly days: readonly DayHours[] }[];
}

/** A time at which reviews can begin. */
export interface SlotTime extends Hours {
  readonly day: string;
  /** Times of one block follow one another: who waits in one, waits. */
  readonly block: number;
}

/** What everybody can do at every time, by the index of the time. */
export interface SlotGround {
  readonly times: readonly SlotTime[];
  /** For each reviewer, whether he is there. */
  readonly there: readonly (readonly boolean[])[];
  /** For each team, the times that it can come to. */
  readonly open: readonly (readonly number[])[];
  /** How many reviews can go on at once at each time, by rooms and reviewers. */
  readonly capacity: readonly number[];
}

/**
 * The times at which reviews can begin: one after the other through each stretch of hours, the change between them.
 * @example
 * slotTimes({ days: [{ day: "2027-03-09", hours: [{ from: 510, to: 560 }] }], minutes: 20, change: 5 }).map(
 *   (t) => t.from,
 * )
 * // => [510, 535]
 */
export function slotTimes({ days, minutes, change }: Pick<SlotProblem, "days" | "minutes" | "change">): SlotTime[] {
  const times: SlotTime[] = [];
  let block = 0;
  for (const { day, hours } of days.toSorted((a, b) => a.day.localeCompare(b.day)))
    for (const h of hours.toSorted((a, b) => a.from - b.from)) {
      for (let from = h.from; from + minutes <= h.to; from += minutes + change)
        times.push({ day, from, to: from + minutes, block });
      block++;
    }
  return times;
}

const isThere = (who: { readonly days: readonly DayHours[] }, t: SlotTime) =>
  within(
    t,
    who.days.flatMap((d) => (d.day === t.day ? d.hours : [])),
  );

/**
 * Who can come when, and how many reviews can go on at once.
 * @example
 * slotGround(slotProblem({ seed: "1", teams: 1, reviewers: 2, days: 1, perDay: 2, rooms: 3, least: 1, busy: 0 })).times
 *   .length
 * // => 2
 */
export function slotGround(problem: SlotProblem): SlotGround {
  const times = slotTimes(problem);
  const there = problem.reviewers.map((r) => times.map((t) => isThere(r, t)));
  return {
    times,
    there,
    open: problem.teams.map((team) => times.flatMap((t, i) => (isThere(team, t) ? [i] : []))),
    capacity: times.map((_, i) =>
      Math.min(problem.rooms, Math.floor(there.filter((t) => t[i]).length / problem.panel.least)),
    ),
  };
}
