import { addDays, daysBetween, mondayOf, weekday } from "./date";

/**
 * When a section meets: on weekdays (1 Monday to 7 Sunday), or on some days of a rotating cycle of school days;
 * alternating days are a cycle of two.
 * On the days of `double` it meets for two periods, which count as two sessions.
 */
export type MeetingPattern =
  | { kind: "weekdays"; days: readonly number[]; double?: readonly number[] }
  | { kind: "cycle"; length: number; meets: readonly number[]; startsOn: string; double?: readonly number[] };

export interface ClassSession {
  /** Counted from 1 at the project's first session. */
  readonly number: number;
  readonly date: string;
}

export interface CalendarInput {
  readonly pattern: MeetingPattern;
  readonly from: string;
  readonly to: string;
  readonly daysOff: ReadonlySet<string>;
  /** Sessions outside the pattern. */
  readonly extra?: readonly string[];
}

/**
 * The class sessions of a section between two dates, both included: its pattern minus days off plus extra sessions. A
 * double period gives two sessions of one date.
 * In a rotating cycle only school days (Monday to Friday, not off) move the cycle on; day 1 is the first one at or
 * after its start.
 * @example
 * classSessions({
 *   pattern: { kind: "weekdays", days: [1, 4] },
 *   from: "2027-01-18",
 *   to: "2027-01-29",
 *   daysOff: new Set(["2027-01-21"]),
 * }).map((s) => s.date)
 * // => ["2027-01-18", "2027-01-25", "2027-01-28"]
 */
export function classSessions({ pattern, from, to, daysOff, extra = [] }: CalendarInput): ClassSession[] {
  const counts = new Map<string, number>();
  const meet = (date: string, day: number) => counts.set(date, pattern.double?.includes(day) ? 2 : 1);
  if (daysBetween(from, to) > 4000) throw new RangeError("A calendar spans at most about ten years");
  let position = 0;
  const start = pattern.kind === "cycle" && pattern.startsOn < from ? pattern.startsOn : from;
  const [first, last] = [weekday(start), daysBetween(start, to)];
  for (let n = 0; n <= last; n++) {
    const day = ((first + n - 1) % 7) + 1;
    // A date is written out for the days that may count only: most of the time a calendar takes.
    if (pattern.kind === "weekdays" ? !pattern.days.includes(day) : day > 5) continue;
    const date = addDays(start, n);
    if (daysOff.has(date)) continue;
    if (pattern.kind === "weekdays") meet(date, day);
    else if (date >= pattern.startsOn) {
      const turn = (position++ % pattern.length) + 1;
      if (date >= from && pattern.meets.includes(turn)) meet(date, turn);
    }
  }
  for (const date of extra) if (date >= from && date <= to) counts.set(date, (counts.get(date) ?? 0) + 1);
  return [...counts]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([date, n]) => new Array<string>(n).fill(date))
    .map((date, i) => ({ number: i + 1, date }));
}

/**
 * How many sessions have been held by the end of a date.
 * @example sessionsHeld([{ number: 1, date: "2027-01-18" }, { number: 2, date: "2027-01-21" }], "2027-01-20") // => 1
 */
export function sessionsHeld(sessions: readonly ClassSession[], date: string): number {
  return sessions.filter((s) => s.date <= date).length;
}

export interface Week {
  readonly number: number;
  readonly monday: string;
}

/**
 * The weeks of a project, Monday to Sunday, numbered from 1.
 * @example projectWeeks("2027-01-18", "2027-01-29").map((w) => w.monday) // => ["2027-01-18", "2027-01-25"]
 */
export function projectWeeks(from: string, to: string): Week[] {
  const first = mondayOf(from);
  const count = Math.floor(daysBetween(first, to) / 7) + 1;
  return Array.from({ length: Math.max(0, count) }, (_, i) => ({ number: i + 1, monday: addDays(first, 7 * i) }));
}

/**
 * The number of the week that a date lies in; zero or negative before the first week.
 * @example weekOf("2027-01-18", "2027-03-02") // => 7
 */
export function weekOf(from: string, date: string): number {
  return Math.floor(daysBetween(mondayOf(from), date) / 7) + 1;
}

/** Monday first. */
export const dayNames = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"];

/**
 * A meeting pattern in words.
 * @example describePattern({ kind: "weekdays", days: [1, 2, 4], double: [4] }) // => "Mon, Tue, Thu (double)"
 * @example
 * describePattern({ kind: "cycle", length: 2, meets: [1], startsOn: "2027-01-18" })
 * // => "alternating days, the first from 2027-01-18"
 */
export function describePattern(pattern: MeetingPattern): string {
  const twice = (d: number) => (pattern.double?.includes(d) ? " (double)" : "");
  if (pattern.kind === "weekdays") return pattern.days.map((d) => `${dayNames[d - 1]}${twice(d)}`).join(", ");
  if (pattern.length === 2 && pattern.meets.length === 1)
    return (
      `alternating days${twice(pattern.meets[0]!)}, the ${pattern.meets[0] === 1 ? "first" : "second"} ` +
      `from ${pattern.startsOn}`
    );
  return `day ${pattern.meets.map((d) => `${d}${twice(d)}`).join(", ")} of a ${pattern.length}-day cycle`;
}
