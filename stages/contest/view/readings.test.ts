import { readingsFor } from "@/core/run/protocol";
import { definition } from "@/stages/testing/definition";

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
