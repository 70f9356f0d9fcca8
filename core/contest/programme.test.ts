import fc from "fast-check";
import { behind, clashes, clockIn, clockOf, laneTable, matchesEnd, programme } from "./programme";

const names = (n: number) => Array.from({ length: n }, (_, i) => `t${i}`);
const plan = fc.record({
  starts: fc.integer({ min: 0, max: 900 }),
  lanes: fc.integer({ min: 1, max: 8 }),
  minutes: fc.integer({ min: 1, max: 20 }),
  repair: fc.integer({ min: 0, max: 60 }),
});

test("everybody makes every attempt, alone in a lane, with the time for repair, and as often in each lane", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 6 }), plan, (n, k, p) => {
      const turns = programme(names(n), k, p);
      expect(turns).toHaveLength(n * k);
      expect(new Set(turns.map((t) => `${t.entry} ${t.attempt}`)).size).toBe(n * k);
      expect(new Set(turns.map((t) => `${t.from} ${t.lane}`)).size).toBe(n * k);
      for (const e of names(n)) {
        const own = turns.filter((t) => t.entry === e);
        for (const [i, t] of own.entries()) {
          expect(t.attempt).toBe(i + 1);
          if (i > 0) expect(t.from - own[i - 1]!.until).toBeGreaterThanOrEqual(p.repair);
        }
      }
      for (const counts of laneTable(turns, p.lanes).values())
        expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(1);
    }),
  );
});

test("benches that wait for nobody are never idle: it ends after as many heats as it takes", () => {
  const turns = programme(names(8), 3, { starts: 540, lanes: 2, minutes: 6, repair: 10 });
  expect(turns.at(-1)!.until).toBe(540 + 12 * 6);
  expect(programme(names(2), 3, { starts: 540, lanes: 2, minutes: 6, repair: 10 }).at(-1)!.until).toBe(540 + 18 + 20);
});

test("how late it is comes from the attempt that was recorded last", () => {
  const turns = programme(["a", "b"], 2, { starts: 600, lanes: 1, minutes: 5, repair: 0 });
  expect(behind(turns, [])).toBeNull();
  const made = [
    { entry: "a", attempt: 1, at: 605 },
    { entry: "b", attempt: 1, at: 608 },
  ];
  expect(behind(turns, made)).toBe(-2);
  expect(behind(turns, [...made, { entry: "a", attempt: 2, at: 625 }])).toBe(10);
  expect(behind(turns, [{ entry: "a", attempt: 9, at: 700 }])).toBeNull();
});

test("matches go round after round, as many at a time as there are lanes", () => {
  expect(matchesEnd([8, 0, 4], { starts: 0, lanes: 3, minutes: 10, repair: 5 })).toBe(55);
  expect(matchesEnd([], { starts: 7, lanes: 1, minutes: 10, repair: 5 })).toBe(7);
});

test("who is wanted in two events is named, and who has just enough time is not", () => {
  const turn = (entry: string, from: number, until: number) => ({ entry, attempt: 1, lane: 1, from, until });
  const lift = { name: "Lift", repair: 10, turns: [turn("a", 600, 605), turn("b", 605, 610)] };
  const fill = { name: "Fill", repair: 0, turns: [turn("a", 614, 620), turn("b", 620, 626)] };
  expect(clashes([fill, lift])).toEqual([{ entry: "a", first: "Lift", until: 605, second: "Fill", from: 614 }]);
});

test("times of the day are read and written", () => {
  expect(["09:05", "9.30", "23:59", "24:00", "9:60", "930"].map(clockIn)).toEqual([545, 570, 1439, null, null, null]);
  expect([545, 1439.9, 1445].map(clockOf)).toEqual(["9:05", "23:59", "0:05"]);
});
