import type { Calculator } from "./calculator";
import { electricity } from "./electricity";
import { falls } from "./falls";
import { flow } from "./flow";
import { heat } from "./heat";
import { likeness } from "./likeness";
import { machines } from "./machines";
import { motion } from "./motion";
import { stock } from "./stock";
import { strength } from "./strength";
import { sums } from "./sums";

const outline: Calculator = {
  kind: "outline",
  id: "outline",
  name: "Part from its corners",
  subject: "stock",
  use: "Area, edge, centre and size of a part from a list of coordinates, and whether it fits on the sheet.",
  start: {
    corners: "0 0\n120 0\n120 40\n60 80\n0 40",
    sheet: ["600 mm", "400 mm"],
    border: "5 mm",
  },
  valid: "A flat part with straight edges that do not cross.",
  source: "Plane geometry: the shoelace formula.",
  mistakes: ["Corners out of order: the edges cross.", "x and y swapped in one line."],
  caution: "Cutters and lasers only after the shop's sign-off, with its extraction on and never alone.",
};

const truss: Calculator = {
  kind: "truss",
  id: "truss",
  name: "Plane truss by joints",
  subject: "strength",
  use: "Which members of a small truss are pulled and which are pressed, and how hard.",
  start: {
    joints: "A 0 0\nB 200 0\nC 400 0\nD 100 150\nE 300 150",
    members: "A B\nB C\nD E\nA D\nD B\nB E\nE C",
    supports: "A pin\nC roller",
    loads: "B 0 -60",
  },
  valid: "Straight members joined at their ends, loads at the joints, everything in one plane.",
  source: "Hibbeler: Statics, chapter 6.",
  mistakes: [
    "A pressed member is checked for buckling too: it fails long before it is crushed.",
    "A load that hangs between two joints bends its member: it is no truss any more.",
  ],
  caution: "When it breaks, parts fly: eye protection, a shield, hands away.",
};

/** Every calculator of the handbook, in the order of its subjects. */
export const calculators: readonly Calculator[] = [
  ...motion,
  ...machines,
  ...flow,
  ...falls,
  ...strength,
  truss,
  ...stock,
  outline,
  ...electricity,
  ...heat,
  ...likeness,
  ...sums,
];

/**
 * The calculator of a name in the address; undefined where there is none.
 * @example calculatorOf("lever")?.name // => "Lever"
 */
export const calculatorOf = (id: string): Calculator | undefined => calculators.find((c) => c.id === id);
