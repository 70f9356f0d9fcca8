import { awardKind } from "@/core/vocabulary/contest";
import type { ContestEvent } from "../queries/events";
import type { MatchEvent } from "../queries/matches";
import { type Awarded, awardsOf as awardsBy, besides } from "./awards";
import { type Contest, overallView, withoutOpenMarks } from "./overall";

const entry = (team: string, mass: string | null) => ({ id: team, team, mass });
const lift = {
  id: "lift",
  state: "confirmed",
  name: "Timed lift",
  definition: { better: "more", unit: "L/min" },
  entries: [entry("Alder", "4.4"), entry("Gully", "5.6"), entry("Weir", "3.9")],
  standings: [
    { name: "Gully", place: 1, first: 1, sharing: 1, points: "100", counted: "9.4", shown: "9.4" },
    { name: "Alder", place: 2, first: 2, sharing: 1, points: "90", counted: "8.8", shown: "8.8" },
    { name: "Weir", place: null, first: null, sharing: 1, points: null, counted: null, shown: "–" },
  ],
} as unknown as ContestEvent;
const place = (name: string, at: number | null, sharing = 1) => ({ name, place: at, sharing });
const race = (...standings: object[]) =>
  ({
    id: "race",
    state: standings.length === 3 ? "confirmed" : "running",
    name: "Tank race",
    rules: { placePoints: ["40", "20", "10"] },
    entries: lift.entries,
    standings,
  }) as unknown as MatchEvent;
const contest = (more: Partial<Contest> = {}): Contest => ({
  events: [lift],
  races: [race(place("Alder", 1), place("Gully", 2, 2), place("Weir", 2, 2))],
  judged: [],
  weights: new Map([
    ["lift", "1"],
    ["race", "1"],
  ]),
  method: "points",
  ...more,
});

const awardsOf = (of: Contest, massUnit: string, more: Partial<Awarded> = {}) =>
  awardsBy({
    contest: of,
    massUnit,
    given: awardKind.values,
    facts: { firsts: [], notebooks: [], ballot: null },
    ...more,
  });

test("points of both kinds of event add up, shared places share theirs, and a weight of 0 leaves an event out", () => {
  const view = overallView(contest());
  expect(view.rows.map((r) => [r.team, r.place, r.shown, r.parts])).toEqual([
    ["Alder", 1, "130.00", ["90.00", "40.00"]],
    ["Gully", 2, "115.00", ["100.00", "15.00"]],
    ["Weir", 3, "15.00", ["0.00", "15.00"]],
  ]);
  expect(view.open).toEqual([]);
  expect(overallView(contest({ method: "ratio" })).first).toEqual(["Alder"]);
  const heavy = overallView(
    contest({
      weights: new Map([
        ["lift", "1"],
        ["race", "0"],
      ]),
    }),
  );
  expect([heavy.first, heavy.counted.map((e) => e.name), heavy.otherwise]).toEqual([["Gully"], ["Timed lift"], []]);
});

test("until every event that counts is confirmed there is no champion; before any place nobody is first", () => {
  const open = contest({ races: [race(place("Alder", null), place("Gully", null))] });
  expect(overallView(open).open).toEqual(["Tank race"]);
  expect(awardsOf(open, "kg").map((a) => a.title)).toEqual(["Best in Timed lift", "Lightest that finished"]);
  const fresh = overallView(contest({ events: [], races: [race(place("Alder", null))] }));
  expect([fresh.begun, fresh.first, fresh.otherwise, fresh.rows[0]!.place]).toEqual([false, [], [], null]);
  expect(overallView(contest({ events: [], races: [] })).rows).toEqual([]);
});

test("awards: the champion, the best of each event, the lightest that finished; and who is not the champion", () => {
  const awards = awardsOf(contest(), "kg");
  expect(awards).toEqual([
    { kind: "champion", title: "Champion", teams: ["Alder"], says: "first overall" },
    { kind: "best", title: "Best in Timed lift", teams: ["Gully"], says: "9.4 L/min" },
    { kind: "race", title: "Winner of Tank race", teams: ["Alder"], says: "" },
    { kind: "lightest", title: "Lightest that finished", teams: ["Alder"], says: "4.40 kg" },
  ]);
  expect(besides(awards)).toEqual(["Gully: not the champion, and yet the best in Timed lift (9.4 L/min)."]);
  expect(besides(awards.slice(1))).toEqual([]);
});

test("judges' marks are kept back until they are confirmed, also in the overall ranking", () => {
  const design = { ...lift, id: "design", name: "Design", state: "running", rules: {} } as never;
  const of = (state: string) =>
    overallView(withoutOpenMarks(contest({ judged: [{ ...(design as object), state } as never] }))).rows.map(
      (r) => r.parts[1],
    );
  expect(of("running")).toEqual(["0.00", "0.00", "0.00"]);
  expect(of("confirmed")).toContain("100.00");
});
