import { addDays } from "./date";
import { countTasks, replayLost, scheduleTasks } from "./network";
import { classSessions } from "./sessions";

describe("the plan in class sessions", () => {
  const sessions = Array.from({ length: 12 }, (_, i) => ({ number: i + 1, date: addDays("2027-01-18", i * 2) }));
  const tasks = [
    { id: "d", name: "Drawing", length: 2, after: [], deadline: sessions[2]!.date },
    { id: "m", name: "Model", length: 3, after: ["d"] },
    { id: "b", name: "Buy", length: 1, after: ["d"] },
    { id: "t", name: "Test", length: 2, after: ["m", "b"], deadline: sessions[6]!.date },
  ];
  test("slack and the critical chain back from the event", () => {
    const n = scheduleTasks(countTasks(tasks, sessions), 8);
    expect(n.ok && n.tasks.map((t) => [t.id, t.early, t.earlyEnd, t.slack])).toEqual([
      ["d", 0, 2, 0],
      ["m", 2, 5, 0],
      ["b", 2, 3, 2],
      ["t", 5, 7, 0],
    ]);
    expect(n.ok && n.chain).toEqual(["d", "m", "t"]);
  });
  test("a lost day replays the plan and lists what slips", () => {
    const slips = replayLost(tasks, sessions, [sessions[1]!.date], sessions[7]!.date);
    expect(slips.map((s) => [s.name, s.was, s.now, s.late])).toEqual([
      ["Drawing", sessions[1]!.date, sessions[2]!.date, false],
      ["Model", sessions[4]!.date, sessions[5]!.date, false],
      ["Buy", sessions[2]!.date, sessions[3]!.date, false],
      ["Test", sessions[6]!.date, sessions[7]!.date, true],
    ]);
  });
  test("double periods, alternating days and extra sessions", () => {
    expect(
      classSessions({
        pattern: { kind: "weekdays", days: [1, 4], double: [4] },
        from: "2027-01-18",
        to: "2027-01-22",
        daysOff: new Set(),
        extra: ["2027-01-20"],
      }).map((s) => [s.number, s.date]),
    ).toEqual([
      [1, "2027-01-18"],
      [2, "2027-01-20"],
      [3, "2027-01-21"],
      [4, "2027-01-21"],
    ]);
    expect(
      classSessions({
        pattern: { kind: "cycle", length: 2, meets: [1], startsOn: "2027-01-18" },
        from: "2027-01-18",
        to: "2027-01-26",
        daysOff: new Set(["2027-01-20"]),
      }).map((s) => s.date),
    ).toEqual(["2027-01-18", "2027-01-21", "2027-01-25"]);
  });
});
