import type { SlotDefinition } from "../schema-slots";
import { clockAt, clockDay } from "./clock";
import { dueOptions, sessionOn } from "./sessions";
import { placesOf, type SlotTeam, sentSlots, slotBoard, slotProblem, typedSlots } from "./slots";
import { slotsPage, slotTimes } from "./slots-page";
import { wishLinesOf } from "./wishes";

const definition: SlotDefinition = {
  minutes: 20,
  change: 5,
  rooms: ["Gym", "Hall"],
  least: 1,
  most: 2,
  inClass: true,
  days: [
    { day: "2027-03-08", hours: "9:00-9:50" },
    { day: "2027-03-09", hours: "13-14" },
  ],
  reviewers: [
    { name: "Ida", hours: [] },
    { name: "Ben", hours: ["-", "13:25-14"] },
  ],
};
const team = (name: string, meets: string[] | null, hours: string[] = []): SlotTeam => ({
  reviewId: `r ${name}`,
  team: name,
  meets,
  hours,
});
const whole = (p: ReturnType<typeof slotProblem>, i: number) => p.teams[i]!.days.map((d) => d.hours.length);

test("teams come in their section's sessions only, where that is asked and no hours are written for them", () => {
  const teams = [team("A", ["2027-03-09"]), team("B", null), team("C", ["2027-03-09"], ["9:00-9:30", ""])];
  const p = slotProblem(definition, teams);
  expect([0, 1, 2].map((i) => whole(p, i))).toEqual([
    [0, 1],
    [1, 1],
    [1, 1],
  ]);
  expect(p.teams[2]!.days[0]!.hours).toEqual([{ from: 540, to: 570 }]);
  expect(whole(slotProblem({ ...definition, inClass: false }, teams), 0)).toEqual([1, 1]);
  expect(p.reviewers[1]!.days.map((d) => d.hours)).toEqual([[], [{ from: 805, to: 840 }]]);
});

test("the board has a line a time and a place a room, says what is wrong, and what each reviewer has to do", () => {
  const p = slotProblem(definition, [team("A", null), team("B", null)]);
  const at = (name: string, day: string, from: number, reviewers: string[]) => ({
    team: `r ${name}`,
    day,
    from,
    room: 0,
    reviewers,
  });
  const board = slotBoard(p, [at("A", "2027-03-08", 540, ["Ida", "Ben"])]);
  expect(board.days.map((d) => d.times.map((t) => t.text))).toEqual([
    ["9:00–9:20", "9:25–9:45"],
    ["13:00–13:20", "13:25–13:45"],
  ]);
  expect(board.days[0]!.times[0]!.rooms.map((x) => x?.name ?? null)).toEqual(["A", null]);
  expect(board.days[0]!.times[0]!.rooms[0]!.wrong).toEqual(["Ben is not there"]);
  expect(board).toMatchObject({ without: ["B"], breaches: 1, gaps: 0 });
  expect(board.reviewers[0]).toEqual({
    name: "Ida",
    reviews: 1,
    waits: 0,
    stays: [{ day: "2027-03-08", hours: { from: 540, to: 560 } }],
  });
});

test("what is kept comes back into the form as it was typed, and is sent with an hour for each day", () => {
  const teams = [team("A", null, ["", "13-13:30"])];
  const typed = typedSlots(definition, teams);
  expect(typed).toMatchObject({ minutes: "20", rooms: "Gym, Hall", teams: [{ hours: ["", "13-13:30"] }] });
  const sent = sentSlots({
    ...typed,
    rooms: " Gym ,,Hall ",
    places: [{ team: "r A", day: "2027-03-08", from: 565, room: 1, reviewers: ["Ida"] }],
  });
  expect(sent).toMatchObject({
    rooms: ["Gym", "Hall"],
    reviewers: [{ hours: ["", ""] }, { hours: ["-", "13:25-14"] }],
    places: [{ reviewId: "r A", day: "2027-03-08", from: "9:25", room: 1 }],
  });
});

const slot = (name: string, starts: number | null, room = 0, more: object = {}) => ({
  id: `s ${name}` as never,
  planId: "plan",
  reviewId: `r ${name}` as never,
  teamId: name as never,
  team: name,
  sectionId: null,
  hours: [],
  heldOn: starts === null ? null : "2027-03-08",
  starts,
  room: starts === null ? null : room,
  reviewers: ["Ida"],
  began: null,
  ended: null,
  version: 1,
  ...more,
});
const plan = { id: "plan" as never, title: "Final", definition, version: 3 };

test("the page offers every place, and moves whoever has not begun", () => {
  const reviews = ["A", "B"].map((name) => ({
    id: `r ${name}` as never,
    title: "Final",
    kind: "final" as const,
    heldOn: "2027-03-08",
    teamId: name as never,
    team: name,
  }));
  const slots = [slot("A", 540, 0, { began: 541 }), slot("B", 565)];
  const page = slotsPage("Final", reviews, [plan], slots, () => [], new Map())!;
  expect(page.hand.map((h) => h.team)).toEqual(["B"]);
  expect(page.places).toHaveLength(8);
  expect(page.places[0]).toMatchObject({ value: "2027-03-08 9:00 0", room: "Gym", team: "A" });
  expect(page.slots["r A"]).toMatchObject({ begun: true });
  // A review without a plan begins with the length of its kind.
  expect(slotsPage("Final", reviews, [], [], () => [], new Map())!.definition.minutes).toBe(30);
  expect(slotsPage("None", reviews, [plan], slots, () => [], new Map())).toBeNull();
});

test("a slot is told with its day where there are several, and its room where there are several", () => {
  expect([...slotTimes([slot("A", 540, 1), slot("B", null)], [plan], (d) => d.slice(5))]).toEqual([
    ["r A", { value: "2027-03-08 0540", show: "03-08 9:00, Hall" }],
  ]);
  expect(placesOf([slot("B", null)])).toEqual([]);
});

test("the clock shows the day that is asked for, today's or the next, room by room", () => {
  const slots = [slot("A", 540, 0, { began: 545 }), slot("B", 565), slot("C", 540, 1), slot("D", null)];
  const day = clockDay(plan, slots, "2027-03-01", undefined);
  expect(day.day).toBe("2027-03-08");
  expect(day.rooms.map((r) => [r.name, r.slots.map((s) => s.team)])).toEqual([
    ["Gym", ["A", "B"]],
    ["Hall", ["C"]],
  ]);
  expect(clockDay(plan, slots, "2027-03-20", "2027-01-01").day).toBe("2027-03-08");
  expect(clockDay(plan, [], "2027-03-20", undefined)).toMatchObject({ day: null, rooms: [] });
  const at = clockAt(day.rooms[0]!, 550, day.change);
  expect([at.onNow?.team, at.nextUp?.team, at.left, at.behind]).toEqual(["A", "B", 900, 5]);
});

test("an action is due in a class session ahead; a day that stands there already stays in the list", () => {
  const sessions = [
    { number: 4, date: "2027-03-01" },
    { number: 5, date: "2027-03-04" },
    { number: 6, date: "2027-03-04" },
  ];
  const labels = (kept?: string) => dueOptions(sessions, "2027-03-02", (d) => d.slice(5), kept).map((o) => o.label);
  expect(labels()).toEqual(["session 5, 03-04"]);
  expect(labels("2027-03-01")).toEqual(["session 4, 03-01", "session 5, 03-04"]);
  expect(labels("2027-03-06")).toEqual(["03-06", "session 5, 03-04"]);
  expect([sessionOn(sessions, "2027-03-04"), sessionOn(sessions, "2027-03-06")]).toEqual(["session 5, ", ""]);
});

test("wishes in the client's words come first, with how they are measured and what was ticked", () => {
  const requirement = (code: string, measure: string | null) => ({
    id: code,
    code,
    statement: `Rule ${code}`,
    measure,
  });
  const state = {
    requirements: [requirement("R-01", "mass"), requirement("R-02", null)],
    verdict: () => "met" as const,
  };
  const wishes = [{ statement: "Light enough", requirementId: "R-02" as never, words: [] }];
  const ticks = [{ requirementId: "R-02", outcome: "partly" as const, word: "nearly" }];
  const lines = wishLinesOf(state, wishes, ticks, "b");
  expect(lines.map((l) => [l.words, l.measured, l.outcome, l.word])).toEqual([
    ["Light enough", "", "partly", "nearly"],
    ["Rule R-01", "met", "", ""],
  ]);
  expect(wishLinesOf(state, [], [], null).map((l) => l.measured)).toEqual(["", ""]);
});
