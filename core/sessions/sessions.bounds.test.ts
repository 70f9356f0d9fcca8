// Calendars and plans at their edges: first and last days, double periods, cycles, chains and what a lost day moves.
import { addDays, daysBetween, isDate, mondayOf, weekday } from "./date";
import { countTasks, type PlanTask, replayLost, scheduleTasks } from "./network";
import { classSessions, describePattern, type MeetingPattern, projectWeeks, sessionsHeld, weekOf } from "./sessions";

const dates = (pattern: MeetingPattern, from: string, to: string, off: string[] = [], extra: string[] = []) =>
  classSessions({ pattern, from, to, daysOff: new Set(off), extra }).map((s) => s.date.slice(5));

describe("a section's sessions", () => {
  const days: MeetingPattern = { kind: "weekdays", days: [1, 4] };
  test("both ends belong to it; days off do not; days outside the pattern do where they are extra", () => {
    expect(dates(days, "2027-01-18", "2027-01-28")).toEqual(["01-18", "01-21", "01-25", "01-28"]);
    expect(dates(days, "2027-01-19", "2027-01-27")).toEqual(["01-21", "01-25"]);
    expect(dates(days, "2027-01-18", "2027-01-21", ["2027-01-18"], ["2027-01-20"])).toEqual(["01-20", "01-21"]);
  });
  test("extra sessions count at both ends, not beyond; on a day of the pattern there are two", () => {
    const extra = ["2027-01-17", "2027-01-18", "2027-01-21", "2027-01-22"];
    expect(dates(days, "2027-01-18", "2027-01-21", [], extra)).toEqual(["01-18", "01-18", "01-21", "01-21"]);
  });
  test("a double period is two sessions of a day", () =>
    expect(dates({ ...days, double: [4] }, "2027-01-18", "2027-01-21")).toEqual(["01-18", "01-21", "01-21"]));
  test("numbers go up from 1", () =>
    expect(
      classSessions({ pattern: { ...days, double: [1] }, from: "2027-01-18", to: "2027-01-21", daysOff: new Set() }),
    ).toEqual([
      { number: 1, date: "2027-01-18" },
      { number: 2, date: "2027-01-18" },
      { number: 3, date: "2027-01-21" },
    ]));
  const cycle: MeetingPattern = { kind: "cycle", length: 3, meets: [1, 3], startsOn: "2027-01-18", double: [3] };
  test("a cycle counts school days from its start, also before the project", () => {
    expect(dates(cycle, "2027-01-18", "2027-01-22")).toEqual(["01-18", "01-20", "01-20", "01-21"]);
    expect(dates(cycle, "2027-01-20", "2027-01-22")).toEqual(["01-20", "01-20", "01-21"]);
    expect(dates({ ...cycle, startsOn: "2027-01-20" }, "2027-01-18", "2027-01-22")).toEqual([
      "01-20",
      "01-22",
      "01-22",
    ]);
  });
  test("weekends and days off do not move a cycle on", () => {
    const daily: MeetingPattern = { kind: "cycle", length: 2, meets: [1], startsOn: "2027-01-22" };
    expect(dates(daily, "2027-01-22", "2027-01-27")).toEqual(["01-22", "01-26"]);
    expect(dates(daily, "2027-01-22", "2027-01-27", ["2027-01-25"])).toEqual(["01-22", "01-27"]);
  });
  test("ten years are the most", () => {
    expect(() => dates(days, "2020-01-01", "2031-01-01")).toThrow(RangeError);
    expect(dates(days, "2020-01-01", addDays("2020-01-01", 4000)).length).toBeGreaterThan(1000);
  });
  test("patterns in words", () => {
    const two = (meets: number[], double?: number[]): MeetingPattern => ({
      kind: "cycle",
      length: 2,
      meets,
      startsOn: "2027-01-18",
      double,
    });
    expect([days, { ...days, double: [1] }, two([1]), two([2], [2]), two([1, 2]), cycle].map(describePattern)).toEqual([
      "Mon, Thu",
      "Mon (double), Thu",
      "alternating days, the first from 2027-01-18",
      "alternating days (double), the second from 2027-01-18",
      "day 1, 2 of a 2-day cycle",
      "day 1, 3 (double) of a 3-day cycle",
    ]);
  });
});

describe("days and weeks", () => {
  test("dates are days of the calendar, whatever the clock does", () => {
    expect(
      ["2027-02-28", "2027-02-29", "2028-02-29", "2027-13-01", "27-01-01", "2027-1-1", "2027-01-01T"].map(isDate),
    ).toEqual([true, false, true, false, false, false, false]);
    expect([addDays("2027-03-27", 2), addDays("2027-01-01", -1), daysBetween("2027-03-29", "2027-03-26")]).toEqual([
      "2027-03-29",
      "2026-12-31",
      -3,
    ]);
    expect([weekday("2027-03-01"), weekday("2027-03-07"), mondayOf("2027-03-07"), mondayOf("2027-03-01")]).toEqual([
      1,
      7,
      "2027-03-01",
      "2027-03-01",
    ]);
  });
  test("weeks begin on Mondays and are numbered from the project's first", () => {
    expect(projectWeeks("2027-01-20", "2027-02-01").map((w) => [w.number, w.monday])).toEqual([
      [1, "2027-01-18"],
      [2, "2027-01-25"],
      [3, "2027-02-01"],
    ]);
    expect(projectWeeks("2027-01-20", "2027-01-31")).toHaveLength(2);
    expect(projectWeeks("2027-01-20", "2027-01-01")).toEqual([]);
    expect(["2027-01-17", "2027-01-18", "2027-01-24", "2027-01-25"].map((d) => weekOf("2027-01-20", d))).toEqual([
      0, 1, 1, 2,
    ]);
  });
  test("a session is held by the end of its day", () =>
    expect(
      ["2027-01-17", "2027-01-18", "2027-01-19"].map((d) => sessionsHeld([{ number: 1, date: "2027-01-18" }], d)),
    ).toEqual([0, 1, 1]));
});

describe("a plan", () => {
  const task = (id: string, length: number, after: string[] = [], more: Partial<PlanTask> = {}): PlanTask => ({
    id,
    name: id,
    length,
    after,
    ...more,
  });
  const plan = (tasks: PlanTask[], event: number) => {
    const p = scheduleTasks(tasks, event);
    if (!p.ok) throw new Error(p.cycle.join());
    return p;
  };
  test("the chain ends with what ends last, back from the event, although something else is as tight", () => {
    const p = plan([task("a", 3, [], { deadline: 3 }), task("b", 2), task("c", 4, ["b"])], 6);
    expect([p.chain, p.takes]).toEqual([["b", "c"], 6]);
    expect(p.tasks.map((t) => [t.id, t.slack, t.critical])).toEqual([
      ["a", 0, true],
      ["b", 0, true],
      ["c", 0, true],
    ]);
  });
  test("a link of the chain begins where the one before ends; of two ways the tight one is taken", () => {
    const p = plan([task("a", 1), task("b", 3), task("c", 2, ["a", "b"]), task("d", 1, ["c"])], 8);
    expect(p.chain).toEqual(["b", "c", "d"]);
    expect(p.tasks.map((t) => [t.early, t.earlyEnd, t.late, t.lateEnd, t.slack])).toEqual([
      [0, 1, 4, 5, 4],
      [0, 3, 2, 5, 2],
      [3, 5, 5, 7, 2],
      [5, 6, 7, 8, 2],
    ]);
  });
  test("a task that may not begin before heads its chain", () => {
    const p = plan([task("a", 1), task("b", 2, ["a"], { notBefore: 3 })], 6);
    expect([p.chain, p.tasks[1]!.early]).toEqual([["b"], 3]);
  });
  test("a milestone closes the chain of what leads to it", () =>
    expect(plan([task("a", 2), task("m", 0, ["a"], { deadline: 2 })], 6).chain).toEqual(["a", "m"]));
  test("too long: slack is negative", () => {
    const p = plan([task("a", 3), task("b", 3, ["a"])], 4);
    expect(p.tasks.map((t) => t.slack)).toEqual([-2, -2]);
  });
  test("what is done is not critical, nor a milestone of which all is done", () => {
    const p = plan([task("a", 2, [], { done: true }), task("m", 0, ["a"]), task("b", 1, ["a"])], 6);
    expect(p.tasks.map((t) => t.critical)).toEqual([false, false, true]);
    expect(p.chain).toEqual(["b"]);
    expect(plan([task("a", 2, [], { done: true })], 6).chain).toEqual([]);
  });
  test("one that is not there is nothing to wait for; tasks that wait for each other are named in their order", () => {
    expect(plan([task("a", 1, ["gone"])], 2).tasks[0]!.early).toBe(0);
    expect(scheduleTasks([task("x", 1), task("a", 1, ["c"]), task("b", 1, ["a"]), task("c", 1, ["b"])], 6)).toEqual({
      ok: false,
      cycle: ["a", "b", "c"],
    });
  });
  const sessions = ["2027-01-18", "2027-01-21", "2027-01-25", "2027-01-28"].map((date, i) => ({ number: i + 1, date }));
  test("dates are counted in sessions: not before begins with the day's own, a deadline has it still", () =>
    expect(
      countTasks(
        [{ id: "a", name: "a", length: 1, after: [], notBefore: "2027-01-20", deadline: "2027-01-24" }],
        sessions,
      ),
    ).toEqual([{ id: "a", name: "a", length: 1, after: [], notBefore: 1, deadline: 2 }]));
  test("a lost day moves what comes after it, and says what is then late", () => {
    const work = [
      { id: "a", name: "Draw", length: 1, after: [], deadline: "2027-01-18" },
      { id: "b", name: "Cut", length: 2, after: ["a"] },
      { id: "c", name: "Buy", length: 1, after: [], done: true },
    ];
    const lose = (...lost: string[]) =>
      replayLost(work, sessions, lost, "2027-01-28").map((s) => [s.id, s.now, s.late]);
    expect(lose()).toEqual([]);
    expect(lose("2027-01-28")).toEqual([]);
    expect(lose("2027-01-21")).toEqual([["b", "2027-01-28", false]]);
    expect(lose("2027-01-18")).toEqual([
      ["a", "2027-01-21", true],
      ["b", "2027-01-28", false],
    ]);
    expect(lose("2027-01-18", "2027-01-21")).toEqual([
      ["a", "2027-01-25", true],
      ["b", null, true],
    ]);
  });
});
