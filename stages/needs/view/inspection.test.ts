import { aBuild, aRequirement, aState, aTeam } from "@/stages/testing/rows";
import { inspectionView, readCell } from "./inspection";

test.each([
  ["m", null, { kind: "outcome", outcome: "met" }],
  [" N ", null, { kind: "outcome", outcome: "not met" }],
  ["-", "in", { kind: "outcome", outcome: "not met" }],
  ["x", "in", { kind: "outcome", outcome: "not applicable" }],
  ["36 1/4", "in", { kind: "value" }],
  ["91 cm", "in", { kind: "value" }],
  ["maybe", null, { kind: "wrong", message: "m is met, n not met, x does not apply." }],
])("%j against %j is read as %j", (typed, unit, read) => expect(readCell(typed, unit)).toEqual(read));

test("a wrong unit is refused with what would be right", () => {
  const read = readCell("36 kg", "in");
  expect(read.kind === "wrong" && read.message).toMatch(/Or m met, n not met\.$/);
});

test("what a run or the scale decides is not looked at; musts stand first; each number has its unit", () => {
  const view = inspectionView(
    aState(
      {
        teams: [aTeam("Alder"), aTeam("Birch"), aTeam("Cedar")],
        builds: [aBuild("Alder", 1), aBuild("Alder", 2), aBuild("Birch", 1)],
        requirements: [
          aRequirement("R-01", { measure: "mass", comparator: "≤", target: "5", unit: "kg" }),
          aRequirement("R-02", { priority: "could", comparator: "yes" }),
          aRequirement("R-03", { comparator: "±", target: "0.9144", second: "0.0127", unit: "in" }),
          aRequirement("R-04", { comparator: "fits", sides: ["1", "1", "1"], unit: "mm" }),
        ],
      },
      { "R-03 Alder G2": "met" },
    ),
    "cr",
  );
  expect(view.builds.map((b) => b.name)).toEqual(["Alder G2", "Birch G1"]);
  expect(view.rows.map((r) => [r.code, r.unit, r.must, r.verdicts])).toEqual([
    ["R-03", "in", true, ["met", "untested"]],
    ["R-04", null, true, ["untested", "untested"]],
    ["R-02", null, false, ["untested", "untested"]],
  ]);
  expect(view.rows[0]!.limit).toBe("36 ± 0.5 in");
});
