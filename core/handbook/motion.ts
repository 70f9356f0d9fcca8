import type { FormulaCalculator } from "./calculator";
import { gravity } from "./shared";

/** Speed and travel. */
export const motion: readonly FormulaCalculator[] = [
  {
    kind: "formulas",
    id: "average-speed",
    name: "Average speed",
    subject: "motion",
    use: "How fast something went over a course, from a distance and a time.",
    entries: [
      { symbol: "d", name: "distance", unit: "m", value: "10" },
      { symbol: "t", name: "time", unit: "s", value: "4 ± 0.2" },
    ],
    steps: [{ symbol: "v", name: "average speed", is: "d ÷ t", unit: "m/s" }],
    valid: "Any motion; it says nothing of the speed in between.",
    source: "Halliday, Resnick, Walker: Fundamentals of Physics, chapter 2.",
    mistakes: [
      "Taken for the highest speed: from a standing start it is about half of it.",
      "A stopwatch in a hand is off by about 0.2 s: over a short course that is most of the result.",
    ],
    plot: { over: "t", of: "v", from: 1, to: 10 },
  },
  {
    kind: "formulas",
    id: "spring-travel",
    name: "Spring energy and expected travel",
    subject: "motion",
    use: "How far a wound or stretched spring can drive a vehicle on the level.",
    entries: [
      { symbol: "k", name: "spring rate", unit: "N/m", value: "150" },
      { symbol: "x", name: "stretch", unit: "mm", value: "200" },
      { symbol: "m", name: "mass of the vehicle", unit: "kg", value: "0.4" },
      { symbol: "c", name: "rolling resistance", unit: "1", value: "0.03", most: 1, least: 0.0001 },
      { symbol: "η", name: "share that reaches the wheels", unit: "%", value: "60", least: 0.1, most: 100 },
      gravity,
    ],
    steps: [
      { symbol: "E", name: "energy in the spring", is: "0.5 × k × x^2", unit: "J" },
      { symbol: "v", name: "highest speed it could give", is: "√(2 × η × E ÷ m)", unit: "m/s" },
      { symbol: "d", name: "expected travel", is: "η × E ÷ (c × m × g)", unit: "m" },
    ],
    valid:
      "A spring that follows Hooke's law (rubber bands do not, beyond small stretches); level ground; no air drag.",
    source: "Halliday, Resnick, Walker: Fundamentals of Physics, chapters 7 and 8.",
    mistakes: [
      "The rate of a rubber band falls and rises as it stretches: measure the force at several stretches.",
      "Rolling resistance is measured by letting the vehicle roll out, not guessed.",
    ],
    caution: "A stretched spring flies off: eye protection, and nobody in its line.",
    plot: { over: "x", of: "d", from: 50, to: 300 },
  },
];
