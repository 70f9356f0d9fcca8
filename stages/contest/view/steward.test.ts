import { inspectionLeft, stewardView } from "./steward";

type Of = Parameters<typeof stewardView>[0];
const entry = (team: string, inspection = "passed", more: object = {}) => ({
  id: team,
  team,
  inspection,
  taken: 0,
  runOrder: null,
  seed: null,
  ...more,
});
const lift = (more: object = {}) => ({
  id: "lift",
  name: "Timed lift",
  state: "running",
  definition: { policy: { n: 3 } },
  entries: [entry("Alder"), entry("Gully"), entry("Weir", "waiting"), entry("Out", "turned away")],
  ...more,
});
const turn = (team: string, lane: number, at: string, attempt: number, made = false) => ({
  key: `${team} ${attempt}`,
  team,
  lane,
  at,
  attempt,
  made,
});
const of = (more: object): Of =>
  ({ events: [], judged: [], races: [], planned: [], safety: new Map(), twice: new Map(), ...more }) as unknown as Of;

test("by the programme: who is on and who is next in each lane, and how late it is", () => {
  const turns = [
    turn("Alder", 1, "9:00", 1, true),
    turn("Gully", 2, "9:00", 1),
    turn("Weir", 1, "9:06", 1),
    turn("Alder", 2, "9:06", 2),
    turn("Gully", 1, "9:12", 2),
    turn("Weir", 1, "9:30", 2),
  ];
  const planned = [
    { id: "lift", from: "9:00", until: "9:40", turns, lanes: [], late: "7 min behind: ends about 9:47" },
  ];
  const [seen] = stewardView(of({ events: [lift()], planned }));
  expect(seen!.late).toBe("7 min behind: ends about 9:47");
  expect(seen!.due.map((d) => [d.when, d.who, d.where])).toEqual([
    ["now", "Weir", "lane 1, 9:06, attempt 1"],
    ["next", "Gully", "lane 1, 9:12, attempt 2"],
    ["now", "Gully", "lane 2, 9:00, attempt 1"],
    ["next", "Alder", "lane 2, 9:06, attempt 2"],
  ]);
  expect(seen!.due[0]!.call).toBe("Weir: please come to Timed lift, lane 1");
});

test("without a programme: by the order; what is in the way is said in sentences", () => {
  const safety = {
    halt: { reason: "Wet floor" },
    copied: true,
    cautions: ["Dry"],
    check: null,
    officer: "Mara",
  };
  const [seen] = stewardView(
    of({ events: [lift()], safety: new Map([["lift", safety]]), twice: new Map([["lift", ["Alder", "Gully"]]]) }),
  );
  expect(seen!.due.map((d) => [d.when, d.who, d.call])).toEqual([
    ["now", "Alder", "Alder: please come to Timed lift"],
    ["next", "Gully", "Gully: please come to Timed lift"],
  ]);
  expect(seen!.hinders).toEqual([
    "Halted: Wet floor.",
    "Its rules were copied and are not ticked.",
    "Its cautions are not ticked today: Mara ticks them.",
    "Scored by two people, and to be chosen: Alder and Gully.",
  ]);
});

test("who is not inspected is said once for the day, and beside who is due", () => {
  const race = { ...lift({ entries: [entry("Weir", "waiting"), entry("Rill", "waiting")] }), id: "race" };
  const done = lift({ id: "done", state: "confirmed", entries: [entry("Late", "waiting")] });
  expect(inspectionLeft(of({ events: [lift(), done, race] }))).toEqual([
    "Not inspected: Rill and Weir.",
    "Turned away: Out.",
  ]);
  expect(inspectionLeft(of({ events: [done] }))).toEqual([]);
  const turns = ["Weir", "Alder"].map((team, i) => turn(team, 1, `9:0${i}`, 1));
  const planned = [{ id: "lift", from: "", until: "", turns, lanes: [], late: "" }];
  const [seen] = stewardView(of({ events: [lift()], planned }));
  expect(seen!.due.map((d) => [d.who, d.waits])).toEqual([
    ["Weir", true],
    ["Alder", false],
  ]);
});

test("a judged event asks for no inspection; what is confirmed asks for nobody", () => {
  const judged = { id: "d", name: "Design", state: "running", entries: [entry("Weir", "waiting")], sheets: [] };
  const [done, design] = stewardView(of({ events: [lift({ state: "confirmed" })], judged: [judged] }));
  expect(done).toMatchObject({ due: [], hinders: [], late: "" });
  expect(design).toMatchObject({ due: [{ who: "Weir", waits: false }], hinders: [] });
});
