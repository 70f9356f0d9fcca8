// What stands beside a grade's arithmetic, what a rule can measure, and grades as they are published.
import { definition } from "@/stages/testing/definition";
import { explainedOf } from "./explained";
import { ledgerOf } from "./ledger";
import { measuresOf } from "./measures";

const student = { id: "ada", name: "Ada", section: "3", team: "Alder", teamId: "alder" } as never;
const levels = [
  { points: "0", descriptor: "no" },
  { points: "2", descriptor: "partly" },
  { points: "4", descriptor: "" },
];
const review = {
  title: "Final review",
  teamId: "alder",
  definition: {
    criteria: [
      { key: "fit", name: "Fit", weight: "1", levels },
      { key: "own", name: "Own part", weight: "1", levels, individual: true },
    ],
  },
  sheets: [
    {
      rater: "R. Osei",
      comment: "Well told.",
      marks: [{ criterion: "fit", points: "2", comment: "the lid is loose" }],
    },
    { rater: "Mara", comment: "", marks: [{ criterion: "fit", points: "2", comment: "" }] },
  ],
};
const component = (source: object) => ({ key: "c", name: "C", weight: "1", source }) as never;

test("a student reads what reviewers said, without their names, and what the next level would have added", () => {
  const w = { reviews: [review] } as never;
  const told = explainedOf(component({ kind: "rubric", review: "Final review" }), student, w, undefined);
  expect(told.comments).toEqual(["Fit: the lid is loose", "Well told."]);
  expect(JSON.stringify(told)).not.toContain("Osei");
  expect(told.next.length).toBe(1);
  expect(told.next[0]).toMatch(/^Fit: 2 given, 4 would have added \d/);
  const none = explainedOf(component({ kind: "rubric", review: "Another" }), student, w, undefined);
  expect(none).toEqual({ comments: [], next: [] });
});

test("points say the next step of their rule, once something was measured", () => {
  const rule = {
    kind: "bands",
    better: "more",
    bands: [
      { at: "9", points: "100" },
      { at: "7", points: "80" },
    ],
    otherwise: "0",
  };
  const c = component({ kind: "points", rule });
  const scored = { state: "scored", measured: { value: "7.5", unit: "L/min" } } as never;
  expect(explainedOf(c, student, { reviews: [] } as never, scored).next.join()).toMatch(/9/);
  expect(explainedOf(c, student, { reviews: [] } as never, { state: "waits" } as never).next).toEqual([]);
  expect(explainedOf(component({ kind: "entered" }), student, { reviews: [] } as never, undefined).next).toEqual([]);
});

test("a rule can measure every value of a protocol, an event's result, and what a build weighs and costs", () => {
  const labels = (events: { id: string; name: string }[]) =>
    measuresOf([{ id: "lift" as never, name: "Timed lift", definition }], events).map((m) => m.label);
  const bench = labels([]);
  expect(bench.filter((l) => l.startsWith("Timed lift: Flow")).length).toBeGreaterThan(1);
  expect(bench.slice(-2)).toEqual([
    "Mass of the newest build that is no mock-up",
    "Cost of the newest build that is no mock-up",
  ]);
  expect(bench.some((l) => l.startsWith("Contest"))).toBe(false);
  expect(labels([{ id: "race", name: "Water race" }])).toEqual(
    expect.arrayContaining(["Water race: result", "Contest: place in the whole"]),
  );
  const values = measuresOf([{ id: "lift" as never, name: "Timed lift", definition }], []).map((m) => m.value);
  expect(new Set(values).size).toBe(values.length);
});

test("a published line has the grade, its components with reasons, and who shared in the peers' rating", () => {
  const row = {
    student,
    grade: {
      value: {
        grade: "87.5",
        letter: "B",
        parts: [{ key: "n", name: "Notebook", overridden: "70", note: "x", share: 1 }],
      },
      working: { title: "w" },
    },
    marks: { n: { reason: "was ill" } },
    facts: { n: 1 },
    peer: { factor: "1.05" },
    explained: { n: { comments: ["tidy"], next: [] } },
  } as never;
  const teams = new Map([["alder", [{ id: "ada" }, { id: "ben" }]]]) as never;
  const [line] = ledgerOf([row], { round: "r1", teams });
  expect(line).toEqual({
    personId: "ada",
    name: "Ada",
    section: "3",
    team: "Alder",
    grade: "87.5",
    letter: "B",
    working: { title: "w" },
    components: [{ key: "n", name: "Notebook", computed: "70", reason: "was ill", comments: ["tidy"], next: [] }],
    facts: { n: 1 },
    peers: { round: "r1", factor: "1.05", members: ["ada", "ben"] },
  });
  expect(ledgerOf([row], { teams })[0]!.peers).toBeNull();
  // Who has no team is alone in it.
  const alone = ledgerOf([row], { round: "r1", teams: new Map() })[0]!.peers;
  expect(alone).toMatchObject({ members: ["ada"] });
});
