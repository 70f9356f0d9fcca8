import type { FormulaCalculator } from "./calculator";

/** Chains and stacks of many parts. */
export const sums: readonly FormulaCalculator[] = [
  {
    kind: "formulas",
    id: "efficiencies",
    name: "Chain of efficiencies",
    subject: "sums",
    use: "What is left of a power that goes through several machines one after another.",
    entries: [
      { symbol: "P", name: "power that goes in", unit: "W", value: "20" },
      {
        symbol: "η",
        name: "efficiency of each link",
        unit: "%",
        value: "90; 75; 80",
        list: true,
        least: 0.1,
        most: 100,
      },
    ],
    steps: [
      { symbol: "k", name: "efficiency of the chain", is: "product(η)", unit: "%" },
      { symbol: "W", name: "power that comes out", is: "P × k", unit: "W" },
      { symbol: "V", name: "lost on the way", is: "P − W", unit: "W" },
    ],
    valid: "Each link at the power that it really gets.",
    source: "Halliday, Resnick, Walker: Fundamentals of Physics, chapter 8.",
    mistakes: [
      "Efficiencies are multiplied, never added or averaged.",
      "Better to mend the worst link: it gains most.",
    ],
    plot: { over: "P", of: "W", from: 1, to: 100 },
  },
  {
    kind: "formulas",
    id: "stack-up",
    name: "Stack-up of measured deviations",
    subject: "sums",
    use: "How far off a row of parts is that were each measured, and what it would be at worst.",
    entries: [
      {
        symbol: "d",
        name: "deviation of each part (−: too short)",
        unit: "mm",
        value: "0.2; -0.1; 0.3; 0.1",
        list: true,
        least: -1000,
        most: 1000,
      },
      { symbol: "g", name: "gap that is allowed, to both sides", unit: "mm", value: "0.6", least: 0 },
    ],
    steps: [
      { symbol: "s", name: "off together", is: "sum(d)", unit: "mm" },
      { symbol: "w", name: "if all were off to one side", is: "sum(|d|)", unit: "mm" },
      { symbol: "r", name: "if sides are by chance (root of the squares)", is: "√(sum(d^2))", unit: "mm" },
      { symbol: "c", name: "room that is left", is: "g − |s|", unit: "mm" },
    ],
    bounds: [
      {
        of: "c",
        below: 0,
        says: "They do not come together within the gap: swap or rework the part that is off most.",
      },
    ],
    valid: "Parts in one row. By chance holds where parts are made one by one, not from one wrong template.",
    source: "Budynas, Nisbett: Shigley's Mechanical Engineering Design, chapter 1; JCGM 100 (GUM), 5.1.",
    mistakes: ["All parts from one wrong template are off to one side: then the worst case is the real one."],
  },
];
