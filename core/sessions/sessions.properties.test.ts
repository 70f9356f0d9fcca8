import fc from "fast-check";
import { addDays, daysBetween, isDate, mondayOf, weekday } from "./date";
import { classSessions, projectWeeks, sessionsHeld, weekOf } from "./sessions";

const date = fc.integer({ min: 0, max: 3000 }).map((n) => addDays("2026-01-01", n));

describe("calendar", () => {
  test("dates and weeks agree with each other", () =>
    fc.assert(
      fc.property(date, fc.nat(400), (d, n) => {
        expect(daysBetween(d, addDays(d, n))).toBe(n);
        expect(isDate(d) && weekday(mondayOf(d)) === 1).toBe(true);
        expect(weekOf(d, addDays(d, n))).toBe(projectWeeks(d, addDays(d, n)).length);
      }),
    ));
  test("every session is on a day of the pattern that is not off, numbered in order", () =>
    fc.assert(
      fc.property(
        date,
        fc.nat(120),
        fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1 }),
        fc.array(fc.nat(120)),
        (from, n, days, off) => {
          const daysOff = new Set(off.map((x) => addDays(from, x)));
          const s = classSessions({ pattern: { kind: "weekdays", days }, from, to: addDays(from, n), daysOff });
          s.forEach((x, i) =>
            expect(x.number === i + 1 && days.includes(weekday(x.date)) && !daysOff.has(x.date)).toBe(true),
          );
          expect(sessionsHeld(s, addDays(from, n))).toBe(s.length);
        },
      ),
    ));
});
