import type { Entry, FormulaCalculator } from "./calculator";

const heatSource = (chapter: number) =>
  `Incropera, DeWitt: Fundamentals of Heat and Mass Transfer, chapter ${chapter}.`;
const temperature = (symbol: string, name: string, value: string): Entry => ({
  symbol,
  name,
  unit: "°C",
  value,
  least: -200,
  most: 1000,
});
const outside = temperature("Ta", "temperature outside", "32");
const between = "The limit does not lie between the start and the temperature outside: it is never reached.";

/** Warming, cooling and insulation. */
export const heat: readonly FormulaCalculator[] = [
  {
    kind: "formulas",
    id: "time-constant",
    name: "Cooling curve: time constant",
    subject: "heat",
    use: "How slow something takes the temperature around it, from two readings of a test.",
    entries: [
      temperature("T0", "temperature at the start", "5 ± 0.5"),
      temperature("T1", "temperature later", "9 ± 0.5"),
      outside,
      { symbol: "t", name: "time between", unit: "h", value: "3" },
    ],
    steps: [{ symbol: "τ", name: "time constant", is: "t ÷ ln((T0 − Ta) ÷ (T1 − Ta))", unit: "h" }],
    bounds: [
      {
        of: "τ",
        below: 0,
        says: "It moved away from the temperature outside: readings or their order are wrong.",
        refuse: true,
      },
    ],
    valid: "One temperature inside, an even one outside, no ice or heating (Newton's law of cooling).",
    source: heatSource(5),
    mistakes: [
      "Two readings close together: their ± makes the result worthless.",
      "Ice that melts holds the temperature: this formula does not know it.",
    ],
    plot: { over: "t", of: "τ", from: 1, to: 10 },
  },
  {
    kind: "formulas",
    id: "hold-time",
    name: "Hold time",
    subject: "heat",
    use: "How long the inside stays within a limit, from its time constant.",
    entries: [
      { symbol: "τ", name: "time constant", unit: "h", value: "18" },
      temperature("T0", "temperature at the start", "3"),
      temperature("Tx", "limit", "8"),
      outside,
    ],
    steps: [{ symbol: "t", name: "hold time", is: "τ × ln((T0 − Ta) ÷ (Tx − Ta))", unit: "h" }],
    bounds: [{ of: "t", below: 0, says: between, refuse: true }],
    valid: "As for the time constant: it was measured with the same load.",
    source: heatSource(5),
    mistakes: ["An empty box warms up faster than a full one: test it as it is used."],
    plot: { over: "Ta", of: "t", from: 10, to: 45 },
  },
  {
    kind: "formulas",
    id: "ice-time",
    name: "How long ice lasts",
    subject: "heat",
    use: "How long ice in an insulated box lasts.",
    entries: [
      { symbol: "m", name: "mass of ice", unit: "kg", value: "0.8" },
      { symbol: "A", name: "area of the walls", unit: "m²", value: "0.35" },
      { symbol: "s", name: "thickness of the insulation", unit: "mm", value: "30" },
      { symbol: "λ", name: "conductivity (foam 0.033, cardboard 0.06, wood 0.13)", unit: "W/m·K", value: "0.033" },
      outside,
      temperature("Ti", "temperature inside", "4"),
      { symbol: "H", name: "heat that melts a kilogram", unit: "kJ/kg", value: "334" },
    ],
    steps: [
      { symbol: "P", name: "heat that comes in", is: "λ × A × (Ta − Ti) ÷ s", unit: "W" },
      { symbol: "t", name: "until the ice is gone", is: "m × H ÷ P", unit: "h" },
    ],
    bounds: [{ of: "P", below: 0, says: "It is colder outside than inside: no ice melts.", refuse: true }],
    valid: "Walls that are even; lid and joints let in as much again in many first boxes.",
    source: heatSource(3),
    mistakes: [
      "The lid's gap left out.",
      "Ice from the freezer is colder than 0 °C: it may freeze what has to stay above.",
    ],
    plot: { over: "s", of: "t", from: 5, to: 80 },
  },
];
