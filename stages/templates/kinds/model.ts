import { exactly } from "@/core/run/reading";
import {
  brief,
  buildGate,
  costs,
  drill,
  fitsIn,
  type Kind,
  knife,
  late,
  line,
  must,
  part,
  performance,
  rubrics,
  should,
  under,
  usualParts,
} from "./kind";

const scale = "Every part is drawn at 1:20 with its own tolerance";
const size = "A bay fits into 180 × 120 × 220 mm";
const cost = "The material of a bay costs at most 9.00";
const gap = "No joint gapes by more than 0.5 mm";
const long = "A bay is 150 ± 0.4 mm long";

/** A scale model of many parts, drawn and cut by many hands, that must line up. */
export const model: Kind = {
  name: "A scale model of many parts",
  about: "Each team draws and cuts one bay; all bays stand in one row. Measured is how they line up.",
  sessions: 22,
  project: {
    title: "Signal House",
    purpose:
      "A village rebuilds its railway's signal house of eight bays as a model, from the two drawings that are left",
    kind: "client",
    client: "A village archive (made up)",
    currency: "cr",
  },
  brief: brief(
    "Of a signal house with eight equal bays two drawings are left. The archive wants a model at 1:20 " +
      "for its window: each " +
      "bay is made by another team, taken apart for cleaning, and all eight stand in one row.",
    [
      scale,
      size,
      cost,
      gap,
      long,
      "Parts are changed for another team's without filing",
      "Each member draws an equal number of parts",
    ],
    "The bays are put in a row before the archive's people. Nothing is filed on that day: what does not fit is told.",
    ["Laser and saw are worked by trained people alone; no unknown sheet goes into the laser."],
  ),
  questions: [
    "Which of the two drawings is right where they differ?",
    "What has to come off for cleaning, and how often?",
    "From which side is the model seen, and from how far?",
  ],
  tools: [
    knife,
    drill,
    {
      name: "Laser cutter",
      caution: "Never unattended, extraction on, only sheets from the list: no PVC, nothing unknown.",
      months: 6,
      shared: true,
      checks: "Extraction runs\nLens and tray clean\nLid switch stops the beam\nExtinguisher and fire blanket in reach",
    },
  ],
  protocols: [
    {
      name: "A bay measured",
      definition: {
        conditions: [{ key: "T", name: "Room", unit: "°C", target: "21", tolerance: "4" }],
        measures: [
          { key: "L", name: "Length of the bay", unit: "mm", resolution: "0.05", u: "0.05", min: "100", max: "200" },
          { key: "gap", name: "Widest gap of a joint", unit: "mm", resolution: "0.05", u: "0.05", min: "0", max: "10" },
          {
            key: "sq",
            name: "Difference of the diagonals",
            unit: "mm",
            resolution: "0.1",
            u: "0.1",
            min: "0",
            max: "20",
          },
        ],
        constants: [{ key: "n", name: "Nominal length", unit: "mm", value: "150" }],
        derived: [
          {
            key: "off",
            name: "Off the nominal length",
            unit: "mm",
            expression: "abs(L - n)",
            decimals: 2,
            rule: "How far the length is from 150 mm, either way.",
          },
        ],
        primary: "off",
        better: "less",
        policy: { school: "mean", n: 3, foul: "out" },
        safety: ["Blades away before anybody measures."],
      },
    },
    {
      name: "Parts changed between teams",
      definition: {
        conditions: [],
        measures: [
          { key: "fits", name: "Parts that fit unfiled", ...exactly, kind: "count", min: "0", max: "12" },
          { key: "tried", name: "Parts tried", ...exactly, kind: "count", min: "1", max: "12" },
        ],
        constants: [],
        derived: [
          {
            key: "share",
            name: "Fit unfiled",
            unit: "%",
            expression: "fits / tried",
            decimals: 0,
            rule: "Parts of another team that fit without filing, of those tried.",
          },
        ],
        primary: "share",
        better: "more",
        policy: { school: "last", n: 1, foul: "out" },
        safety: ["Nothing is forced: thin parts splinter. Eyes protected."],
      },
    },
  ],
  requirements: [
    must(scale, "inspection"),
    must(size, "inspection", fitsIn("180 × 120 × 220 mm")),
    must(cost, "inspection", costs("9.00")),
    must(gap, "test", under("A bay measured", "gap", "≤", "0.5", "mm")),
    must(long, "test", under("A bay measured", "L", "±", "150", "mm", "0.4")),
    must(
      "Parts are changed for another team's without filing",
      "test",
      under("Parts changed between teams", "share", "≥", "80", "%"),
    ),
    must("Each member draws an equal number of parts", "inspection"),
    should("The diagonals of a bay differ by at most 0.5 mm", "test", under("A bay measured", "sq", "≤", "0.5", "mm")),
    should("It is taken apart for cleaning without tools", "demonstration"),
    should("What was not on the drawings is marked as the class's own", "inspection"),
  ],
  rubrics: rubrics("Design review", "Construction", "Notebook", "Teamwork"),
  milestones: [
    { title: "Drawings read, open questions asked", session: 3 },
    { title: "Tolerances agreed between the teams", session: 7 },
    { title: "Ready for material", session: 10, gate: buildGate("Laser cutter") },
    { title: "First bay measured", session: 15 },
    { title: "Parts changed between teams", session: 18 },
    { title: "All bays in one row", session: 22 },
  ],
  tasks: [
    { title: "Read the drawings, list the parts", length: 2, milestone: "Drawings read, open questions asked" },
    { title: "Share the parts out", length: 1, after: ["Read the drawings, list the parts"] },
    {
      title: "Stack of tolerances reckoned",
      length: 2,
      after: ["Share the parts out"],
      milestone: "Tolerances agreed between the teams",
    },
    {
      title: "Own parts drawn and checked by a neighbour",
      length: 3,
      after: ["Tolerances agreed between the teams"],
      milestone: "Ready for material",
    },
    { title: "Cut, once only from the good sheet", length: 3, after: ["Ready for material"] },
    {
      title: "Put together and measured",
      length: 2,
      after: ["Cut, once only from the good sheet"],
      milestone: "First bay measured",
    },
    {
      title: "Parts tried at the neighbour's",
      length: 2,
      after: ["First bay measured"],
      milestone: "Parts changed between teams",
    },
    {
      title: "What did not fit is drawn and cut anew",
      length: 3,
      after: ["Parts changed between teams"],
      milestone: "All bays in one row",
    },
  ],
  scheme: {
    decimals: 0,
    components: [
      ...usualParts("Design review", "Ready for material"),
      part(
        "off",
        "Off the nominal length",
        15,
        performance(
          { protocol: "A bay measured", channel: "off", build: "best" },
          line(["0", "100"], ["0.4", "85"], ["1", "50"], ["3", "0"]),
        ),
      ),
      part(
        "fits",
        "Fits at the neighbour's",
        10,
        performance(
          { protocol: "Parts changed between teams", channel: "share", build: "best" },
          line(["0", "0"], ["80", "85"], ["100", "100"]),
        ),
      ),
      part("construction", "Construction", 20, { kind: "rubric", review: "Construction" }, late),
      part("musts", "Musts met", 15, { kind: "coverage" }),
    ],
  },
};
