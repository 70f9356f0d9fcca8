import type { FormulaCalculator } from "./calculator";

const electronics = "Horowitz, Hill: The Art of Electronics, chapter 1.";

/** Resistors, lamps and batteries. */
export const electricity: readonly FormulaCalculator[] = [
  {
    kind: "formulas",
    id: "led-resistor",
    name: "Resistor for LEDs",
    subject: "electricity",
    use: "What resistor keeps LEDs in a row from burning out.",
    entries: [
      { symbol: "U", name: "supply voltage", unit: "V", value: "9" },
      { symbol: "f", name: "voltage of each LED (red 2, white 3.2)", unit: "V", value: "2; 2", list: true },
      { symbol: "I", name: "current", unit: "mA", value: "15" },
    ],
    steps: [
      { symbol: "D", name: "voltage of the LEDs", is: "sum(f)", unit: "V", between: true },
      { symbol: "R", name: "resistor", is: "(U − D) ÷ I", unit: "Ω" },
      { symbol: "P", name: "power in the resistor", is: "(U − D) × I", unit: "mW" },
    ],
    bounds: [
      {
        of: "D",
        above: "U − 1e-9",
        says: "The LEDs in a row need more voltage than the supply has: take fewer.",
        refuse: true,
      },
      { of: "I", above: 30, says: "Most small LEDs bear 20 to 30 mA." },
      { of: "P", above: 250, says: "A small resistor bears 250 mW: take a larger one or more LEDs in the row." },
    ],
    valid: "LEDs in one row (in series); the next larger resistor that is sold is taken.",
    source: electronics,
    mistakes: [
      "LEDs side by side on one resistor: one of them takes most of the current.",
      "The resistor left out: the LED burns at once.",
    ],
    plot: { over: "U", of: "R", from: 5, to: 12 },
  },
  {
    kind: "formulas",
    id: "resistors",
    name: "Resistors in a row and side by side",
    subject: "electricity",
    use: "What several resistors are together.",
    entries: [
      { symbol: "R", name: "resistors", unit: "Ω", value: "100; 220; 330", list: true },
      { symbol: "U", name: "voltage across them", unit: "V", value: "5" },
    ],
    steps: [
      { symbol: "s", name: "in a row", is: "sum(R)", unit: "Ω" },
      { symbol: "p", name: "side by side", is: "1 ÷ sum(1 ÷ R)", unit: "Ω" },
      { symbol: "I", name: "current in a row", is: "U ÷ s", unit: "mA" },
      { symbol: "J", name: "current side by side", is: "U ÷ p", unit: "mA" },
    ],
    valid: "Resistors that follow Ohm's law.",
    source: electronics,
    mistakes: ["Side by side is always less than the smallest of them."],
    caution: "Low voltage only; batteries with a fuse. Mains belongs to licensed people.",
  },
  {
    kind: "formulas",
    id: "divider",
    name: "Voltage divider",
    subject: "electricity",
    use: "What voltage stands between two resistors, for a sensor or an input.",
    entries: [
      { symbol: "U", name: "supply voltage", unit: "V", value: "5" },
      { symbol: "R1", name: "resistor to the supply", unit: "kΩ", value: "10" },
      { symbol: "R2", name: "resistor to ground", unit: "kΩ", value: "4.7" },
    ],
    steps: [
      { symbol: "V", name: "voltage between them", is: "U × R2 ÷ (R1 + R2)", unit: "V" },
      { symbol: "I", name: "current through both", is: "U ÷ (R1 + R2)", unit: "mA" },
    ],
    valid: "What is connected takes much less current than flows through both.",
    source: electronics,
    mistakes: ["A motor fed from a divider: it takes the current and the voltage is gone."],
    plot: { over: "R2", of: "V", from: 1, to: 50 },
  },
  {
    kind: "formulas",
    id: "battery",
    name: "Battery run time",
    subject: "electricity",
    use: "How long a battery lasts, and how much energy it holds.",
    entries: [
      { symbol: "C", name: "capacity on the label", unit: "mAh", value: "2000" },
      { symbol: "q", name: "share that is used", unit: "%", value: "80", least: 1, most: 100 },
      { symbol: "I", name: "mean current", unit: "mA", value: "450 ± 30" },
      { symbol: "U", name: "voltage", unit: "V", value: "6" },
    ],
    steps: [
      { symbol: "t", name: "run time", is: "C × q ÷ I", unit: "h" },
      { symbol: "W", name: "energy that is used", is: "C × q × U", unit: "Wh" },
      { symbol: "P", name: "power", is: "U × I", unit: "W" },
    ],
    bounds: [{ of: "t", below: 1, says: "At such a current a small battery gives much less than its label says." }],
    valid: "Currents that empty the battery in some hours; cold takes a third off.",
    source: electronics,
    mistakes: [
      "Milliamperes taken for milliampere-hours.",
      "Current of the motor running free: loaded it is several times that.",
    ],
    caution: "Lithium packs only with their own charger, under watch, and never a swollen one.",
    plot: { over: "I", of: "t", from: 100, to: 2000 },
  },
];
