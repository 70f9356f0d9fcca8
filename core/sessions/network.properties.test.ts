import fc from "fast-check";
import { addDays } from "./date";
import { countTasks, type PlanTask, replayLost, scheduleTasks } from "./network";
import { classSessions } from "./sessions";

describe("the plan", () => {
  const tasks = fc
    .array(
      fc.record({
        length: fc.integer({ min: 0, max: 5 }),
        links: fc.array(fc.nat(20)),
        notBefore: fc.option(fc.nat(10), { nil: undefined }),
        deadline: fc.option(fc.integer({ min: 1, max: 30 }), { nil: undefined }),
      }),
      { minLength: 1, maxLength: 12 },
    )
    .map((list): PlanTask[] =>
      list.map((t, i) => ({
        id: `${i}`,
        name: `T${i}`,
        length: t.length,
        after: [...new Set(t.links.filter((l) => l < i).map(String))],
        notBefore: t.notBefore,
        deadline: t.deadline,
      })),
    );
  test("nothing begins before what it waits for has ended, nor before its date; slack is what it may slip", () => {
    fc.assert(
      fc.property(tasks, fc.integer({ min: 1, max: 40 }), (list, event) => {
        const n = scheduleTasks(list, event);
        if (!n.ok) throw new Error("a cycle where there is none");
        const at = new Map(n.tasks.map((t) => [t.id, t]));
        for (const t of list) {
          const s = at.get(t.id)!;
          expect(s.early).toBeGreaterThanOrEqual(t.notBefore ?? 0);
          for (const b of t.after) {
            expect(s.early).toBeGreaterThanOrEqual(at.get(b)!.earlyEnd);
            expect(at.get(b)!.lateEnd).toBeLessThanOrEqual(s.late);
          }
          expect(s.lateEnd).toBeLessThanOrEqual(Math.min(event, t.deadline ?? event));
          expect(s.slack).toBe(s.late - s.early);
        }
      }),
    );
  });
  test("a ring of tasks is named, whatever hangs on it", () => {
    fc.assert(
      fc.property(tasks, (list) => {
        const ring = [
          ...list,
          { id: "a", name: "A", length: 1, after: ["b"] },
          { id: "b", name: "B", length: 1, after: ["a", "0"] },
        ];
        const n = scheduleTasks(ring, 10);
        expect(!n.ok && [...n.cycle].sort()).toEqual(["A", "B"]);
      }),
    );
  });
  test("a lost day brings nothing forward, and losing a day that is no class day changes nothing", () => {
    const sessions = Array.from({ length: 25 }, (_, i) => ({ number: i + 1, date: addDays("2027-01-18", i * 2) }));
    fc.assert(
      fc.property(tasks, fc.nat(24), (list, lost) => {
        const dated = list.map((t) => ({
          id: t.id,
          name: t.name,
          length: t.length,
          after: t.after,
          deadline: t.deadline ? sessions[Math.min(24, t.deadline)]!.date : null,
        }));
        for (const s of replayLost(dated, sessions, [sessions[lost]!.date], sessions[24]!.date))
          if (s.was && s.now) expect(s.now > s.was).toBe(true);
        expect(replayLost(dated, sessions, ["2026-01-01"], sessions[24]!.date)).toEqual([]);
        expect(countTasks(dated, sessions)).toHaveLength(list.length);
      }),
    );
  });
  test("double periods give twice the sessions of their days, numbered without a gap", () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1 }), (days) => {
        const input = { from: "2027-01-18", to: "2027-03-26", daysOff: new Set<string>() };
        const [once, twice] = [
          classSessions({ ...input, pattern: { kind: "weekdays", days } }),
          classSessions({ ...input, pattern: { kind: "weekdays", days, double: days } }),
        ];
        expect(twice.length).toBe(2 * once.length);
        expect(twice.map((s) => s.number)).toEqual(twice.map((_, i) => i + 1));
      }),
    );
  });
});
