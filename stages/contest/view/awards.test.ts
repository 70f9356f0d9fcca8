import { awardKind } from "@/core/vocabulary/contest";
import { type Awarded, awardsOf } from "./awards";

const standing = (name: string, place: number | null, counted: string | null) => ({
  name,
  place,
  first: place,
  sharing: 1,
  points: null,
  counted,
  shown: counted ?? "–",
});
const event = (id: string, definition: object, ...standings: object[]) => ({
  id,
  name: id,
  state: "confirmed",
  definition: { better: "more", unit: "L/min", ...definition },
  entries: [
    { team: "Alder", mass: null },
    { team: "Gully", mass: null },
  ],
  standings,
});
const lift = event("Lift", {}, standing("Gully", 1, "9"), standing("Alder", 2, "8"));
const awarded = (more: object = {}, contest: object = {}): Awarded =>
  ({
    contest: { events: [lift], races: [], judged: [], weights: new Map(), method: "places", ...contest },
    given: awardKind.values,
    massUnit: "kg",
    facts: {
      firsts: [
        { eventId: "Lift", team: "Alder", build: 1, value: "4" },
        { eventId: "Lift", team: "Gully", build: 1, value: "6" },
      ],
      notebooks: [
        { team: "Alder", members: 2, days: 10 },
        { team: "Gully", members: 3, days: 12 },
      ],
      ballot: { code: null, open: false, votes: [{ name: "Gully", votes: 3 }] },
      ...more,
    },
  }) as unknown as Awarded;
const titles = (of: Awarded) => awardsOf(of).map((a) => `${a.title}: ${a.teams.join(", ")}`);

test("awards of rankings of their own: who improved most, whose record is best, and whom the crowd likes", () => {
  expect(titles(awarded())).toEqual([
    "Champion: Gully",
    "Best in Lift: Gully",
    "Most improved: Alder",
    "Best record keeping: Alder",
    "Favourite of the crowd: Gully",
  ]);
  const improved = awardsOf(awarded()).find((a) => a.kind === "improved")!;
  expect([improved.says, improved.rows!.map((r) => r.name)]).toEqual(["2.00 times", ["Alder", "Gully"]]);
});

test("only the kinds that are wanted are given, and the crowd's only once its vote is closed", () => {
  expect(titles({ ...awarded(), given: ["records"] })).toEqual(["Best record keeping: Alder"]);
  expect(titles({ ...awarded({ ballot: { open: true, votes: [] } }), given: ["favourite"] })).toEqual([]);
  expect(titles({ ...awarded({ ballot: { open: false, votes: [] } }), given: ["favourite"] })).toEqual([]);
  expect(titles({ ...awarded({ ballot: null }), given: ["favourite"] })).toEqual([]);
});

test("an event with a target or with levels ranks no improvement; of several each has its own", () => {
  const fill = event("Fill", { target: "2" }, standing("Alder", 1, "0.01"));
  const drop = event("Drop", { levels: ["whole", "cracked"] }, standing("Alder", 1, "1"));
  const two = { ...awarded({}, { events: [lift, fill, drop] }), given: ["improved"] } as Awarded;
  expect(titles(two)).toEqual(["Most improved in Lift: Alder"]);
});

test("who is first judged has an award, once somebody has a mark", () => {
  const judged = {
    ...event("Design", {}, standing("Alder", 1, "80"), standing("Gully", null, null)),
    state: "running",
  };
  const of = (j: object) => ({ ...awarded({}, { judged: [j] }), given: ["judged", "champion"] }) as Awarded;
  expect(titles(of(judged))).toEqual(["Best judged in Design: Alder"]);
  expect(titles(of({ ...judged, standings: [standing("Alder", null, null)] }))).toEqual([]);
});
