import fc from "fast-check";
import {
  agreement,
  groupsWhenMarked,
  type JudgedRules,
  type JudgeSheet,
  judgedStandings,
  sheetMark,
  trimmedMean,
} from "./judged";

const rules: JudgedRules = {
  criteria: [
    { key: "use", name: "Use", weight: "3" },
    { key: "work", name: "Workmanship", weight: "1" },
  ],
  most: 10,
  method: "mean",
  tie: "shared",
  full: "",
  placePoints: [],
};
const one: JudgedRules = { ...rules, criteria: [{ key: "m", name: "Whole", weight: "1" }] };
const entries = (...ids: string[]) => ids.map((id) => ({ id, name: id, out: false }));
const sheet = (entry: string, judge: string, m: number): JudgeSheet => ({ entry, judge, marks: { m } });
// Team, rater, score: raw C 8.75, A and B 7.5; adjusted A 8.21, C 8.08, B 7.46, E 7.21, D 6.46.
const crossed = (
  [
    ["A", "J1", 7],
    ["A", "J2", 8],
    ["B", "J1", 6],
    ["B", "J3", 9],
    ["C", "J2", 8],
    ["C", "J3", 9.5],
    ["D", "J1", 5],
    ["D", "J2", 6.5],
    ["E", "J3", 8.5],
    ["E", "J1", 6],
  ] as const
).map(([e, j, m]) => sheet(e, j, m));
const table = (r: JudgedRules, sheets: readonly JudgeSheet[], of = entries("A", "B", "C", "D", "E")) =>
  judgedStandings(r, of, sheets).map((s) => [s.name, s.place, s.shown]);

describe("a judged event", () => {
  test("by the plain mean, with a shared place; a severe judge changes the order, and both are shown", () => {
    expect(table(one, crossed)).toEqual([
      ["C", 1, "87.50"],
      ["A", 2, "75.00"],
      ["B", 2, "75.00"],
      ["E", 4, "72.50"],
      ["D", 5, "57.50"],
    ]);
    expect(table({ ...one, method: "adjusted" }, crossed)).toEqual([
      ["A", 1, "82.08"],
      ["C", 2, "80.83"],
      ["B", 3, "74.58"],
      ["E", 4, "72.08"],
      ["D", 5, "64.58"],
    ]);
    const [first] = judgedStandings(one, entries("A", "B", "C", "D", "E"), crossed);
    expect([first!.raw, Number(first!.adjusted).toFixed(2), first!.sheets]).toEqual(["87.5", "80.83", 2]);
  });
  test("leaves the highest and the lowest of three out, and none of two", () => {
    const sheets = [
      sheet("A", "J1", 10),
      sheet("A", "J2", 6),
      sheet("A", "J3", 5),
      sheet("B", "J1", 7),
      sheet("B", "J2", 6),
    ];
    const trimmed = { ...one, method: "trimmed" as const };
    expect(table(trimmed, sheets, entries("A", "B"))).toEqual([
      ["B", 1, "65.00"],
      ["A", 2, "60.00"],
    ]);
    const [b, a] = judgedStandings(trimmed, entries("A", "B"), sheets);
    expect(a!.working.steps).toEqual([
      expect.stringContaining("J1: "),
      expect.stringContaining("J2: "),
      expect.stringContaining("J3: "),
      "Left out: 100.00, of J1",
      "Left out: 50.00, of J3",
      "(60) ÷ 1 = 60.00",
    ]);
    expect([a!.working.warnings, b!.working.warnings]).toEqual([[], ["Fewer than three sheets: none is left out."]]);
  });
  test("weighs criteria, and the heaviest breaks a tie where it is to", () => {
    const sheets = [
      { entry: "A", judge: "J1", marks: { use: 5, work: 9 } },
      { entry: "B", judge: "J1", marks: { use: 6, work: 6 } },
    ];
    expect(sheets.map((s) => sheetMark(rules, s.marks))).toEqual(["60", "60"]);
    expect(table(rules, sheets, entries("A", "B")).map((r) => r[1])).toEqual([1, 1]);
    const broken = judgedStandings({ ...rules, tie: "heaviest" }, entries("A", "B"), sheets);
    expect(broken.map((s) => [s.name, s.place, s.decidedBy])).toEqual([
      ["B", 1, "Use"],
      ["A", 2, "Use"],
    ]);
    expect(broken[0]!.working.steps[0]).toBe("J1: (3 × 6 + 1 × 6) × 100 ÷ (4 × 10) = 60.00");
  });
  test("gives nobody an adjusted place while no judge connects the teams, and says so", () => {
    const sheets = [sheet("A", "J1", 7), sheet("B", "J2", 5)];
    const split = judgedStandings({ ...one, method: "adjusted" }, entries("A", "B"), sheets);
    expect(split.map((s) => [s.place, s.adjusted, s.raw])).toEqual([
      [null, null, "70"],
      [null, null, "50"],
    ]);
    expect(split[0]!.working.warnings[0]).toContain("No judge connects all teams");
    expect(table(one, sheets, entries("A", "B")).map((r) => r[1])).toEqual([1, 2]);
  });
  test("earns by the mark or by shared places; who is out or not marked has nothing", () => {
    const of = [...entries("A", "B"), { id: "C", name: "C", out: true }, { id: "D", name: "D", out: false }];
    const sheets = [sheet("A", "J1", 7), sheet("B", "J1", 7), sheet("C", "J1", 9)];
    const points = (r: JudgedRules) => judgedStandings(r, of, sheets).map((s) => [s.name, s.place, s.points]);
    expect(points({ ...one, full: "40" })).toEqual([
      ["A", 1, "28"],
      ["B", 1, "28"],
      ["C", null, null],
      ["D", null, null],
    ]);
    expect(points({ ...one, full: "40", placePoints: ["10", "6"] })[0]).toEqual(["A", 1, "8"]);
    expect(points(one)[0]).toEqual(["A", 1, null]);
  });
  test("is the same whatever the order of the sheets, and better marks never hurt", () => {
    const marks = fc.array(fc.integer({ min: 0, max: 10 }), { minLength: 12, maxLength: 12 });
    const method = fc.constantFrom("mean" as const, "adjusted" as const, "trimmed" as const);
    fc.assert(
      fc.property(marks, method, fc.integer({ min: 0, max: 11 }), (m, how, at) => {
        const all = m.map((x, i) => sheet("ABCD"[Math.floor(i / 3)]!, `J${i % 3}`, x));
        const of = entries("A", "B", "C", "D");
        const r = { ...one, method: how };
        expect(judgedStandings(r, of, all.toReversed()).map((s) => [s.name, s.place])).toEqual(
          judgedStandings(r, of, all).map((s) => [s.name, s.place]),
        );
        const better = all.map((s, i) => (i === at ? sheet(s.entry, s.judge, 10) : s));
        const own = (sheets: JudgeSheet[]) =>
          Number(judgedStandings(r, of, sheets).find((s) => s.id === all[at]!.entry)!.counted);
        expect(own(better)).toBeGreaterThanOrEqual(own(all) - 1e-9);
      }),
      { numRuns: 60 },
    );
  });
});

test("trimmed: with four, two are left; with ties one of each end goes", () => {
  expect(trimmedMean(["50", "50", "90", "90"]).mean).toBe("70");
  expect(trimmedMean(["50", "50", "50"]).mean).toBe("50");
});

describe("how judges agree", () => {
  test("W is of those who marked everybody, severity is of all, and a sheet that stands out is named", () => {
    const found = agreement(one, [...crossed, sheet("B", "J2", 7), sheet("E", "J2", 7)]);
    expect([found.judges, found.w === null]).toEqual([1, true]);
    const all = ["A", "B", "C", "D"].flatMap((e, i) => [
      sheet(e, "J1", i + 2),
      sheet(e, "J2", i + 4),
      sheet(e, "J3", i + 3),
    ]);
    expect(agreement(one, all)).toMatchObject({
      w: 1,
      judges: 3,
      odd: [],
      severity: [
        { judge: "J1", sheets: 4, by: -10 },
        { judge: "J2", by: 10 },
        { judge: "J3", by: 0 },
      ],
    });
    const eight = [..."ABCDEFGH"].flatMap((e, i) =>
      ["J1", "J2", "J3"].map((j) => sheet(e, j, i + (j === "J2" ? 2 : 1))),
    );
    const odd = eight.map((s) => (s.entry === "A" && s.judge === "J1" ? sheet("A", "J1", 10) : s));
    expect(agreement(one, odd).odd.map((o) => [o.judge, o.entry, o.by > 0])).toEqual([["J1", "A", true]]);
    expect(agreement(one, [])).toMatchObject({ w: null, judges: 0, severity: [], groups: [] });
  });
  test("who steps back may leave teams unconnected, or unmarked", () => {
    const back = (entry: string, judge: string) => ({ entry, judge });
    expect(groupsWhenMarked(["a", "b"], ["J1", "J2"], [back("b", "J1")])).toEqual([["a", "b"]]);
    expect(groupsWhenMarked(["a", "b"], ["J1"], [back("b", "J1")])).toEqual([["a"]]);
    expect(groupsWhenMarked(["a"], [], [])).toEqual([]);
  });
});
