import { exactly } from "@/core/run/reading";
import {
  atMost,
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

const mass = "It weighs at most 1.2 kg with a full stack";
const size = "It fits into 300 × 200 × 160 mm";
const cost = "Its parts cost at most 30.00";
const rate = "It gives exactly one slip in at least 95 % of the pushes";
const force = "A push takes at most 15 N";

/** A product for a client: one hand gives out paper slips, one by one. */
export const client: Kind = {
  name: "A product for a client",
  about: "A small thing that somebody uses every day, asked for by one person who can be asked back.",
  sessions: 30,
  project: {
    title: "Slip Giver",
    purpose: "A ferry's ticket keeper gives out paper slips with one hand, one at a time, in wind and rain",
    kind: "client",
    client: "Keeper of the ticket booth (made up)",
    currency: "cr",
  },
  brief: brief(
    "The keeper of a small ferry's ticket booth holds the rail with one hand and gives out numbered " +
      "paper slips with " +
      "the other. Slips stick together, two come at once, and on windy days the stack flies away. The keeper asks " +
      "for something that stands on the counter and gives one slip at each push.",
    [
      mass,
      size,
      cost,
      rate,
      force,
      "It holds 100 slips of 80 × 50 mm",
      "It is worked with either hand, and with a glove",
    ],
    "The keeper tries every product for a day and says what met the need, partly or not, with a reason.",
  ),
  questions: [
    "How many slips go out in the busiest hour?",
    "What does the keeper do while giving out a slip: which hand is free?",
    "What has been tried before, and why was it put away?",
    "How wet and how windy does it get at the counter?",
    "Who fills the stack, where, and how long may that take?",
    "What must never happen: a slip lost, two given, a finger caught?",
  ],
  tools: [knife, glueGun, drill],
  protocols: [
    {
      name: "Fifty pushes",
      definition: {
        conditions: [{ key: "N", name: "Slips in the stack", ...exactly, target: "100", tolerance: "0" }],
        measures: [
          { key: "one", name: "Pushes that gave one slip", ...exactly, kind: "count", min: "0", max: "50" },
          { key: "two", name: "Pushes that gave more", ...exactly, kind: "count", min: "0", max: "50" },
          { key: "F", name: "Highest force of a push", unit: "N", resolution: "0.5", u: "0.5", min: "0.5", max: "80" },
        ],
        constants: [{ key: "n", name: "Pushes", unit: "1", value: "50" }],
        derived: [
          {
            key: "rate",
            name: "One slip a push",
            unit: "%",
            expression: "one / n",
            decimals: 1,
            rule: "Pushes that gave exactly one slip, of fifty.",
          },
        ],
        primary: "rate",
        better: "more",
        policy: { school: "median", n: 3, foul: "zero" },
        safety: ["Fingers stay off the mouth while somebody pushes.", "New blades and springs are shown first."],
      },
    },
  ],
  requirements: [
    must(mass, "inspection", atMost("mass", "1.2", "kg")),
    must(size, "inspection", fitsIn("300 × 200 × 160 mm")),
    must(cost, "inspection", costs("30.00")),
    must(rate, "test", under("Fifty pushes", "rate", "≥", "95", "%")),
    must(force, "test", under("Fifty pushes", "F", "≤", "15", "N")),
    must("It holds 100 slips of 80 × 50 mm", "demonstration"),
    must("It is worked with either hand, and with a glove", "demonstration"),
    must("No edge can cut and no gap can hold a finger", "inspection"),
    should("The stack is filled in less than half a minute", "demonstration"),
    should("Slips stay in place when somebody blows at them as hard as they can", "demonstration"),
    could("The keeper sees from outside when slips run low", "inspection"),
  ],
  rubrics: rubrics("Design review", "Final product", "Notebook", "Teamwork"),
  milestones: [
    { title: "Client heard, needs agreed", session: 5 },
    { title: "Concept chosen by the client", session: 9 },
    { title: "Ready for material", session: 12, gate: buildGate("Drill press") },
    { title: "First prototype tested", session: 18 },
    { title: "Design review held", session: 21 },
    { title: "Final product handed over", session: 29 },
  ],
  tasks: [
    { title: "Draft questions, hear the client", length: 3 },
    {
      title: "Write the requirements",
      length: 2,
      after: ["Draft questions, hear the client"],
      milestone: "Client heard, needs agreed",
    },
    {
      title: "Sketch alone, present, screen",
      length: 4,
      after: ["Client heard, needs agreed"],
      milestone: "Concept chosen by the client",
    },
    { title: "Mock-up of card", length: 2, after: ["Concept chosen by the client"] },
    {
      title: "Drawings, parts, tool training",
      length: 2,
      after: ["Concept chosen by the client"],
      milestone: "Ready for material",
    },
    { title: "Build the first prototype", length: 4, after: ["Ready for material", "Mock-up of card"] },
    {
      title: "Fifty pushes, three times",
      length: 2,
      after: ["Build the first prototype"],
      milestone: "First prototype tested",
    },
    {
      title: "Prepare and hold the review",
      length: 2,
      after: ["First prototype tested"],
      milestone: "Design review held",
    },
    { title: "Second prototype, one change at a time", length: 4, after: ["Design review held"] },
    {
      title: "Final build and hand-over",
      length: 4,
      after: ["Second prototype, one change at a time"],
      milestone: "Final product handed over",
    },
  ],
  scheme: {
    decimals: 0,
    components: [
      ...usualParts("Design review", "Ready for material"),
      part("musts", "Musts met", 20, { kind: "coverage" }),
      part(
        "rate",
        "One slip a push",
        15,
        performance(
          { protocol: "Fifty pushes", channel: "rate", build: "best" },
          line(["60", "0"], ["85", "60"], ["95", "90"], ["100", "100"]),
        ),
      ),
      part("product", "Final product, with the client", 25, { kind: "rubric", review: "Final product" }, late),
    ],
  },
};
