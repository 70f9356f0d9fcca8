import { definition } from "@/stages/testing/definition";
import { aBuild, aMilestone, aProtocol, aRequirement, aState, aTeam, sessionsOn } from "@/stages/testing/rows";
import type { ClassFacts } from "../queries/classes";
import { chosenMeeting, classView, meetingsOf, purposeByPlan } from "./classes";

const three = sessionsOn("2027-02-15", "2027-02-18", "2027-02-18", "2027-02-22");
const calendars = new Map([
  ["section", three],
  ["five", sessionsOn("2027-02-16", "2027-02-19")],
]);
const meetings = meetingsOf(calendars);

test("a double period is one class; the classes of all sections stand in the order of time", () => {
  expect(meetings.map((m) => `${m.section} ${m.date} ${m.numbers}`)).toEqual([
    "section 2027-02-15 1",
    "five 2027-02-16 1",
    "section 2027-02-18 2,3",
    "five 2027-02-19 2",
    "section 2027-02-22 4",
  ]);
});

test("shown is the class asked for, the nearest from today on, or the last; its own section's stand around it", () => {
  const at = (today: string, asked: { section?: string; day?: string } = {}) => {
    const c = chosenMeeting(meetings, today, asked)!;
    return [c.before, c.meeting, c.next].map((m) => m && `${m.section} ${m.date.slice(8)}`);
  };
  expect(at("2027-02-17")).toEqual(["section 15", "section 18", "section 22"]);
  expect(at("2027-02-17", { section: "five" })).toEqual(["five 16", "five 19", null]);
  expect(at("2027-02-17", { section: "section", day: "2027-02-15" })).toEqual([null, "section 15", "section 18"]);
  expect(at("2027-03-30")).toEqual(["section 18", "section 22", null]);
  expect(at("2027-02-17", { day: "2027-02-17" })).toEqual(["section 15", "section 18", "section 22"]);
  expect(chosenMeeting([], "2027-02-17", {})).toBeNull();
});

test("the plan says what a class is for: what goes on that day, and what is due", () => {
  const task = (title: string, begins: string | null, ends: string | null, doneOn: string | null = null) => ({
    title,
    begins,
    ends,
    doneOn,
  });
  const tasks = [
    task("Hull", "2027-02-15", "2027-02-18"),
    task("Pump", "2027-02-18", "2027-02-22"),
    task("Painted", "2027-02-15", "2027-02-22", "2027-02-16"),
    task("Race", "2027-02-22", "2027-02-22"),
    task("Later", null, null),
  ];
  expect(purposeByPlan("2027-02-18", tasks, [{ title: "Drawing in" }])).toBe("Hull; Pump; due: Drawing in");
  expect(purposeByPlan("2027-02-11", tasks, [])).toBe("");
});

const student = (name: string, team: string | null, more: object = {}) => ({
  id: name as never,
  name,
  teamId: team as never,
  mark: null,
  wrote: false,
  ...more,
});
const booking = (id: string, team: string, starts: number, minutes: number, more: object = {}) =>
  ({
    id,
    tool: id,
    toolId: id,
    teamId: team,
    operatorId: "Ada",
    operator: "Ada",
    what: "cuts",
    period: 1,
    starts,
    minutes,
    startedAt: null,
    endedAt: null,
    outcome: null,
    ...more,
  }) as unknown as ClassFacts["machines"][number];
const facts = (more: Partial<ClassFacts> = {}): ClassFacts => ({
  kept: null,
  ran: null,
  before: null,
  students: [student("Ada", "Alder"), student("Ben", "Birch"), student("Cai", null)],
  machines: [],
  actions: [],
  reviews: [],
  ...more,
});
const state = aState(
  {
    teams: [aTeam("Alder"), aTeam("Birch"), aTeam("Far", { sectionId: "five" as never })],
    builds: [
      aBuild("Alder", 1, { builtOn: "2027-02-15" }),
      aBuild("Birch", 2, { builtOn: "2027-02-18" }),
      aBuild("Far", 1, { builtOn: "2027-02-18" }),
    ],
    requirements: [aRequirement("R-01"), aRequirement("R-02")],
    protocols: [aProtocol(definition)],
  },
  { "R-01 Alder G1": "met" },
  { "Alder G1": 8.4 },
);
const view = (more: Partial<ClassFacts> = {}, milestones: ReturnType<typeof aMilestone>[] = [], today = "2027-02-18") =>
  classView({ meeting: meetings[2]!, next: meetings[4]!, today }, state, facts(more), {
    sessions: three,
    milestones,
    tasks: [],
    flags: [{ team: "Birch", kind: "idle", about: "", size: 3, reason: "3 sessions" }],
    sessionMinutes: 45,
  });

test("only the section's own teams stand there, each with its newest build, value, musts, and who is away", () => {
  const v = view({ students: [student("Ada", "Alder", { mark: { state: "excused", minutes: null } })] });
  expect(v.minutes).toBe(90);
  expect(v.standing).toMatchObject([
    {
      name: "Alder",
      build: { name: "G1 prototype", since: 2 },
      counted: { value: 8.4 },
      verified: 1,
      musts: 2,
      away: ["Ada"],
      flags: [],
    },
    { name: "Birch", build: { name: "G2 prototype", since: 0 }, counted: null, verified: 0, flags: [{ kind: "idle" }] },
  ]);
});

test("due by the next class: milestones with who lacks them, reviews and open actions of this section", () => {
  const checked = [{ teamId: "Alder", personId: null, doneOn: "2027-02-18", checkedBy: "M" }];
  const v = view(
    {
      actions: [
        { id: "1" as never, teamId: "Birch" as never, what: "Glue", dueOn: "2027-02-12", closed: false },
        { id: "2" as never, teamId: "Alder" as never, what: "Saw", dueOn: "2027-02-18", closed: true },
        { id: "3" as never, teamId: "Far" as never, what: "Not ours", dueOn: "2027-02-18", closed: false },
      ],
      reviews: [{ id: "r" as never, teamId: "Alder" as never, title: "Concept", heldOn: "2027-02-22" }],
    },
    [
      aMilestone("Drawing", "2027-02-18", { checks: checked }),
      aMilestone("All in", "2027-02-18", { checks: [...checked, { ...checked[0]!, teamId: "Birch" }] }),
      aMilestone("Far off", "2027-03-18"),
      aMilestone("Sketch", "2027-02-22", {
        scope: "person",
        checks: [{ teamId: null, personId: "Ada", doneOn: "2027-02-15", checkedBy: "M" }],
      }),
      aMilestone("Old sketch", "2027-02-15", { scope: "person" }),
    ],
  );
  expect(v.due.map((d) => `${d.on.slice(8)} ${d.what}: ${d.who}`)).toEqual([
    "12 Glue: Birch",
    "15 Old sketch: all 3 students",
    "18 Drawing: Birch",
    "22 Sketch: 2 of 3 students",
    "22 Concept: Alder",
  ]);
  expect(v.proposed).toBe("due: Drawing");
  expect(v.recorded[0]).toMatchObject({ checks: ["Drawing", "All in"], closed: ["Saw"], nothing: false });
});

test("nobody stands at two machines at once, and who is not here stands at none", () => {
  const way = (...machines: ClassFacts["machines"][number][]) => view({ machines }).machines.map((b) => b.inTheWay);
  expect(way(booking("Saw", "Alder", 0, 20), booking("Drill", "Alder", 19, 10))).toEqual([
    ["Ada is at the Drill too, 19–29"],
    ["Ada is at the Saw too, 0–20"],
  ]);
  const free = [[], []];
  expect(way(booking("Saw", "Alder", 0, 20), booking("Drill", "Alder", 20, 10))).toEqual(free);
  expect(way(booking("Saw", "Alder", 0, 20), booking("Drill", "Alder", 0, 10, { period: 2 }))).toEqual(free);
  expect(way(booking("Saw", "Alder", 0, 20), booking("Drill", "Birch", 0, 10, { operatorId: "Ben" }))).toEqual(free);
  expect(way(booking("Saw", "Alder", 0, 20), booking("Drill", "Alder", 0, 10, { endedAt: "x" }))).toEqual(free);
  const away = view({
    students: [student("Ada", "Alder", { mark: { state: "absent", minutes: null } })],
    machines: [booking("Saw", "Alder", 0, 20)],
  });
  expect(away.machines[0]!.inTheWay).toEqual(["Ada is not here"]);
});

test("after class: what each team recorded on the day, who of those here wrote nothing, who has no team", () => {
  const v = view({
    students: [
      student("Ada", "Alder", { wrote: true }),
      student("Ann", "Alder"),
      student("Abe", "Alder", { mark: { state: "absent", minutes: null } }),
      student("Ben", "Birch", { mark: { state: "late", minutes: 5 } }),
      student("Cai", null),
    ],
  });
  expect(v.recorded).toMatchObject([
    { name: "Alder", builds: [], wrote: 1, here: 2, nothing: false },
    { name: "Birch", builds: ["G2"], wrote: 0, here: 1, nothing: false },
  ]);
  expect(view().recorded.map((r) => r.nothing)).toEqual([true, false]);
  expect(v.silent).toEqual([
    { team: "Alder", names: ["Ann"] },
    { team: "Birch", names: ["Ben"] },
  ]);
  expect(v.groups.map((g) => [g.name, g.students.length])).toEqual([
    ["Alder", 3],
    ["Birch", 1],
    ["Without a team", 1],
  ]);
  expect([v.here, v.away.map((s) => s.name)]).toEqual([4, ["Abe"]]);
});

test("the part that is of use: before it begins, while it runs, when its day is over", () => {
  const part = (today: string, ran: number | null) => view({ ran }, [], today).part;
  expect(part("2027-02-17", null)).toBe("before");
  expect(part("2027-02-18", null)).toBe("before");
  expect(part("2027-02-18", 3)).toBe("during");
  expect(part("2027-02-19", 3)).toBe("after");
});
