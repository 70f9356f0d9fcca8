import { exactly } from "@/core/run/reading";
import {
  attempts,
  brief,
  buildGate,
  costs,
  fitsIn,
  glueGun,
  type Kind,
  knife,
  late,
  must,
  part,
  performance,
  rubrics,
  should,
  under,
  usualParts,
} from "./kind";

const order = [
  "The knocker falls",
  "The ball leaves its gate",
  "The lever tips",
  "The cord runs off the drum",
  "The cup fills",
  "The bolt is drawn",
  "The flag rises",
  "The bell rings",
];
const ladder = [
  { name: "3 steps", points: "40" },
  { name: "5 steps", points: "60" },
  { name: "7 steps", points: "80" },
  { name: "8 steps", points: "100" },
];
const size = "It fits into 1000 × 500 × 900 mm";
const cost = "Its parts cost at most 20.00";
const time = "It takes at least 20 s and at most 60 s";
const rises = "At its end a flag rises by 600 mm and a bell rings";

/** A machine of steps that trigger one another: it hoists a harbour's flag and rings the bell. */
export const steps: Kind = {
  name: "A machine of steps",
  about: "Each step sets off the next; three takes, and a ladder of success that is agreed beforehand.",
  sessions: 20,
  project: {
    title: "Harbour Bell",
    purpose:
      "A harbour's small museum shows at every full hour how the ships were called: by one push, and then by itself",
    kind: "both",
    client: "A harbour museum (made up)",
    currency: "cr",
  },
  brief: brief(
    "The museum's visitors push a knocker once. What follows they watch: eight steps, each set off by " +
      "the one before, until " +
      "a flag has risen and a bell has rung. It has to work at every full hour, so steadiness is worth " +
      "more than wit.",
    [size, cost, time, rises, "It has eight steps of at least five kinds", "It is set up anew in at most 10 min"],
    "Each machine has three takes. How many steps go without a hand counts; a touch ends the take there.",
    ["Falling weights at most 500 g; no flame, no mains power, nothing that flies off."],
  ),
  tools: [knife, glueGun],
  protocols: [
    {
      name: "A take",
      definition: {
        conditions: [],
        measures: [
          { key: "passed", name: "Steps passed", ...exactly, kind: "count", min: "0", max: "8" },
          { key: "t", name: "Time", unit: "s", resolution: "0.5", u: "0.5", min: "1", max: "300" },
          { key: "set", name: "Set up in", unit: "min", resolution: "0.5", min: "0.5", max: "60" },
        ],
        constants: [],
        derived: [],
        primary: "passed",
        better: "more",
        policy: { school: "best", n: 3, foul: "out" },
        safety: [
          "Nobody reaches in while it runs: a hand ends the take.",
          "Weights hang over the table only, and at most 500 g each.",
        ],
        steps: order,
      },
    },
  ],
  requirements: [
    must(size, "inspection", fitsIn("1000 × 500 × 900 mm")),
    must(cost, "inspection", costs("20.00")),
    must(time, "test", under("A take", "t", "between", "20", "s", "60")),
    must(rises, "demonstration"),
    must("It has eight steps of at least five kinds", "inspection"),
    must("It is set up anew in at most 10 min", "test", under("A take", "set", "≤", "10", "min")),
    must("Nothing flies off, burns or pinches", "inspection"),
    should("At least seven steps go in every take", "test", under("A take", "passed", "≥", "7", "1")),
    should("A visitor of eight years understands each step by looking", "demonstration"),
  ],
  rubrics: rubrics("Design review", "Presentation", "Notebook", "Teamwork"),
  milestones: [
    { title: "Steps shared out", session: 4 },
    { title: "Ready for material", session: 6, gate: buildGate() },
    { title: "Each step works alone", session: 11 },
    { title: "Neighbours work together", session: 15 },
    { title: "Whole machine", session: 18 },
    { title: "Three takes before all", session: 20 },
  ],
  tasks: [
    { title: "Steps sketched, shared out", length: 3, milestone: "Steps shared out" },
    {
      title: "What each step hands on, agreed in numbers",
      length: 2,
      after: ["Steps sketched, shared out"],
      milestone: "Ready for material",
    },
    {
      title: "Own step, ten times alone",
      length: 4,
      after: ["Ready for material"],
      milestone: "Each step works alone",
    },
    {
      title: "Pairs of neighbours",
      length: 4,
      after: ["Each step works alone"],
      milestone: "Neighbours work together",
    },
    {
      title: "All steps; the weakest is mended first",
      length: 3,
      after: ["Neighbours work together"],
      milestone: "Whole machine",
    },
    { title: "Takes as on the day", length: 2, after: ["Whole machine"], milestone: "Three takes before all" },
  ],
  events: [
    attempts("Three takes", "A take", "passed", "more", {
      ties: "digits",
      tieBreaks: ["second", "lot"],
      points: {
        kind: "levels",
        levels: [
          { name: "1", points: "15" },
          { name: "2", points: "30" },
          { name: "3", points: "40" },
          { name: "4", points: "50" },
          { name: "5", points: "60" },
          { name: "6", points: "70" },
          { name: "7", points: "80" },
          { name: "8", points: "100" },
        ],
        none: "0",
      },
      cautions: "Nobody reaches in while it runs\nWeights hang over the table only",
    }),
    {
      judged: {
        name: "Shown to visitors",
        criteria: [
          { key: "", name: "Each step can be understood", weight: "2" },
          { key: "", name: "Workmanship", weight: "1" },
        ],
        most: 5,
        method: "mean",
        tie: "shared",
        full: "100",
        cautions: "Visitors stand behind the rope",
      },
    },
  ],
  scheme: {
    decimals: 0,
    components: [
      ...usualParts("Design review", "Ready for material"),
      part(
        "takes",
        "How far it goes",
        25,
        performance(
          { protocol: "A take", channel: "passed", build: "best" },
          {
            kind: "bands",
            better: "more",
            otherwise: "0",
            bands: [...ladder].reverse().map((x) => ({ at: x.name.split(" ")[0]!, points: x.points })),
          },
        ),
      ),
      part("show", "Shown to visitors", 15, { kind: "rubric", review: "Presentation" }),
      part("musts", "Musts met", 20, { kind: "coverage" }, late),
    ],
  },
};
