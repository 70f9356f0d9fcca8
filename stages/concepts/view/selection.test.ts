import type { Actor } from "@/core/access/can";
import type { Selection } from "../queries/selection";
import { mayRate, outcomeOf } from "./selection";

const concepts = ["Piston", "Bellows", "Screw"].map((title) => ({ id: title.toLowerCase(), title }));
const criteria = [
  { key: "cost", name: "Cost", weight: 1 },
  { key: "mass", name: "Mass", weight: 3 },
];
const selection = (school: Selection["school"], sheets: [string, object][], more: object = {}) =>
  ({
    school,
    concepts,
    sheets: sheets.map(([raterName, marks]) => ({ raterName, marks })),
    definition: { criteria, top: 5, keep: 2, votes: 2, datum: null, severity: "raw", ...more },
  }) as unknown as Selection;
const rows = (x: Selection) => outcomeOf(x).rows.map((r) => [r.title, r.shown]);

test("a choice counts each rater's concepts, with the reasons beside them", () => {
  const x = selection("client", [
    ["Odile", { chosen: ["screw", "piston"], reasons: { screw: "nothing to mend" } }],
    ["Emil", { chosen: ["screw"], reasons: { screw: "quiet" } }],
    ["Nobody", {}],
  ]);
  expect(rows(x)).toEqual([
    ["Screw", "2"],
    ["Piston", "1"],
    ["Bellows", "0"],
  ]);
  expect(outcomeOf(x).rows[0]!.note).toBe("Odile: nothing to mend · Emil: quiet");
  expect(outcomeOf(x).rows[0]!.working.steps).toEqual(["2 of 3 raters"]);
});

describe("against a datum", () => {
  const datum = { datum: "bellows" };
  test("several raters' mark is what most give; a tie is the same", () => {
    const x = selection(
      "datum",
      [
        ["a", { piston: { cost: "+", mass: "+" }, screw: { cost: "−", mass: "+" } }],
        ["b", { piston: { cost: "+", mass: "−" }, screw: { cost: "−", mass: "0" } }],
        ["c", { piston: { cost: "−", mass: "0" }, screw: { cost: "+", mass: "0" } }],
      ],
      datum,
    );
    const notes = Object.fromEntries(outcomeOf(x).rows.map((r) => [r.title, r.note]));
    expect(notes.Piston).toBe("1 better, 1 same, 0 worse");
    expect(notes.Screw).toBe("0 better, 1 same, 1 worse");
  });
  test("what nobody marked is said", () => {
    const [first] = outcomeOf(selection("datum", [["a", { piston: { cost: "+" } }]], datum)).rows;
    expect([first!.title, first!.shown, first!.note]).toEqual([
      "Piston",
      "+1",
      "1 better, 0 same, 0 worse, 1 not marked",
    ]);
  });
});

describe("a panel", () => {
  const sheet = (p: number, b: number, s: number) => ({
    piston: { cost: p, mass: p },
    bellows: { cost: b, mass: b },
    screw: { cost: s, mass: s },
  });
  test("one rater's totals are weighted; what is not scored in full comes last", () => {
    const x = selection("panel", [
      ["Ruta", { piston: { cost: 5, mass: 1 }, bellows: { cost: 1, mass: 5 }, screw: { cost: 5 } }],
    ]);
    expect(rows(x)).toEqual([
      ["Bellows", "4.00"],
      ["Piston", "2.00"],
      ["Screw", "–"],
    ]);
    expect([outcomeOf(x).agreement, outcomeOf(x).raters]).toEqual([null, null]);
  });
  test("a severe rater who saw other concepts is adjusted for, when the selection says so", () => {
    const two: [string, object][] = [
      ["Mild", { piston: { cost: 5, mass: 5 }, bellows: { cost: 4, mass: 4 } }],
      ["Severe", { bellows: { cost: 2, mass: 2 }, screw: { cost: 3, mass: 3 } }],
    ];
    const adjusted = outcomeOf(selection("panel", two, { severity: "adjusted" }));
    const raw = outcomeOf(selection("panel", two));
    const at = (o: typeof raw, title: string) => o.rows.find((r) => r.title === title)!.value!;
    expect([at(raw, "Screw"), at(raw, "Bellows")]).toEqual([3, 3]);
    expect(at(adjusted, "Screw")).toBeGreaterThan(at(adjusted, "Bellows"));
    expect(adjusted.rows.find((r) => r.title === "Screw")!.note).toMatch(/^raw 3\.00, adjusted \d\.\d\d, 1 raters$/);
  });
  test("raters whom nobody connects cannot be compared, and that is said by name", () => {
    const x = selection("panel", [
      ["a", { piston: { cost: 5, mass: 5 } }],
      ["b", { screw: { cost: 2, mass: 2 } }],
    ]);
    expect(outcomeOf(x).warnings).toEqual(["No rater connects Piston with Screw: their scores cannot be compared."]);
  });
  test("raters who agree in order agree wholly", () => {
    const o = outcomeOf(
      selection("panel", [
        ["a", sheet(5, 3, 1)],
        ["b", sheet(4, 3, 2)],
      ]),
    );
    expect(o.agreement).toBe(1);
    expect(o.fragility!.options.map((k) => k.name)).toEqual(["Piston", "Bellows", "Screw"]);
  });
});

test("who rates: the client alone, a class by votes, all but students a panel", () => {
  const person = (role: string) => ({ kind: "person", projects: { p: { role } } }) as unknown as Actor;
  const guest = (role: string) => ({ kind: "guest", role }) as unknown as Actor;
  const may = (school: Selection["school"]) =>
    [
      person("owner"),
      person("student"),
      guest("client"),
      guest("reviewer"),
      guest("judge"),
      { kind: "nobody" } as Actor,
    ].map((a) => mayRate(school, a, "p"));
  expect([may("client"), may("vote"), may("panel"), may("datum")]).toEqual([
    [true, false, true, false, false, false],
    [true, true, false, false, false, false],
    [true, false, true, true, false, false],
    [true, false, true, true, false, false],
  ]);
  expect(mayRate("vote", person("student"), "another")).toBe(false);
});
