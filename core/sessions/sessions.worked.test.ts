import fc from "fast-check";
import { planStages } from "@/core/stages/stages";
import { classSessions } from "./sessions";

describe("session calendar", () => {
  test("days off leave out a session, extra sessions add one", () => {
    const s = classSessions({
      pattern: { kind: "weekdays", days: [1, 2, 4] },
      from: "2027-01-18",
      to: "2027-03-26",
      daysOff: new Set(["2027-02-15"]),
      extra: ["2027-03-27", "2027-03-20"],
    });
    expect(s.length).toBe(30);
    expect(s.at(-1)).toEqual({ number: 30, date: "2027-03-25" });
  });
  test("a rotating cycle moves on by school days only", () =>
    expect(
      classSessions({
        pattern: { kind: "cycle", length: 2, meets: [1], startsOn: "2027-01-18" },
        from: "2027-01-20",
        to: "2027-01-29",
        daysOff: new Set(["2027-01-21"]),
      }).map((s) => s.date),
    ).toEqual(["2027-01-20", "2027-01-25", "2027-01-27", "2027-01-29"]));
  test("planned stages fill the sessions", () =>
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 120 }), (n) =>
        expect(Object.values(planStages(n)).reduce((a, b) => a + b, 0)).toBe(n),
      ),
    ));
});
