import type { FormulaCalculator } from "./calculator";
import { air, gravity } from "./shared";

const fluids = (chapter: number) => `White: Fluid Mechanics, chapter ${chapter}.`;

/** Water that is lifted or falls, wind, and pumps. */
export const flow: readonly FormulaCalculator[] = [
  {
    kind: "formulas",
    id: "water-power",
    name: "Power of lifted or falling water",
    subject: "flow",
    use: "What power a flow over a height is, and how good the machine is that lifts it or is driven by it.",
    entries: [
      { symbol: "Q", name: "flow", unit: "L/min", value: "8.9" },
      { symbol: "h", name: "height", unit: "m", value: "1.60 ± 0.01" },
      { symbol: "P1", name: "power at the other side (handle or shaft)", unit: "W", value: "6" },
      { symbol: "ρ", name: "density of the liquid", unit: "kg/m³", value: "998" },
      gravity,
    ],
    steps: [
      { symbol: "P", name: "power of the water", is: "ρ × g × Q × h", unit: "W" },
      { symbol: "η", name: "efficiency as a pump", is: "P ÷ P1", unit: "%" },
      { symbol: "κ", name: "efficiency as a wheel or turbine", is: "P1 ÷ P", unit: "%" },
    ],
    valid: "Steady flow; losses in tubes are part of what the efficiency holds.",
    source: fluids(11),
    mistakes: [
      "Only one of the two efficiencies is meant: the other one is above 100 %.",
      "Height from water level to water level, not along the tube.",
    ],
    plot: { over: "h", of: "P", from: 0.5, to: 3 },
  },
  {
    kind: "formulas",
    id: "piston-pump",
    name: "Flow of a piston pump",
    subject: "flow",
    use: "What a hand pump could deliver, from its bore, stroke and rate, and how much of it arrives.",
    entries: [
      { symbol: "d", name: "bore", unit: "mm", value: "50" },
      { symbol: "s", name: "stroke", unit: "mm", value: "90" },
      { symbol: "n", name: "strokes", unit: "1/min", value: "60" },
      { symbol: "Q1", name: "flow that was measured", unit: "L/min", value: "8.9" },
    ],
    steps: [
      { symbol: "V", name: "volume of a stroke", is: "π × d^2 ÷ 4 × s", unit: "mL" },
      { symbol: "Q", name: "flow without leaks", is: "V × n", unit: "L/min" },
      { symbol: "η", name: "volumetric efficiency", is: "Q1 ÷ Q", unit: "%" },
    ],
    bounds: [{ of: "η", above: 100, says: "More than the piston moves cannot arrive: check stroke, rate and flow." }],
    valid: "A pump that delivers once a stroke; a double-acting one delivers twice.",
    source: fluids(11),
    mistakes: [
      "The stroke of the handle taken for the stroke of the piston.",
      "Strokes a minute counted there and back as two.",
    ],
    plot: { over: "s", of: "Q", from: 20, to: 150 },
  },
  {
    kind: "formulas",
    id: "wind-power",
    name: "Wind power and power coefficient",
    subject: "flow",
    use: "What power the wind brings through a rotor, and what share a turbine takes out.",
    entries: [
      { symbol: "D", name: "diameter of the rotor", unit: "mm", value: "500" },
      { symbol: "v", name: "wind speed", unit: "m/s", value: "4.0 ± 0.2" },
      { symbol: "P", name: "power that was measured", unit: "W", value: "1.5" },
      air,
    ],
    steps: [
      { symbol: "A", name: "swept area", is: "π × D^2 ÷ 4", unit: "m²", between: true },
      { symbol: "W", name: "power of the wind", is: "0.5 × ρ × A × v^3", unit: "W" },
      { symbol: "Cp", name: "power coefficient", is: "P ÷ W", unit: "1" },
    ],
    bounds: [
      {
        of: "Cp",
        above: 0.593,
        says: "Above 0.593, the limit of Betz, which physics does not allow: check wind speed and power.",
      },
    ],
    valid: "Even wind over the whole rotor, free to pass; a fan's wind is neither even nor free.",
    source: "Burton and others: Wind Energy Handbook, chapter 3.",
    mistakes: [
      "Power goes with the cube of the speed: 10 % wrong in the wind is 30 % wrong in the power.",
      "Wind speed measured beside the rotor and not before it.",
    ],
    caution: "Stand beside the rotor, not in its plane; eye protection.",
    plot: { over: "v", of: "W", from: 1, to: 10 },
  },
  {
    kind: "formulas",
    id: "reynolds",
    name: "Reynolds number",
    subject: "flow",
    use: "Whether a flow is smooth or turbulent, and whether a model test is like the real thing.",
    entries: [
      { symbol: "v", name: "speed", unit: "m/s", value: "0.5" },
      { symbol: "L", name: "length (bore of a tube, chord of a wing)", unit: "mm", value: "20" },
      { symbol: "ρ", name: "density", unit: "kg/m³", value: "998" },
      { symbol: "μ", name: "viscosity", unit: "Pa·s", value: "0.001" },
    ],
    steps: [{ symbol: "Re", name: "Reynolds number", is: "ρ × v × L ÷ μ", unit: "1" }],
    bounds: [
      {
        of: "Re",
        above: 4000,
        says: "In a tube this flow is turbulent: friction goes about with the square of the speed.",
      },
      { of: "Re", below: 2300, says: "In a tube this flow is laminar: friction goes with the speed." },
    ],
    valid: "The bounds hold for round tubes; bodies in a stream have other ones.",
    source: fluids(6),
    mistakes: ["Viscosity of water halves from 10 to 40 °C: take the one at its temperature."],
    plot: { over: "v", of: "Re", from: 0.1, to: 2 },
  },
];
