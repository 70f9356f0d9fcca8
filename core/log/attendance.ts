import type { AttendanceState } from "../vocabulary/classroom";

/** How often somebody was in class. */
export interface Attendance {
  /** Classes in which it was noted who was there. */
  readonly taken: number;
  /** From beginning to end. */
  readonly whole: number;
  readonly absent: number;
  readonly excused: number;
  readonly late: number;
  readonly leftEarly: number;
  /** Minutes that were missed by coming late or leaving early, where they were noted. */
  readonly minutes: number;
  /** Classes attended, late ones too, of those that were not excused; null where there is none. */
  readonly share: number | null;
}

/**
 * Whether a mark says that the student was not in class at all.
 * @example isAway("excused") // => true
 * @example isAway("late") // => false
 */
export const isAway = (state: AttendanceState): boolean => state === "absent" || state === "excused";

/**
 * A student's attendance by exception: who is not noted was there, in the classes in which it was noted at all. A mark
 * on a day that was not taken counts as a class that was.
 * `days` are the dates of the classes taken; `marks` are the student's own, one a day.
 * Source: the usual count of a class register, with excused classes left out of the share.
 * @example
 * attendanceOf(["2027-03-01", "2027-03-02", "2027-03-04"], [
 *   { date: "2027-03-01", state: "excused", minutes: null },
 *   { date: "2027-03-04", state: "late", minutes: 7 },
 * ])
 * // => { taken: 3, whole: 1, absent: 0, excused: 1, late: 1, leftEarly: 0, minutes: 7, share: 1 }
 */
export function attendanceOf(
  days: readonly string[],
  marks: readonly { readonly date: string; readonly state: AttendanceState; readonly minutes: number | null }[],
): Attendance {
  const taken = new Set([...days, ...marks.map((m) => m.date)]).size;
  const count = (state: AttendanceState) => marks.filter((m) => m.state === state).length;
  const [absent, excused] = [count("absent"), count("excused")];
  const asked = taken - excused;
  return {
    taken,
    whole: taken - marks.length,
    absent,
    excused,
    late: count("late"),
    leftEarly: count("left early"),
    minutes: marks.reduce((sum, m) => sum + (m.minutes ?? 0), 0),
    share: asked > 0 ? (asked - absent) / asked : null,
  };
}
