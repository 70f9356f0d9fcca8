import type { FormulaCalculator } from "./calculator";
import { air, gravity } from "./shared";

const drag = "Hoerner: Fluid-Dynamic Drag, chapter 3.";
const kinematics = "Halliday, Resnick, Walker: Fundamentals of Physics, chapters 2 and 5.";
const below = "Nobody stands below; the drop zone is marked and one person calls.";

/** Falls, parachutes and impacts. */
export const falls: readonly FormulaCalculator[] = [
  {
    kind: "formulas",
    id: "terminal-speed",
    name: "Terminal speed",
    subject: "falls",
    use: "How fast something comes down once air drag carries its weight.",
    entries: [
      { symbol: "m", name: "mass", unit: "g", value: "250" },
      { symbol: "C", name: "drag coefficient", unit: "1", value: "1.3", least: 0.01, most: 3 },
      { symbol: "A", name: "area seen from below", unit: "m²", value: "0.3" },
      air,
      gravity,
    ],
    steps: [{ symbol: "v", name: "terminal speed", is: "√(2 × m × g ÷ (ρ × C × A))", unit: "m/s" }],
    valid: "After a fall long enough to reach it: about v² ÷ g in height.",
    source: drag,
    mistakes: [
      "The coefficient belongs to its area: canopies count their open area.",
      "A canopy that swings or leaks comes down faster.",
    ],
    caution: below,
    plot: { over: "A", of: "v", from: 0.05, to: 1 },
  },
  {
    kind: "formulas",
    id: "canopy-size",
    name: "Canopy size",
    subject: "falls",
    use: "How large a canopy has to be to bring a mass down at a speed.",
    entries: [
      { symbol: "m", name: "mass with canopy", unit: "g", value: "250" },
      { symbol: "v", name: "speed that is wanted", unit: "m/s", value: "3" },
      {
        symbol: "C",
        name: "drag coefficient (flat sheet 0.8, hemisphere 1.4)",
        unit: "1",
        value: "0.8",
        least: 0.01,
        most: 3,
      },
      air,
      gravity,
    ],
    steps: [
      { symbol: "A", name: "area", is: "2 × m × g ÷ (ρ × C × v^2)", unit: "m²" },
      { symbol: "D", name: "diameter of a round canopy", is: "√(4 × A ÷ π)", unit: "mm" },
    ],
    valid: "Steady fall; lines as long as the canopy is wide, or longer.",
    source: drag,
    mistakes: ["Half the speed takes four times the area.", "The canopy's own mass counts."],
    caution: below,
    plot: { over: "v", of: "D", from: 1, to: 6 },
  },
  {
    kind: "formulas",
    id: "drop-impact",
    name: "Drop impact",
    subject: "falls",
    use: "Speed at the ground, and how hard a stop over a distance is.",
    entries: [
      { symbol: "h", name: "height of the drop", unit: "m", value: "3" },
      { symbol: "s", name: "stopping distance", unit: "mm", value: "50" },
      { symbol: "m", name: "mass", unit: "g", value: "200" },
      gravity,
    ],
    steps: [
      { symbol: "v", name: "speed at the ground", is: "√(2 × g × h)", unit: "m/s" },
      { symbol: "a", name: "mean deceleration", is: "v^2 ÷ (2 × s)", unit: "m/s²" },
      { symbol: "G", name: "the same, in times gravity", is: "a ÷ g", unit: "1" },
      { symbol: "F", name: "mean force of the ground", is: "m × (a + g)", unit: "N" },
    ],
    bounds: [{ of: "s", above: "h", says: "It cannot stop over a longer way than it fell.", refuse: true }],
    valid: "No air drag; the mean over the stop: a cushion like a spring peaks at about twice of it.",
    source: kinematics,
    mistakes: [
      "The crush zone's thickness taken for the stopping distance: it uses about two thirds.",
      "The peak breaks things, not the mean.",
    ],
    caution: below,
    plot: { over: "s", of: "G", from: 5, to: 200 },
  },
  {
    kind: "formulas",
    id: "stopping-distance",
    name: "Stopping distance",
    subject: "falls",
    use: "How much way a cushion needs so that what is inside survives.",
    entries: [
      { symbol: "h", name: "height of the drop", unit: "m", value: "3" },
      { symbol: "G", name: "deceleration that it survives, in times gravity", unit: "1", value: "40" },
      { symbol: "q", name: "share of the cushion that is used", unit: "%", value: "65", least: 1, most: 100 },
    ],
    steps: [
      { symbol: "s", name: "stopping distance", is: "h ÷ G", unit: "mm" },
      { symbol: "b", name: "thickness of the cushion", is: "s ÷ q", unit: "mm" },
    ],
    valid: "No air drag; an even deceleration. A cushion like a spring needs about twice of it.",
    source: kinematics,
    mistakes: ["A cushion that is used up acts like the floor."],
    caution: below,
    plot: { over: "h", of: "b", from: 0.5, to: 8 },
  },
];
