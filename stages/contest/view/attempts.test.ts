import { readingsFor } from "@/core/run/protocol";
import { definition } from "@/stages/testing/definition";
import { aRequirement } from "@/stages/testing/rows";
import { checkLimits } from "./attempts";

test("a scorer reads what the event's value is computed from, through every step, each once", () => {
  const p = {
    ...definition,
    measures: [...definition.measures, { key: "F", name: "Force", unit: "N", resolution: "0.5" }],
    derived: [
      ...definition.derived,
      { key: "P", name: "Per force", unit: "L/min", expression: "Q * m / F", decimals: 1, rule: "" },
    ],
  };
  expect([readingsFor(p, "m"), readingsFor(p, "Q"), readingsFor(p, "P"), readingsFor(p, "zz")]).toEqual([
    ["m"],
    ["m"],
    ["m", "F"],
    [],
  ]);
});

describe("at inspection", () => {
  const limits = [
    aRequirement("R-01", { measure: "mass", comparator: "≤", target: "6", unit: "kg" }),
    aRequirement("R-02", { measure: "envelope", comparator: "fits", sides: ["0.6", "0.4", "0.4"], unit: "mm" }),
    aRequirement("R-03", { measure: "cost", comparator: "≤", target: "80", unit: "1" }),
    aRequirement("R-04", { measure: "run:lift:Q", comparator: "≥", target: "1", unit: "L/min" }),
    aRequirement("R-05"),
  ];
  const check = (of: Parameters<typeof checkLimits>[1]) =>
    checkLimits(limits, of).map((c) => [c.code, c.label, c.status.value]);
  test("mass, size and cost are held against their limits; what is not known is untested", () => {
    expect(check({ mass: "6", cost: "80.01", sides: ["0.4", "0.6", "0.41"] })).toEqual([
      ["R-01", "mass", "met"],
      ["R-02", "size", "not met"],
      ["R-03", "cost", "not met"],
    ]);
    expect(check({ mass: null, cost: null, sides: null }).map((c) => c[2])).toEqual(Array(3).fill("untested"));
  });
});
