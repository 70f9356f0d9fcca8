import type { Entry, FormulaCalculator, Step } from "./calculator";

const roark = (chapter: number) =>
  `Young, Budynas, Sadegh: Roark's Formulas for Stress and Strain, chapter ${chapter}.`;
const stiffness: Entry = {
  symbol: "E",
  name: "elastic modulus (balsa 3, pine 9, acrylic 3, steel 205 GPa)",
  unit: "MPa",
  value: "9000",
};
const width: Entry = { symbol: "b", name: "width of the section", unit: "mm", value: "20" };
const thickness: Entry = { symbol: "t", name: "thickness of the section, along the load", unit: "mm", value: "5" };
const length = (name: string): Entry => ({ symbol: "L", name, unit: "mm", value: "300" });
const inertia: Step = { symbol: "I", name: "second moment of area", is: "b × t^3 ÷ 12", unit: "mm^4", between: true };
const large = "The strip bends by more than a tenth of its length: the formula holds for small bending only.";
const until = "When it breaks, parts fly: eye protection, a shield, hands away.";
const thick = [
  "The thickness counts with its third power: turn the strip on edge.",
  "Wood differs by a factor of two from piece to piece, and more across the grain.",
];

/** Strips, columns, trusses' members and fasteners. */
export const strength: readonly FormulaCalculator[] = [
  {
    kind: "formulas",
    id: "strip-at-one-end",
    name: "Strip held at one end",
    subject: "strength",
    use: "How far a strip that is clamped at one end bends under a load at the other, and how it is strained.",
    entries: [{ symbol: "F", name: "load", unit: "N", value: "5" }, length("free length"), width, thickness, stiffness],
    steps: [
      inertia,
      { symbol: "δ", name: "how far it bends", is: "F × L^3 ÷ (3 × E × I)", unit: "mm" },
      { symbol: "k", name: "stiffness", is: "F ÷ δ", unit: "N/mm" },
      { symbol: "σ", name: "stress at the clamp", is: "F × L × t ÷ (2 × I)", unit: "MPa" },
    ],
    bounds: [{ of: "δ", above: "L ÷ 10", says: large }],
    valid: "A straight rectangular strip of one material, long against its thickness, bent little.",
    source: roark(8),
    mistakes: thick,
    plot: { over: "t", of: "δ", from: 2, to: 10 },
  },
  {
    kind: "formulas",
    id: "strip-between-supports",
    name: "Strip between two supports",
    subject: "strength",
    use: "How far a strip that lies on two supports bends under a load in its middle, and how it is strained.",
    entries: [
      { symbol: "F", name: "load in the middle", unit: "N", value: "20" },
      length("distance of the supports"),
      width,
      thickness,
      stiffness,
    ],
    steps: [
      inertia,
      { symbol: "δ", name: "how far it bends", is: "F × L^3 ÷ (48 × E × I)", unit: "mm" },
      { symbol: "k", name: "stiffness", is: "F ÷ δ", unit: "N/mm" },
      { symbol: "σ", name: "stress in the middle", is: "F × L × t ÷ (8 × I)", unit: "MPa" },
    ],
    bounds: [{ of: "δ", above: "L ÷ 10", says: large }],
    valid: "A straight rectangular strip that is free to turn at both supports, bent little.",
    source: roark(8),
    mistakes: thick,
    caution: until,
    plot: { over: "L", of: "δ", from: 100, to: 600 },
  },
  {
    kind: "formulas",
    id: "beam-reactions",
    name: "Beam with a load anywhere",
    subject: "strength",
    use: "What each support carries, and the largest bending moment.",
    entries: [
      { symbol: "F", name: "load", unit: "N", value: "100" },
      { symbol: "L", name: "distance of the supports", unit: "mm", value: "600" },
      { symbol: "a", name: "place of the load, from the left support", unit: "mm", value: "200" },
    ],
    steps: [
      { symbol: "R1", name: "left support", is: "F × (L − a) ÷ L", unit: "N" },
      { symbol: "R2", name: "right support", is: "F × a ÷ L", unit: "N" },
      { symbol: "M", name: "largest moment, under the load", is: "F × a × (L − a) ÷ L", unit: "N·m" },
    ],
    bounds: [{ of: "a", above: "L", says: "The load stands beyond the right support.", refuse: true }],
    valid: "A beam on two supports that can turn; its own weight left out.",
    source: "Hibbeler: Statics, chapter 7.",
    mistakes: ["The nearer support carries more, not less."],
    caution: until,
    plot: { over: "a", of: "M", from: 10, to: 590 },
  },
  {
    kind: "formulas",
    id: "buckling",
    name: "Buckling of a strip or column",
    subject: "strength",
    use: "At what load a slender strip gives way sideways, before its material does.",
    entries: [
      length("length"),
      { symbol: "b", name: "width", unit: "mm", value: "20" },
      { symbol: "t", name: "thickness, the smaller side", unit: "mm", value: "5" },
      stiffness,
      {
        symbol: "K",
        name: "ends: both turn 1, both held 0.5, one held and one free 2",
        unit: "1",
        value: "1",
        least: 0.5,
        most: 2,
      },
      { symbol: "S", name: "strength of the material against crushing", unit: "MPa", value: "35" },
    ],
    steps: [
      inertia,
      { symbol: "F", name: "load at which it buckles", is: "π^2 × E × I ÷ (K × L)^2", unit: "N" },
      { symbol: "C", name: "load at which the material is crushed", is: "S × b × t", unit: "N" },
      { symbol: "λ", name: "slenderness", is: "K × L ÷ (t ÷ √(12))", unit: "1" },
      { symbol: "B", name: "the smaller of the two loads", is: "min(F, C)", unit: "N" },
    ],
    bounds: [
      { of: "F", above: "C ÷ 2", says: "It is too short for Euler's formula: expect less than the smaller load." },
      { of: "t", above: "b", says: "The thickness is the smaller side: it buckles over that one.", refuse: true },
    ],
    valid: "A straight column, loaded in its middle. Real ones are bent a little: count on half to two thirds.",
    source: roark(12),
    mistakes: [
      "Half the length carries four times the load: a brace in the middle is cheap.",
      "A load beside the middle bends it from the start.",
    ],
    caution: until,
    plot: { over: "L", of: "F", from: 100, to: 600 },
  },
  {
    kind: "formulas",
    id: "load-over-mass",
    name: "Load over mass",
    subject: "strength",
    use: "How many times its own mass a structure carried.",
    entries: [
      { symbol: "P", name: "load that it carried, as a mass", unit: "kg", value: "24.5 ± 0.1" },
      { symbol: "m", name: "mass of the structure", unit: "g", value: "86.2 ± 0.1" },
    ],
    steps: [{ symbol: "e", name: "load over mass", is: "P ÷ m", unit: "1" }],
    valid: "The load includes everything that hung on the structure: pan, hook and chain.",
    source: "A ratio; the rules of the contest say what counts as load.",
    mistakes: ["Grams over kilograms.", "The last load it held, not the one that broke it."],
    caution: until,
    plot: { over: "m", of: "e", from: 40, to: 150 },
  },
  {
    kind: "formulas",
    id: "fasteners",
    name: "Screws, rivets or pins",
    subject: "strength",
    use: "How many fasteners a joint takes that is pulled across them.",
    entries: [
      { symbol: "F", name: "load on the joint", unit: "N", value: "800" },
      { symbol: "d", name: "diameter of the fastener", unit: "mm", value: "3" },
      { symbol: "τ", name: "shear strength of the fastener", unit: "MPa", value: "150" },
      { symbol: "S", name: "safety factor", unit: "1", value: "3", least: 1, most: 20 },
    ],
    steps: [
      { symbol: "f", name: "load that one may carry", is: "τ × π × d^2 ÷ 4 ÷ S", unit: "N" },
      { symbol: "n", name: "fasteners", is: "up(F ÷ f)", unit: "1" },
    ],
    valid: "Fasteners share the load evenly; the sheet around them is as strong (check that it does not tear).",
    source: "Budynas, Nisbett: Shigley's Mechanical Engineering Design, chapter 8.",
    mistakes: [
      "In thin or soft sheet the hole tears before the screw shears.",
      "One screw lets the joint turn: two at least.",
    ],
    plot: { over: "d", of: "n", from: 2, to: 8 },
  },
  {
    kind: "formulas",
    id: "glued-area",
    name: "Glued area",
    subject: "strength",
    use: "How large a lap joint has to be.",
    entries: [
      { symbol: "F", name: "load along the joint", unit: "N", value: "300" },
      { symbol: "τ", name: "shear strength of the glue on this material", unit: "MPa", value: "2" },
      { symbol: "S", name: "safety factor", unit: "1", value: "3", least: 1, most: 20 },
      { symbol: "b", name: "width of the joint", unit: "mm", value: "20" },
    ],
    steps: [
      { symbol: "A", name: "glued area", is: "F × S ÷ τ", unit: "mm²" },
      { symbol: "l", name: "length of the lap", is: "A ÷ b", unit: "mm" },
    ],
    valid: "A load along the joint; one that peels needs many times the area.",
    source: "Budynas, Nisbett: Shigley's Mechanical Engineering Design, chapter 9.",
    mistakes: ["Strength from a data sheet holds on clean, roughened faces: test a piece of your own."],
    caution: "Glue guns burn, solvents and quick glues need air and gloves: follow the shop's rules.",
    plot: { over: "b", of: "l", from: 5, to: 50 },
  },
];
