import type { ProtocolDefinition } from "@/core/run/protocol";

/** A protocol for tests: water lifted in a minute, weighed. */
export const definition: ProtocolDefinition = {
  conditions: [{ key: "h", name: "Lift", unit: "m", target: "1.60", tolerance: "0.01" }],
  measures: [
    {
      key: "m",
      name: "Collected",
      unit: "kg",
      resolution: "0.05",
      min: "1",
      max: "15",
      take: { rule: "peak", unit: "kg" },
    },
  ],
  constants: [
    { key: "rho", name: "Density", unit: "kg/m^3", value: "998" },
    { key: "t", name: "Time", unit: "s", value: "60" },
  ],
  derived: [
    { key: "Q", name: "Flow", unit: "L/min", expression: "m / (rho * t)", decimals: 2, rule: "Water over time." },
  ],
  primary: "Q",
  better: "more",
  policy: { school: "best", n: 3, foul: "out" },
  safety: ["Ask first."],
};
