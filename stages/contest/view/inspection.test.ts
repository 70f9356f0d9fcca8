import { unitsOf } from "@/core/quantity/systems";
import { aRequirement } from "@/stages/testing/rows";
import { asRecorded, checkAll, checkLine, inspectionLines } from "./inspection";
import { chosenBuild, entered, nextToInspect } from "./inspection-list";

const register = [
  aRequirement("R-05", { statement: "No mains power", method: "inspection", comparator: "yes" }),
  aRequirement("R-01", { measure: "mass", comparator: "≤", target: "5", unit: "kg" }),
  aRequirement("R-02", { measure: "envelope", comparator: "fits", sides: ["0.6", "0.4", "0.4"], unit: "mm" }),
  aRequirement("R-03", { measure: "cost", comparator: "≤", target: "45", unit: "1" }),
  aRequirement("R-04", { measure: "run:lift:Q", comparator: "≥", target: "1", unit: "L/min" }),
  aRequirement("R-06", { statement: "Quiet", method: "test" }),
  aRequirement("R-07", { measure: "mass", comparator: "≥", target: "1", unit: "kg", priority: "could" }),
];
const build = {
  mass: "4.62",
  cost: "38.4",
  sides: ["0.59", "0.38", "0.395"],
  parts: [
    { name: "PVC elbow 32 mm", count: 6 },
    { name: "pvc elbow 25 mm", count: 3 },
    { name: "Hose", count: 1 },
  ],
};
const allowed = [
  { id: "a1", name: "PVC elbow", most: 8 },
  { id: "a2", name: "Battery", most: 0 },
];
const lines = inspectionLines(register, allowed, build, "EUR", unitsOf("metric"));
const of = (code: string) => lines.find((l) => l.code === code)!;

test("limits on the build come first, then what is looked at, then what is allowed by count", () => {
  expect(lines.map((l) => [l.code || l.key, l.label, l.reads, l.asks, l.declared])).toEqual([
    ["R-01", "mass", "value", "≤ 5 kg", "4.62 kg"],
    ["R-02", "size", "sides", "600 × 400 × 400 mm", "590 × 380 × 395 mm"],
    ["R-03", "cost", "value", "≤ 45 EUR", "38.40"],
    ["R-07", "mass", "value", "≥ 1 kg", "4.62 kg"],
    ["R-05", "No mains power", "word", "", ""],
    ["allowed a1", "PVC elbow", "value", "at most 8", "9"],
    ["allowed a2", "Battery", "value", "none", "0"],
  ]);
  expect(inspectionLines([], allowed, { ...build, parts: [] }, "", unitsOf("metric"))[0]!.declared).toBe("");
});

test.each([
  ["R-01", "4620 g", "met", "0.38 kg to spare"],
  ["R-01", "5 kg", "met", "0 kg to spare"],
  ["R-01", "5.31", "not met", "0.31 kg over"],
  ["R-07", "0.8", "not met", "0.2 kg short"],
  ["R-02", "395 x 590 x 380", "met", "5 mm to spare"],
  ["R-02", "590 × 401 × 300 mm", "not met", "1 mm over"],
  ["R-03", "38.40", "met", "6.60 EUR to spare"],
  ["R-05", "not met", "not met", ""],
  ["R-01", "not applicable", "not applicable", ""],
  ["R-01", "", "untested", ""],
])("%s: %s is %s", (code, typed, verdict, margin) => {
  expect(checkLine(of(code), typed)).toMatchObject({ verdict, margin, typed });
});

test.each([
  ["R-01", "heavy", /kg/],
  ["R-01", "-1 kg", /below zero/],
  ["R-01", "met", /kg/],
  ["R-02", "590 × 380", /three sides/],
  ["R-05", "perhaps", /Say met, not met, not applicable/],
])("%s: %s is not understood, and what would be right is said", (code, typed, says) => {
  expect(checkLine(of(code), typed)).toEqual({ wrong: expect.stringMatching(says) });
});

test("what is over, what is missing and what is wrong is told apart; what is no must holds nobody up", () => {
  const typed = { [of("R-01").key]: "5.2", [of("R-03").key]: "x", "allowed a1": "9", [of("R-07").key]: "0.1" };
  expect(checkAll(lines, typed)).toMatchObject({
    over: ["mass (R-01)", "PVC elbow"],
    missing: ["size (R-02)", "No mains power (R-05)", "Battery"],
    wrong: { [of("R-03").key]: expect.any(String) },
  });
});

test("as recorded: what the team declared, what is looked at in order, and parts that nobody listed as allowed", () => {
  expect(asRecorded(lines)).toEqual({
    typed: expect.objectContaining({ [of("R-01").key]: "4.62 kg", [of("R-05").key]: "met", "allowed a1": "9" }),
    waives: true,
  });
  const unlisted = inspectionLines([], allowed, { ...build, parts: [] }, "", unitsOf("metric"));
  expect(asRecorded(unlisted)).toEqual({ typed: { "allowed a1": "8", "allowed a2": "0" }, waives: false });
});

describe("the list of builds", () => {
  const of = (buildId: string, state: "waiting" | "passed" | "turned away", note = "") => ({ buildId, state, note });
  const list = [of("a", "passed"), of("b", "waiting"), of("c", "turned away"), of("d", "waiting")];
  test("the next that waits comes after this one, then from the beginning; none when all are seen", () => {
    expect([nextToInspect(list, "b")?.buildId, nextToInspect(list, "d")?.buildId]).toEqual(["d", "b"]);
    expect(nextToInspect([of("b", "waiting")], "b")).toBeNull();
  });
  test("it opens on the one asked for, else on the first that waits, else on the first", () => {
    expect([chosenBuild(list, "c"), chosenBuild(list, undefined), chosenBuild(list.slice(2, 3), "")]).toEqual([
      list[2],
      list[1],
      list[2],
    ]);
    expect(chosenBuild([], "a")).toBeNull();
  });
  test("each in words", () => {
    expect([entered(list[0]!), entered(of("x", "passed", "too wide, by the client's leave"))]).toEqual([
      "passed",
      "passed with a waiver: too wide, by the client's leave",
    ]);
    expect([
      entered(of("x", "turned away", "a sharp edge")),
      entered(of("x", "waiting", "released: new hose")),
    ]).toEqual(["turned away: a sharp edge", "waits for inspection: released: new hose"]);
  });
});
