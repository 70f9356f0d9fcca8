import { awardKind } from "@/core/vocabulary/contest";
import type { ContestEvent } from "../queries/events";
import type { MatchEvent } from "../queries/matches";
import { type BoardFace, type BoardSetting, type BoardSource, boardState } from "./board-face";
import { upNext } from "./up-next";

const entry = (team: string, runOrder: number, taken = 0, inspection = "passed") => ({
  id: team,
  team,
  mass: "4.4",
  runOrder,
  taken,
  inspection,
});
const standing = (name: string, place: number | null, shown: string, more: object = {}) => ({
  id: name,
  name,
  place,
  first: place,
  sharing: 1,
  shared: false,
  counted: shown,
  shown,
  points: "90.04",
  attempts: [{ text: shown, counts: true }],
  ...more,
});
const lift = (more: Partial<ContestEvent> = {}) =>
  ({
    id: "lift",
    name: "Timed lift",
    state: "running",
    definition: { better: "more", unit: "L/min", resolution: "0.1", points: {}, policy: { school: "best", n: 3 } },
    entries: [entry("Alder", 2, 1), entry("Gully", 1), entry("Weir", 3), entry("Out", 4, 0, "turned away")],
    standings: [standing("Alder", 1, "8.9"), standing("Gully", null, "–", { points: null, attempts: [] })],
    orderSeed: "77",
    ...more,
  }) as unknown as ContestEvent;
const board = (more: Partial<BoardSetting>): BoardSetting => ({
  id: "hall",
  name: "Hall",
  shows: "running",
  eventId: null,
  revealed: 0,
  words: "",
  light: false,
  version: 1,
  ...more,
});
const source = (more: Partial<BoardSource> = {}, event = lift(), races: MatchEvent[] = []): BoardSource => ({
  title: "Terrace Pump contest",
  contest: { events: [event], races, judged: [], weights: new Map(), method: "points" },
  massUnit: "kg",
  given: awardKind.values,
  facts: { firsts: [], notebooks: [], ballot: null },
  halts: new Map(),
  call: "",
  boards: [],
  names: [],
  ...more,
});
const words = (s: ReturnType<typeof boardState>) => s.says.map((x) => (x.strong ? `*${x.text}*` : x.text)).join("");
const on = (setting: Partial<BoardSetting>, ...of: Parameters<typeof source>) => {
  const [more, ...rest] = of;
  return boardState(source({ ...more, boards: [board(setting)] }, ...rest), { board: "hall" });
};

test("who has had fewest attempts is next, in run order; who is not inspected is not named", () => {
  expect(upNext(lift())).toEqual(["Gully", "Weir", "Alder"]);
});

test("standings: what counts, who is next, the rule of ties and the seed in a line", () => {
  const s = boardState(source(), {});
  expect(words(s)).toBe("Timed lift · attempt 2 of 9 · next: *Gully*, then Weir");
  expect([s.seed, s.foot, s.halt]).toEqual(["run order drawn with seed 77", "The rig reads to 0.1 L/min.", ""]);
  expect(s.face).toMatchObject({
    kind: "attempts",
    counts: "best of 3",
    points: true,
    rows: [
      {
        place: "1",
        name: "Alder",
        on: false,
        points: "90.0",
        attempts: ["8.9", "–", "–"],
        counted: [0],
      },
      { place: "–", name: "Gully", on: true, points: "–" },
    ],
  });
});

test("those who tie are named, and a final result says that it is", () => {
  const tie = { shared: true, sharing: 2 };
  const standings = [standing("Alder", 1.5, "8.9", tie), standing("Gully", 1.5, "8.9", tie)];
  const s = boardState(source({}, lift({ standings: standings as never, state: "confirmed" })), {});
  expect(words(s)).toBe("Timed lift · final result");
  expect(s.foot).toBe("Alder and Gully tie at 8.9: the rig reads to 0.1 L/min.");
  expect(s.face).toMatchObject({ rows: [{ place: "1½" }, { place: "1½" }] });
});

test("the order: now, next, in the hole, and whoever comes then", () => {
  const s = on({ shows: "order", eventId: "lift" });
  expect(s.face).toEqual({
    kind: "order",
    on: [
      { when: "Now", who: "Gully" },
      { when: "Next", who: "Weir" },
      { when: "In the hole", who: "Alder" },
    ],
  });
  expect(words(on({ shows: "order" }, {}, lift({ state: "confirmed" })))).toBe("Timed lift · everybody is through");
});

test("every board of the hall says what is halted, its own event first and the others by name", () => {
  const names = [
    { id: "lift", name: "Timed lift", format: "attempts" as const },
    { id: "race", name: "Tank race", format: "double" as const },
  ];
  const halts = new Map([
    ["race", "A hose burst"],
    ["lift", "Wet floor"],
  ]);
  expect(boardState(source({ names, halts }), {}).halt).toBe("Wet floor; Tank race (A hose burst)");
  expect(boardState(source({ names }), {}).halt).toBe("");
});

test("awards are revealed from the last to the first, and what is not revealed is not sent", () => {
  const done = lift({ state: "confirmed" });
  const of = (revealed: number) =>
    on({ shows: "awards", revealed }, {}, done).face as Extract<BoardFace, { kind: "awards" }>;
  expect(of(0)).toMatchObject({ left: 3, awards: [] });
  expect(of(1).awards.map((a) => a.title)).toEqual(["Lightest that finished"]);
  expect(JSON.stringify(of(1))).not.toContain("Champion");
  expect(of(9).awards.map((a) => a.title)).toEqual(["Lightest that finished", "Best in Timed lift", "Champion"]);
});

test("overall, a pause, and a contest without an event", () => {
  expect(on({ shows: "overall" }).face).toMatchObject({
    kind: "table",
    heads: ["Place", "Team", "Timed lift", "Together"],
  });
  expect(on({ shows: "pause" }).face).toEqual({ kind: "pause", words: "We go on in a moment." });
  expect(on({ shows: "pause", words: "At 14:10", light: true })).toMatchObject({
    light: true,
    face: { words: "At 14:10" },
  });
  const none = { contest: { events: [], races: [], judged: [], weights: new Map(), method: "points" as const } };
  expect(boardState(source(none), {}).face).toEqual({ kind: "empty" });
});

test("a board that is gone shows what runs; an event that was asked for is shown", () => {
  const other = lift({ id: "fill" as never, name: "Exact fill" as never, state: "set up" });
  const both = source({
    contest: { events: [lift(), other], races: [], judged: [], weights: new Map(), method: "points" },
  });
  expect([words(boardState(both, { board: "gone" })), words(boardState(both, { event: "fill" }))]).toEqual([
    expect.stringContaining("Timed lift"),
    expect.stringContaining("Exact fill"),
  ]);
});

test("the crowd's vote: where it is and how many have voted, and for whom nowhere", () => {
  const facts = (open: boolean) => ({
    firsts: [],
    notebooks: [],
    ballot: { id: "b", version: 1, code: "ABC234", open, votes: [{ name: "Weir", votes: 7 }] },
  });
  const s = on({ shows: "vote" }, { facts: facts(true) });
  expect(s.face).toEqual({ kind: "vote", code: "ABC234", votes: 7 });
  expect(JSON.stringify(s)).not.toContain("Weir");
  expect(on({ shows: "vote" }, { facts: facts(false) }).face).toEqual({
    kind: "pause",
    words: "The vote is closed. 7 votes.",
  });
});
