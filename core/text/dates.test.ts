import { dateStyle } from "@/core/vocabulary/project";
import { datesIn } from "./dates";

test.each([
  ["day", "Tue 2 March", "2 Mar", "2 March 2027", "2 Mar 14:05"],
  ["month", "Tue, March 2", "Mar 2", "March 2, 2027", "Mar 2, 2:05 PM"],
  ["year", "Tue 2027-03-02", "03-02", "2027-03-02", "03-02 14:05"],
] as const)("%s first: with weekday, for tables, with year, with time", (style, long, short, full, at) => {
  const d = datesIn(style);
  const instant = "2027-03-02T14:05:00";
  expect([d.longDate(instant), d.shortDate(instant), d.fullDate(instant), d.instant(instant)]).toEqual([
    long,
    short,
    full,
    at,
  ]);
});

test("every style of the list can be written; what is no date is refused", () => {
  for (const style of dateStyle.values) expect(datesIn(style).fullDate("2027-12-31")).toContain("2027");
  for (const wrong of ["soon", "2027-02-30", "2027-13-01", ""])
    for (const write of Object.values(datesIn("day"))) expect(() => write(wrong)).toThrow(RangeError);
});

test.each([
  ["2027-05-09T00:05:00", "May 9, 12:05 AM", "05-09 00:05"],
  ["2027-09-30T12:00:00", "Sep 30, 12:00 PM", "09-30 12:00"],
  ["2027-12-01T23:59:00", "Dec 1, 11:59 PM", "12-01 23:59"],
])("midnight, noon and the last minute: %s", (iso, twelve, whole) => {
  expect([datesIn("month").instant(iso), datesIn("year").instant(iso)]).toEqual([twelve, whole]);
});
