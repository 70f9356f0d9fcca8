import { aMilestone, aTask, sessionsOn } from "@/stages/testing/rows";
import { dueFor, networkOf, planSays, planView } from "./tasks";

const sessions = sessionsOn("2027-01-18", "2027-01-21", "2027-01-25", "2027-01-28", "2027-02-01");
const event = "2027-02-01";
const view = (
  tasks: Parameters<typeof planView>[0],
  milestones: Parameters<typeof planView>[1] = [],
  today = "2027-01-18",
) => planView(tasks, milestones, "three", sessions, event, today);

test("a section's own date goes before the project's", () => {
  const m = aMilestone("Drawing", "2027-02-01", { dates: { three: "2027-02-04" } });
  expect([dueFor(m, "three"), dueFor(m, "four"), dueFor(m, null)]).toEqual(["2027-02-04", "2027-02-01", "2027-02-01"]);
});

test("tasks take the sessions after what they wait for; the days are the sessions' own", () => {
  const { lines } = view([aTask("Draw", 2), aTask("Cut", 2, ["Draw"]), aTask("Buy", 1)]);
  expect(lines.map((l) => [l.id, l.begins, l.ends, l.slack, l.critical])).toEqual([
    ["Draw", "2027-01-18", "2027-01-21", 1, true],
    ["Cut", "2027-01-25", "2027-01-28", 1, true],
    ["Buy", "2027-01-18", "2027-01-18", 4, false],
  ]);
});

test("what lies behind the last session has no day", () => {
  const [line] = view([aTask("Sand", 2, [], { notBefore: "2027-02-01" })]).lines;
  expect([line!.begins, line!.ends, line!.late]).toEqual(["2027-02-01", null, true]);
});

test("a task that ends after its milestone is late; done, it is not", () => {
  const drawing = aMilestone("Drawing", "2027-01-21");
  const late = (doneOn: string | null) =>
    view([aTask("Draw", 3, [], { milestoneId: drawing.id, doneOn })], [drawing]).lines[0]!.late;
  expect([late(null), late("2027-01-21")]).toEqual([true, false]);
});

test("of a task's own deadline and its milestone's the earlier one holds", () => {
  const m = aMilestone("Drawing", "2027-01-28");
  const deadline = (own: string | null) =>
    networkOf([aTask("Draw", 1, [], { milestoneId: m.id, deadline: own })], [m], null)[0]!.deadline;
  expect([deadline("2027-01-21"), deadline("2027-02-01"), deadline(null)]).toEqual([
    "2027-01-21",
    "2027-01-28",
    "2027-01-28",
  ]);
});

test("a milestone waits for the tasks that lead to it, and lasts nothing", () => {
  const m = aMilestone("Drawing", "2027-01-28");
  const network = networkOf([aTask("Draw", 1, [], { milestoneId: m.id }), aTask("Buy", 1)], [m], null);
  expect(network.at(-1)).toMatchObject({ id: "Drawing", length: 0, after: ["Draw"], deadline: "2027-01-28" });
});

test("tasks that wait for each other have no days, and nothing is called late", () => {
  const { lines } = view([aTask("A", 1, ["B"]), aTask("B", 1, ["A"])]);
  expect(lines.map((l) => [l.begins, l.slack, l.late])).toEqual([
    [null, 0, false],
    [null, 0, false],
  ]);
});

test("what should be finished and is not begins today, and pushes what waits for it; what runs stays", () => {
  const tasks = [aTask("Draw", 2), aTask("Cut", 2, ["Draw"]), aTask("Buy", 1), aTask("Paint", 3)];
  const { lines } = view(tasks, [], "2027-01-28");
  expect(lines.map((l) => [l.id, l.begins, l.overdue, l.late])).toEqual([
    ["Draw", "2027-01-28", true, true],
    ["Cut", null, false, true],
    ["Buy", "2027-01-28", true, false],
    ["Paint", "2027-01-28", true, true],
  ]);
  expect(view(tasks, [], "2027-01-21").lines.map((l) => l.overdue)).toEqual([false, false, true, false]);
  expect(view([aTask("Draw", 2, [], { doneOn: "2027-01-21" })], [], "2027-02-01").lines[0]!.overdue).toBe(false);
});

test("Today hears what is overdue and by how much the rest is too long; of a plan that fits, nothing", () => {
  const says = (today: string, ...tasks: Parameters<typeof planView>[0][number][]) =>
    planSays(view(tasks, [], today).lines);
  expect(says("2027-01-18", aTask("Draw", 2))).toBeNull();
  expect(says("2027-01-28", aTask("Draw", 1))).toBe("one task is overdue");
  expect(says("2027-01-28", aTask("Draw", 2), aTask("Cut", 2, ["Draw"]))).toBe(
    "one task is overdue; what is left is 2 sessions too long",
  );
  expect(says("2027-01-18", aTask("Draw", 6))).toBe("what is left is 1 session too long");
});
