import { type Term, vocabulary } from "./vocabulary";

/** Where a student was who was not in class from its beginning to its end. */
export const attendanceState = vocabulary(
  {
    absent: "absent: nobody knows why yet",
    excused: "excused: the school knows",
    late: "late: came after the beginning",
    "left early": "left early: went before the end",
  },
  ["attendance.state"],
);
export type AttendanceState = Term<typeof attendanceState>;

/** Whether notebooks are countersigned. */
export const countersignMethod = vocabulary({
  no: "no: the instructor reads",
  partner: "by a partner: whoever worked beside has read it, and signs with date",
});
export type CountersignMethod = Term<typeof countersignMethod>;
