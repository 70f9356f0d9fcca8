import type { FormulaCalculator } from "./calculator";

const similarity = "Baker, Westine, Dodge: Similarity Methods in Engineering Dynamics, chapter 2.";

/** Stand-ins that behave like the real thing. */
export const likeness: readonly FormulaCalculator[] = [
  {
    kind: "formulas",
    id: "model-speed",
    name: "Speed of a model test",
    subject: "likeness",
    use: "How fast a model is towed or blown at so that the flow is like that around the real thing.",
    entries: [
      { symbol: "v", name: "speed of the real thing", unit: "m/s", value: "1" },
      { symbol: "n", name: "scale 1 :", unit: "1", value: "5" },
      { symbol: "a", name: "kinematic viscosity around the real thing (water 1, air 15)", unit: "mm²/s", value: "1" },
      { symbol: "b", name: "kinematic viscosity around the model", unit: "mm²/s", value: "1" },
      { symbol: "L", name: "length of the real thing", unit: "m", value: "1.2" },
    ],
    steps: [
      { symbol: "Re", name: "Reynolds number of both", is: "v × L ÷ a", unit: "1" },
      { symbol: "w", name: "speed for the same Reynolds number", is: "v × n × b ÷ a", unit: "m/s" },
      { symbol: "f", name: "speed for the same waves (Froude)", is: "v ÷ √(n)", unit: "m/s" },
    ],
    bounds: [
      {
        of: "w",
        above: 50,
        says: "This is faster than a school's test can be. Above an Re of 100 000 drag changes little: test slower.",
      },
    ],
    valid:
      "Reynolds for bodies under water or in air, Froude for floating ones; both at once is not possible in water.",
    source: similarity,
    mistakes: ["The model towed at the real speed, or at the real speed divided by the scale."],
    plot: { over: "n", of: "w", from: 1, to: 20 },
  },
  {
    kind: "formulas",
    id: "stand-in-load",
    name: "Stand-in of the same mass",
    subject: "likeness",
    use: "How much of a harmless material has the mass of the real load.",
    entries: [
      { symbol: "V", name: "volume of the real load", unit: "mL", value: "500" },
      { symbol: "a", name: "density of the real load", unit: "kg/m³", value: "1000" },
      { symbol: "b", name: "density of the stand-in (rice 800, sand 1600)", unit: "kg/m³", value: "1600" },
    ],
    steps: [
      { symbol: "m", name: "mass", is: "V × a", unit: "g" },
      { symbol: "W", name: "volume of the stand-in", is: "m ÷ b", unit: "mL" },
    ],
    valid: "Where only the mass counts: what sloshes or rolls behaves otherwise.",
    source: similarity,
    mistakes: ["The stand-in's place: the same mass lower down makes it more stable."],
    plot: { over: "b", of: "W", from: 500, to: 3000 },
  },
  {
    kind: "formulas",
    id: "floating",
    name: "How deep it floats",
    subject: "likeness",
    use: "What share of a body is under water, and what it can carry.",
    entries: [
      { symbol: "m", name: "mass of the body", unit: "g", value: "300" },
      { symbol: "V", name: "volume of the whole body", unit: "mL", value: "1500" },
      { symbol: "ρ", name: "density of the liquid (fresh water 998, sea 1025)", unit: "kg/m³", value: "998" },
    ],
    steps: [
      { symbol: "u", name: "share under water", is: "m ÷ (ρ × V)", unit: "%" },
      { symbol: "p", name: "load until it is level with the water", is: "ρ × V − m", unit: "g" },
    ],
    bounds: [{ of: "u", above: 100, says: "It sinks." }],
    valid: "A tight body; it says nothing of whether it turns over.",
    source: "White: Fluid Mechanics, chapter 2.",
    mistakes: ["Foam and wood take up water: weigh them wet."],
    plot: { over: "m", of: "u", from: 50, to: 1500 },
  },
];
