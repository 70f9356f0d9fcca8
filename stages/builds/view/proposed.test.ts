import { unitsOf } from "@/core/quantity/systems";
import { aBuild, aRequirement, aState } from "@/stages/testing/rows";
import { claimsView, proposedView } from "./proposed";

test("mass, cost and size beside what was proposed, with the difference; what neither side has is left out", () => {
  const build = aBuild("Alder", 1, { mass: "3.6", sides: ["0.59", "0.36", "0.37"] });
  const rows = proposedView({ mass: "5.3", cost: null, sides: null }, build, unitsOf("metric"), "cr");
  expect(rows.map((r) => [r.name, r.proposed, r.built, r.off])).toEqual([
    ["Mass", "5.30 kg", "3.60 kg", "−1.70 (−32 %)"],
    ["Size", "–", "590 × 360 × 370 mm", ""],
  ]);
});

test("what either side lacks has no difference, and a share of nothing is none", () => {
  const none = { mass: null, cost: null, sides: null };
  expect(proposedView(none, none, unitsOf("metric"), "")).toEqual([]);
  const rows = proposedView(
    { ...none, mass: "4", cost: "0" },
    { ...none, mass: "3", cost: "2" },
    unitsOf("metric"),
    "",
  );
  expect(rows.map((r) => r.off)).toEqual(["−1.00 (−25 %)", "+2.00"]);
});

test("each claim beside what the build showed: an estimate and a measured value, or words and a verdict", () => {
  const flow = aRequirement("R-02", {
    measure: "run:lift:Q",
    comparator: "≥",
    target: "0.000125",
    unit: "L/min",
  } as never);
  const alone = aRequirement("R-08", { statement: "One operator works it" } as never);
  const silent = aRequirement("R-09");
  const definition = {
    conditions: [],
    measures: [{ key: "Q", name: "Flow", unit: "L/min", resolution: "0.1" }],
    constants: [],
    derived: [],
    primary: "Q",
  };
  const state = {
    ...aState({ requirements: [flow, alone, silent] }),
    protocols: [{ id: "lift", definition }] as never,
    verdict: (id: string) => (id === flow.id ? "met" : "untested") as never,
    summary: () => ({ counted: 8.13 }) as never,
  };
  const claims = {
    [flow.id]: { says: "yes" as const, how: "by its bore", estimate: "0.00015" },
    [alone.id]: { says: "unsure" as const, how: "", estimate: null },
  };
  expect(claimsView(claims, "b", state)).toEqual([
    {
      code: "R-02",
      statement: flow.statement,
      says: "9.0 L/min",
      how: "by its bore",
      reached: "8.1 L/min",
      verdict: "met",
    },
    { code: "R-08", statement: "One operator works it", says: "not sure", how: "", reached: "", verdict: "untested" },
  ]);
});
