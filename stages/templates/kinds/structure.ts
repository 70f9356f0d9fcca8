import {
  atMost,
  attempts,
  brief,
  buildGate,
  costs,
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

const mass = "It weighs at most 180 g";
const size = "It fits into 260 × 120 × 200 mm";
const cost = "Its material costs at most 5.00";
const carries = "It carries at least 6 kg, 220 mm from the wall";
const sags = "Its end sinks at most 8 mm under 3 kg";

/** A structure under load: a bracket of corrugated card that holds an exhibit off a wall. */
export const structure: Kind = {
  name: "A structure under load",
  about: "Loaded until it breaks; judged by load over its own mass, and by where and why it gave way.",
  sessions: 18,
  project: {
    title: "Gallery Bracket",
    purpose:
      "A travelling exhibition hangs its pieces off the wall on brackets that are thrown away afterwards: of card",
    kind: "both",
    client: "A travelling exhibition (made up)",
    currency: "cr",
  },
  brief: brief(
    "A travelling exhibition puts up brackets in rooms where nothing may be drilled twice and everything " +
      "is thrown away " +
      "after a week. It asks for brackets of corrugated card and glue that hold an exhibit off the wall.",
    [
      mass,
      size,
      cost,
      carries,
      sags,
      "Only corrugated card, paper tape and white glue",
      "It hangs on two screws 80 mm apart",
    ],
    "Every bracket is loaded until it gives way. Who has said beforehand where it will break is asked first.",
    ["Eyes protected at the loading rig; feet away from under the load; weights are laid on, never dropped."],
  ),
  tools: [knife, glueGun],
  protocols: [
    {
      name: "Load to failure",
      definition: {
        conditions: [{ key: "a", name: "Load from the wall", unit: "mm", target: "220", tolerance: "2", u: "1" }],
        measures: [
          { key: "P", name: "Load carried", unit: "kg", resolution: "0.25", u: "0.05", min: "0", max: "80" },
          { key: "m", name: "Own mass", unit: "g", resolution: "1", u: "1", min: "5", max: "400" },
          { key: "s", name: "Sunk under 3 kg", unit: "mm", resolution: "0.5", u: "0.5", min: "0", max: "80" },
        ],
        constants: [{ key: "g", name: "Gravity", unit: "m/s^2", value: "9.81" }],
        derived: [
          {
            key: "q",
            name: "Load over mass",
            unit: "1",
            expression: "P / m",
            decimals: 1,
            rule: "How many times its own mass it carried.",
          },
          {
            key: "M",
            name: "Moment at the wall",
            unit: "N m",
            expression: "P * g * a",
            decimals: 2,
            rule: "Weight of the load times its distance from the wall.",
          },
        ],
        primary: "q",
        better: "more",
        policy: { school: "first", n: 1, foul: "zero" },
        safety: [
          "Eyes protected; feet and hands away from under the load.",
          "A box with a soft floor stands under the load; it hangs at most 100 mm above it.",
          "Weights are laid on one by one, and everybody steps back before each.",
        ],
      },
    },
  ],
  requirements: [
    must(mass, "inspection", atMost("mass", "180", "g")),
    must(size, "inspection", fitsIn("260 × 120 × 200 mm")),
    must(cost, "inspection", costs("5.00")),
    must(carries, "test", under("Load to failure", "P", "≥", "6", "kg")),
    must(sags, "test", under("Load to failure", "s", "≤", "8", "mm")),
    must("Only corrugated card, paper tape and white glue", "inspection"),
    must("It hangs on two screws 80 mm apart", "inspection"),
    should("It carries at least 60 times its own mass", "test", under("Load to failure", "q", "≥", "60", "1")),
    should("The place where it will break is said beforehand, with the reason", "analysis"),
    should("Two can be cut from one sheet of 600 × 400 mm", "demonstration"),
  ],
  rubrics: rubrics("Design review", "Reasons and records", "Notebook", "Teamwork"),
  milestones: [
    { title: "Material known", session: 3 },
    { title: "Ready for material", session: 6, gate: buildGate() },
    { title: "First bracket broken", session: 9 },
    { title: "Second bracket broken", session: 13 },
    { title: "Last brackets broken before all", session: 18 },
  ],
  tasks: [
    { title: "Strips of card, flat and on edge", length: 2, milestone: "Material known" },
    { title: "Forces sketched, where it will break", length: 2, after: ["Material known"] },
    {
      title: "Drawing, and how it lies on the sheet",
      length: 1,
      after: ["Forces sketched, where it will break"],
      milestone: "Ready for material",
    },
    { title: "First bracket", length: 2, after: ["Ready for material"] },
    {
      title: "Loaded, and the break looked at",
      length: 1,
      after: ["First bracket"],
      milestone: "First bracket broken",
    },
    {
      title: "Second bracket answers the break",
      length: 3,
      after: ["First bracket broken"],
      milestone: "Second bracket broken",
    },
    {
      title: "Third bracket, lighter",
      length: 4,
      after: ["Second bracket broken"],
      milestone: "Last brackets broken before all",
    },
  ],
  events: [
    attempts("Load over mass", "Load to failure", "q", "more", {
      school: "first",
      n: 1,
      foul: "zero",
      resolution: "0.1",
      tieBreaks: ["lighter", "lot"],
      points: { kind: "ratio", points: "100", better: "more" },
    }),
  ],
  scheme: {
    decimals: 0,
    components: [
      ...usualParts("Design review", "Ready for material"),
      part(
        "q",
        "Load over mass, best build",
        25,
        performance(
          { protocol: "Load to failure", channel: "q", build: "best" },
          line(["10", "0"], ["40", "60"], ["60", "85"], ["90", "100"]),
        ),
      ),
      part(
        "reasons",
        "Reasons and records, also of a brave failure",
        20,
        { kind: "rubric", review: "Reasons and records" },
        late,
      ),
      part("musts", "Musts met", 15, { kind: "coverage" }),
    ],
  },
};
