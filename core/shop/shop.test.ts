import fc from "fast-check";
import { withoutNames } from "@/core/text/names";
import { freeFrom, type MachineWish, overrun, planQueue } from "./queue";
import { addMonths, startLacks, trained, trainingState } from "./training";

const times = [
  { key: "a1", section: "A", date: "2027-03-02", minutes: 50 },
  { key: "b1", section: "B", date: "2027-03-03", minutes: 50 },
  { key: "a2", section: "A", date: "2027-03-04", minutes: 50 },
];
const wish = (id: string, minutes: number, needBy: string, section = "A"): MachineWish => ({
  id,
  section,
  minutes,
  needBy,
  askedAt: id,
});

test("who needs it first comes first, each in the first session of the own section with room", () => {
  const plan = planQueue(
    times,
    [{ key: "a1", starts: 0, minutes: 10 }],
    [
      wish("late", 30, "2027-03-05"),
      wish("soon", 30, "2027-03-02"),
      wish("short", 10, "2027-03-05"),
      wish("other", 45, "2027-03-01", "B"),
      wish("long", 51, "2027-03-05"),
      wish("more", 40, "2027-03-05"),
    ],
  );
  expect(plan.places.map((p) => [p.id, p.key, p.starts, p.late])).toEqual([
    ["other", "b1", 0, true],
    ["soon", "a1", 10, false],
    ["late", "a2", 0, false],
    ["short", "a1", 40, false],
  ]);
  expect(plan.without).toEqual([
    { id: "long", why: "too long" },
    { id: "more", why: "no room" },
  ]);
});

test("no minute is given twice, none beyond a session, and nobody waits while there is room", () => {
  const wishes = fc.array(
    fc.record({
      id: fc.uuid(),
      section: fc.constantFrom("A", "B", "C"),
      minutes: fc.integer({ min: 1, max: 60 }),
      needBy: fc.constantFrom("2027-03-01", "2027-03-03", "2027-03-09"),
      askedAt: fc.constantFrom("1", "2", "3"),
    }),
    { maxLength: 14 },
  );
  fc.assert(
    fc.property(wishes, fc.nat(49), (waiting, starts) => {
      const fixed = { key: "a1", starts, minutes: 50 - starts };
      const plan = planQueue(times, [fixed], waiting);
      const all = [fixed, ...plan.places.map((p) => ({ ...p, minutes: waiting.find((w) => w.id === p.id)!.minutes }))];
      for (const t of times) {
        const minutes = all
          .filter((x) => x.key === t.key)
          .flatMap((x) => Array.from({ length: x.minutes }, (_, i) => x.starts + i));
        expect(new Set(minutes).size).toBe(minutes.length);
        expect(Math.max(0, ...minutes)).toBeLessThan(t.minutes);
      }
      for (const w of plan.without) {
        const { section, minutes } = waiting.find((x) => x.id === w.id)!;
        for (const t of times.filter((x) => x.section === section))
          expect(
            freeFrom(
              t.minutes,
              all.filter((x) => x.key === t.key),
              minutes,
            ),
          ).toBeNull();
      }
      expect(plan.places.length + plan.without.length).toBe(waiting.length);
    }),
  );
});

test("a training holds through its last day, is told two weeks before its end, and never ends without one", () => {
  expect(trainingState(undefined, "2027-03-02")).toBe("none");
  expect(trainingState({ expiresOn: null }, "2027-03-02")).toBe("holds");
  expect(trainingState({ expiresOn: "2027-03-17" }, "2027-03-02")).toBe("holds");
  expect(trainingState({ expiresOn: "2027-03-16" }, "2027-03-02")).toBe("ends soon");
  expect(trainingState({ expiresOn: "2027-03-02" }, "2027-03-02")).toBe("ends soon");
  expect(trainingState({ expiresOn: "2027-03-01" }, "2027-03-02")).toBe("over");
  expect(["none", "over", "ends soon", "holds"].map((s) => trained(s as never))).toEqual([false, false, true, true]);
  expect(addMonths("2026-11-30", 3)).toBe("2027-02-28");
  expect(addMonths("2026-01-15", 12)).toBe("2027-01-15");
});

test("what is missing before a machine runs", () => {
  const ready = { training: "holds" as const, hasChecks: true, checked: true, once: true, released: true };
  expect(startLacks(ready)).toEqual([]);
  expect(startLacks({ ...ready, training: null, checked: false, released: false })).toEqual([
    "nobody",
    "not checked",
    "not released",
  ]);
  expect(startLacks({ ...ready, training: "none", hasChecks: false, checked: false })).toEqual(["untrained"]);
  expect(startLacks({ ...ready, once: false, released: false })).toEqual([]);
});

test("the overrun is a median, and says nothing of two times", () => {
  expect(
    overrun([
      { minutes: 10, used: 20 },
      { minutes: 10, used: 10 },
    ]),
  ).toBeNull();
  const four = [10, 12, 16, 90].map((used) => ({ minutes: 10, used }));
  expect(overrun(four)).toBeCloseTo(1.4, 12);
});

test("names give way, whole and in parts, whatever their case; other words stay", () => {
  const names = ["Ana María Ruiz", "Bo Li"];
  expect(withoutNames(names)("ANA helped Ruiz; Anagram. Bo Li and Bo")).toBe(
    "a student helped a student; Anagram. a student and Bo",
  );
  expect(withoutNames([...names, "C++"])("maría’s saw (c++)")).toBe("a student’s saw (a student)");
  expect(withoutNames([""])("nobody")).toBe("nobody");
});
