import type { Booking } from "../queries/bookings";
import type { NeededPart, StockItem } from "../queries/stock";
import type { Tool } from "../queries/tools";
import { lacksOf, lackWords, machineWeek, minutesSince } from "./bookings";
import { missingOf, readContents, writeContents } from "./kits";
import { budgets, countText, listTotal, readSize, shoppingList, stockLines } from "./stock";
import { shopTimes, timeKey, weekOf } from "./times";
import { holdersOf, trainingCounts, trainingLines } from "./training";

const tool = {
  id: "saw",
  name: "Band saw",
  trainers: "The technician",
  checks: ["Guard down"],
  signed: [
    { personId: "mira", on: "2027-02-01", by: "Mara", expiresOn: "2027-08-01" },
    { personId: "noor", on: "2026-02-01", by: "Mara", expiresOn: "2027-03-01" },
  ],
} as unknown as Tool;

const booking = (more: object) =>
  ({
    id: "b",
    team: "Alder",
    what: "Frames",
    minutes: 20,
    needBy: "2027-03-05",
    operatorId: "mira",
    operator: "Mira",
    once: false,
    piece: null,
    sectionId: null,
    onDate: null,
    period: null,
    starts: null,
    startedAt: null,
    endedAt: null,
    ...more,
  }) as unknown as Booking;

const day = "2027-03-02";

test("what is missing before a machine runs, and what to do about it", () => {
  const looked = [{ toolId: "saw" }];
  const lacks = (more: object, checks = looked, staff = true) => lacksOf(booking(more), tool, checks, day, staff);
  expect(lacks({})).toEqual([]);
  expect(lacks({ operatorId: null }, [])).toEqual(["nobody", "not checked"]);
  expect(lacks({ operatorId: "noor" })).toEqual(["over"]);
  expect(lacks({ operatorId: "ben" }, [{ toolId: "other" }])).toEqual(["untrained", "not checked"]);
  expect(lacks({ once: true }, looked, false)).toEqual(["not released"]);
  expect(lacks({ once: true })).toEqual([]);
  const piece = { name: "Cover", once: true, released: false, buildId: "g" };
  expect(lacks({ once: true, piece })).toEqual(["not released"]);
  expect(lacks({ once: true, piece: { ...piece, released: true } }, looked, false)).toEqual([]);
  const words = (["nobody", "untrained", "over", "not checked", "not released"] as const).map((l) =>
    lackWords(l, tool, booking({ piece })),
  );
  expect(words.map((w) => w.split(/[.:]/)[0])).toEqual([
    "Name who stands at the machine",
    "Mira is not trained for Band saw",
    "Mira's training for Band saw is over",
    "Band saw was not looked at today",
    "Cover can be cut once only, and is not released yet",
  ]);
  expect(words[1]).toContain("The technician may train.");
});

test("a training that is over is no signature any more: it is named apart, and signed anew", () => {
  const students = [
    { id: "mira", name: "Mira" },
    { id: "noor", name: "Noor" },
    { id: "ben", name: "Ben" },
  ];
  expect(holdersOf(tool, students, day)).toEqual({
    students: [
      { id: "mira", name: "Mira", holds: true },
      { id: "noor", name: "Noor", holds: false },
      { id: "ben", name: "Ben", holds: false },
    ],
    holding: ["Mira"],
    over: ["Noor"],
  });
  // Its last day counts.
  expect(holdersOf(tool, students, "2027-03-01").holding).toEqual(["Mira", "Noor"]);
});

const calendars = new Map([
  [
    "A",
    [
      { number: 18, date: "2027-03-01" },
      { number: 19, date: "2027-03-02" },
      { number: 20, date: "2027-03-02" },
    ],
  ],
  ["B", [{ number: 18, date: "2027-03-01" }]],
]);

test("the sessions of a week, two of one day told apart", () => {
  const times = shopTimes(calendars, 50, "2027-03-01", "2027-03-07");
  expect(times.map((t) => [t.section, t.date, t.period, t.number])).toEqual([
    ["A", "2027-03-01", 1, 18],
    ["B", "2027-03-01", 1, 18],
    ["A", "2027-03-02", 1, 19],
    ["A", "2027-03-02", 2, 20],
  ]);
  expect(times[3]!.key).toBe(timeKey({ section: "A", date: "2027-03-02", period: 2 }));
  expect(weekOf("2027-03-07")).toEqual({ from: "2027-03-01", to: "2027-03-07" });
});

test("a machine's week: who has which minutes, who waits, who comes late or did not begin", () => {
  const times = shopTimes(calendars, 50, "2027-03-01", "2027-03-07");
  const at = (date: string, period: number, starts: number) => ({ sectionId: "A", onDate: date, period, starts });
  const week = machineWeek(
    tool,
    [
      booking({ id: "second", ...at("2027-03-02", 1, 25), needBy: "2027-03-01" }),
      booking({ id: "first", ...at("2027-03-02", 1, 0), startedAt: "2027-03-02T09:00:00Z" }),
      booking({ id: "missed", ...at("2027-03-01", 1, 0) }),
      booking({ id: "waits", operatorId: null }),
      booking({ id: "forgotten", ...at("2027-02-23", 1, 0), startedAt: "2027-02-23T09:00:00Z" }),
      booking({ id: "over", ...at("2027-03-02", 2, 0), startedAt: "x", endedAt: "x", operatorId: null }),
    ],
    times,
    [{ id: "A", name: "3" }],
    [],
    [10, 12, 15].map((used) => ({ toolId: "saw", minutes: 10, used })),
    { today: day, staff: true },
  );
  expect(week.days[2]!.slots.map((s) => [s.booking.id, s.state, s.late])).toEqual([
    ["first", "runs", false],
    ["second", "stands", true],
  ]);
  expect(week.days.map((d) => d.free)).toEqual([30, 50, 10, 30]);
  expect(week.days[0]!.slots[0]!.missed).toBe(true);
  expect(week.days[3]!.slots[0]).toMatchObject({ state: "over", lacks: [] });
  expect(week.waiting.map((s) => [s.booking.id, s.lacks])).toEqual([["waits", ["nobody", "not checked"]]]);
  expect([week.running?.booking.id, week.booked, week.minutes]).toEqual(["forgotten", 80, 200]);
  expect(week.overrun).toEqual({ ratio: 1.2, of: 3 });
  expect(minutesSince(null)).toBe(0);
});

test("who is trained for what, counted", () => {
  const people = ["mira", "noor", "ben"].map((id) => ({ id, name: id }));
  const lines = trainingLines([tool], people, "2027-07-25");
  expect(lines.map((l) => l.cells[0]!.state)).toEqual(["ends soon", "over", "none"]);
  expect(trainingCounts(lines, "saw")).toEqual({ trained: 1, soon: 1, over: 1 });
});

test.each([
  [
    "4 × clamp\n2 tape\nknife",
    [
      ["clamp", 4],
      ["tape", 2],
      ["knife", 1],
    ],
  ],
  [
    "4x clamp\n\n12 * M4 screw",
    [
      ["clamp", 4],
      ["M4 screw", 12],
    ],
  ],
  ["3D pen", [["3D pen", 1]]],
])("a kit is read as it is typed: %j", (text, lines) => {
  const read = readContents(text);
  expect(read.ok && read.lines.map((l) => [l.name, l.count])).toEqual(lines);
  if (read.ok) expect(readContents(writeContents(read.lines))).toEqual(read);
});

test("a kit that cannot be read is refused in words", () => {
  expect(readContents("4 × clamp\nClamp")).toMatchObject({
    message: expect.stringContaining("stands in the list twice"),
  });
  expect(readContents("0 × clamp")).toMatchObject({ message: expect.stringContaining("cannot be read") });
  expect(readContents(" \n")).toMatchObject({ ok: false });
  expect(
    missingOf(
      [
        { name: "clamp", count: 4 },
        { name: "tape", count: 1 },
      ],
      [1],
    ),
  ).toEqual(["3 × clamp", "1 × tape"]);
});

const item = (more: object) =>
  ({
    id: "ply",
    name: "Plywood",
    form: "sheets",
    there: "5",
    low: "2",
    price: "6.8",
    supplier: "",
    ...more,
  }) as StockItem;
const part = (more: object) =>
  ({
    id: "p1",
    name: "Plywood",
    count: 2,
    cost: "3",
    source: "stock",
    supplier: "",
    stockItemId: null,
    gotOn: null,
    teamId: "a",
    team: "Alder",
    mass: null,
    ...more,
  }) as unknown as NeededPart;

test("stock is short when what the builds need leaves less than it is bought again at", () => {
  const parts = [part({}), part({ id: "p2", name: "plywood ", count: 2 }), part({ id: "p3", source: "bought" })];
  expect(stockLines([item({})], parts)[0]).toMatchObject({ needed: "4", remains: "1", short: true });
  expect(stockLines([item({})], [parts[0]!])[0]).toMatchObject({ remains: "3", short: false });
  expect(stockLines([item({ there: "2" })], [part({ gotOn: "2027-03-01" })])[0]).toMatchObject({ short: false });
  // What was chosen from the stock counts under whatever name it has.
  const chosen = [part({ name: "Side", stockItemId: "ply" }), part({ stockItemId: "other" })];
  expect(stockLines([item({})], chosen)[0]!.needed).toBe("2");
});

test("the shopping list: stock that runs low and what builds list, with what it comes to", () => {
  const bought = { source: "bought", name: "Hose", supplier: "Counter" };
  const parts = [
    part({ ...bought }),
    part({ ...bought, id: "p2", team: "Bramble", teamId: "b", count: 1 }),
    part({ ...bought, id: "p3", cost: null, name: "Valve" }),
    part({ ...bought, id: "p4", gotOn: "2027-03-01" }),
    part({ count: 4 }),
  ];
  const list = shoppingList(stockLines([item({})], parts), parts);
  expect(list.map((l) => [l.name, l.count, l.cost, l.why, l.partIds])).toEqual([
    ["Hose", "3", "9", "Alder 2, Bramble 1", ["p1", "p2"]],
    ["Valve", "2", null, "Alder 2", ["p3"]],
    ["Plywood", "1", "6.8", "stock: 1 remain when all builds have theirs, and 2 are to be there", []],
  ]);
  expect(listTotal(list)).toEqual({ total: "15.8", unknown: 1 });
});

test("a team's money: what it lists, what is here, what the limit leaves", () => {
  const parts = [part({ gotOn: "2027-03-01" }), part({ id: "p2", source: "donated" }), part({ id: "p3", cost: null })];
  expect(budgets(parts, "10", "fair")).toEqual([
    { teamId: "a", team: "Alder", listed: "12", got: "6", left: "-2", unknown: 1 },
  ]);
  expect(budgets(parts, "10", "zero")[0]).toMatchObject({ listed: "6", left: "4" });
  expect(budgets([part({ cost: null })], null, "fair")[0]).toMatchObject({ listed: null, got: null, left: null });
});

test("sizes of stock, and counts as people write them", () => {
  expect(readSize("600 × 400 mm", "sheets", "mm")).toEqual({ ok: true, length: "0.6", width: "0.4" });
  expect(readSize("8 ft", "bars", "in")).toEqual({ ok: true, length: "2.4384", width: null });
  expect(readSize("600", "sheets", "mm")).toMatchObject({ message: expect.stringContaining("is no size") });
  expect(readSize("", "bars", "in")).toMatchObject({ message: expect.stringContaining("2400 in") });
  expect(readSize("anything", "pieces", "mm")).toEqual({ ok: true, length: null, width: null });
  expect(["4.000", "-0.25", "1000"].map(countText)).toEqual(["4", "−0.25", "1000"]);
});
