import {
  atMost,
  attempts,
  brief,
  buildGate,
  costs,
  could,
  drill,
  fitsIn,
  glueGun,
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

const mass = "It weighs at most 400 g without the counterweight";
const size = "It fits into 250 × 150 × 200 mm";
const cost = "Its parts cost at most 12.00";
const stop = "It stops at most 80 mm from the mark";
const time = "It arrives in at most 25 s";

/** A vehicle for an exact distance: it runs along a taut line, driven by a weight that sinks. */
export const vehicle: Kind = {
  name: "A vehicle that stops at a distance",
  about: "It runs alone, and the nearest to the mark wins. The mark is drawn on the day.",
  sessions: 24,
  project: {
    title: "Line Runner",
    purpose: "A lock keeper sends notes along a line over the water; the carrier stops at the right post by itself",
    kind: "contest",
    client: "Lock keeper (made up)",
    currency: "cr",
  },
  brief: brief(
    "Between two posts of a lock hangs a taut line. The keeper sends notes along it: the carrier hangs " +
      "from the line, " +
      "is driven by a counterweight of 300 g that sinks 600 mm beside it, and has to stop by itself where " +
      "the boat waits.",
    [
      mass,
      size,
      cost,
      stop,
      time,
      "Only the sinking counterweight drives it",
      "The mark is drawn between 2.0 and 5.0 m",
    ],
    "On the day the mark is drawn by lot. Each team has three runs, and ten minutes between them to set " +
      "the stop anew.",
    ["The counterweight sinks in a tube or behind a board; nobody reaches under it."],
  ),
  tools: [knife, glueGun, drill],
  protocols: [
    {
      name: "Run to the mark",
      definition: {
        conditions: [
          { key: "D", name: "Mark at", unit: "m", target: "3.50", tolerance: "0.01", u: "0.005" },
          { key: "M", name: "Counterweight", unit: "g", target: "300", tolerance: "3", u: "1" },
        ],
        measures: [
          { key: "d", name: "Stopped at", unit: "m", resolution: "0.005", u: "0.005", min: "0", max: "8" },
          { key: "t", name: "Time", unit: "s", resolution: "0.1", u: "0.2", min: "0.5", max: "120" },
        ],
        constants: [],
        derived: [
          {
            key: "off",
            name: "Off the mark",
            unit: "mm",
            expression: "abs(d - D)",
            decimals: 0,
            rule: "Distance from the mark, before or behind it.",
          },
          { key: "v", name: "Mean speed", unit: "m/s", expression: "d / t", decimals: 2, rule: "Distance over time." },
        ],
        primary: "off",
        better: "less",
        policy: { school: "mean", n: 3, foul: "out" },
        safety: [
          "The counterweight is guarded, and its line is looked at before each run.",
          "Nobody stands under the line; somebody watches its far post.",
        ],
      },
    },
    {
      name: "Rolling along the line",
      definition: {
        conditions: [{ key: "D", name: "Distance", unit: "m", target: "2.00", tolerance: "0.01" }],
        measures: [
          { key: "m", name: "Least mass that keeps it moving", unit: "g", resolution: "1", min: "1", max: "400" },
        ],
        constants: [{ key: "g", name: "Gravity", unit: "m/s^2", value: "9.81" }],
        derived: [
          {
            key: "F",
            name: "Rolling resistance",
            unit: "N",
            expression: "m * g",
            decimals: 3,
            rule: "The weight that just keeps it moving.",
          },
        ],
        primary: "F",
        better: "less",
        policy: { school: "median", n: 3, foul: "out" },
        safety: ["Hold the carrier until everybody's hands are off the line."],
      },
    },
  ],
  requirements: [
    must(mass, "inspection", atMost("mass", "400", "g")),
    must(size, "inspection", fitsIn("250 × 150 × 200 mm")),
    must(cost, "inspection", costs("12.00")),
    must(stop, "test", under("Run to the mark", "off", "≤", "80", "mm")),
    must(time, "test", under("Run to the mark", "t", "≤", "25", "s")),
    must("Only the sinking counterweight drives it", "inspection"),
    must("The stop is set for another mark within ten minutes", "demonstration"),
    should("It rolls with at most 0.15 N", "test", under("Rolling along the line", "F", "≤", "0.15", "N")),
    should("It stops without a jerk that drops its note", "demonstration"),
    could("It is hung on the line by one person in half a minute", "demonstration"),
  ],
  rubrics: rubrics("Design review", "Construction", "Notebook", "Teamwork"),
  milestones: [
    { title: "Concept chosen", session: 6 },
    { title: "Ready for material", session: 8, gate: buildGate("Drill press") },
    { title: "It runs", session: 13 },
    { title: "It stops", session: 17 },
    { title: "Inspection", session: 23 },
    { title: "Runs on the day", session: 24 },
  ],
  tasks: [
    { title: "Rules read, first sketches", length: 2 },
    { title: "A stop of card, tried by hand", length: 2, after: ["Rules read, first sketches"] },
    {
      title: "Concepts presented and chosen",
      length: 2,
      after: ["A stop of card, tried by hand"],
      milestone: "Concept chosen",
    },
    { title: "Drawings, parts, tool training", length: 2, after: ["Concept chosen"], milestone: "Ready for material" },
    { title: "Carrier and wheels", length: 3, after: ["Ready for material"] },
    { title: "Rolling along the line measured", length: 2, after: ["Carrier and wheels"], milestone: "It runs" },
    { title: "Stop built and set", length: 4, after: ["It runs"], milestone: "It stops" },
    { title: "One change at a time", length: 4, after: ["It stops"] },
    {
      title: "Runs at drawn marks, as on the day",
      length: 2,
      after: ["One change at a time"],
      milestone: "Inspection",
    },
  ],
  events: [
    attempts("To the mark", "Run to the mark", "off", "less", {
      resolution: "5",
      points: line(["0", "100"], ["80", "80"], ["300", "30"], ["800", "0"]),
    }),
  ],
  scheme: {
    decimals: 0,
    components: [
      ...usualParts("Design review", "Ready for material"),
      part(
        "stop",
        "Off the mark, best build",
        25,
        performance(
          { protocol: "Run to the mark", channel: "off", build: "best" },
          line(["0", "100"], ["80", "85"], ["300", "40"], ["800", "0"]),
        ),
      ),
      part("construction", "Construction", 20, { kind: "rubric", review: "Construction" }, late),
      part("musts", "Musts met", 15, { kind: "coverage" }),
    ],
  },
};
