import { exactly } from "@/core/run/reading";
import {
  atMost,
  attempts,
  brief,
  buildGate,
  costs,
  could,
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
  solder,
  under,
  usualParts,
} from "./kind";

const mass = "It weighs at most 1.0 kg";
const size = "It fits into 250 × 250 × 250 mm at the start";
const cost = "Its parts cost at most 60.00, the controller not counted";
const pegs = "It carries at least 6 of 12 corks into its corner in 90 s";

/** An autonomous machine in a ring: it gathers corks after the grape harvest, alone and against another. */
export const ring: Kind = {
  name: "An autonomous machine in a ring",
  about: "It works alone for a minute and a half: first by itself, then two in one ring.",
  sessions: 40,
  project: {
    title: "Cork Gleaner",
    purpose: "A wine cellar's floor is cleared of corks at night, by a machine that never leaves its room",
    kind: "contest",
    client: "A wine cellar (made up)",
    currency: "cr",
  },
  brief: brief(
    "After bottling, a cellar's floor is full of corks. A small machine gathers them alone, at night, " +
      "and never falls down " +
      "the stair. The ring is 1.6 m wide with a dark border of 50 mm; each machine has a corner of its own.",
    [
      mass,
      size,
      cost,
      pegs,
      "It stops by itself after 90 s",
      "It never leaves the ring by its own doing",
      "No radio; nobody touches it",
    ],
    "First each machine alone, twelve corks, three rounds. Then two in one ring with 24 corks: who has " +
      "more in the corner.",
    [
      "Batteries are charged in the school's charging box only, and looked at before each run; a swollen " +
        "one is put outside.",
      "A switch that stops it stands on top, red, and is tried before each run.",
    ],
  ),
  tools: [knife, solder, drill],
  protocols: [
    {
      name: "Twelve corks",
      definition: {
        conditions: [
          { key: "N", name: "Corks in the ring", ...exactly, target: "12", tolerance: "0" },
          { key: "U", name: "Battery before the run", unit: "V", target: "7.8", tolerance: "0.6" },
        ],
        measures: [
          { key: "k", name: "Corks in the corner", ...exactly, kind: "count", min: "0", max: "12" },
          { key: "out", name: "Times over the border", ...exactly, kind: "count", min: "0", max: "20" },
          { key: "t", name: "Time until the last cork", unit: "s", resolution: "0.5", u: "0.5", min: "1", max: "90" },
        ],
        constants: [],
        derived: [
          {
            key: "rate",
            name: "Corks a minute",
            unit: "1/min",
            expression: "k / t",
            decimals: 2,
            rule: "Corks over the time until the last one.",
          },
        ],
        primary: "k",
        better: "more",
        policy: { school: "mean", n: 3, foul: "zero" },
        safety: [
          "The red switch is tried before the run; who stands at it looks at nothing else.",
          "Fingers off while it may move; batteries are looked at before they are put in.",
        ],
      },
    },
  ],
  requirements: [
    must(mass, "inspection", atMost("mass", "1.0", "kg")),
    must(size, "inspection", fitsIn("250 × 250 × 250 mm")),
    must(cost, "inspection", costs("60.00")),
    must(pegs, "test", under("Twelve corks", "k", "≥", "6", "1")),
    must("It stops by itself after 90 s", "demonstration"),
    must("It never leaves the ring by its own doing", "test", under("Twelve corks", "out", "≤", "0", "1")),
    must("A red switch on top stops it at once", "demonstration"),
    must("No radio; nobody touches it", "inspection"),
    should("It begins anew by itself after it was pushed aside", "demonstration"),
    should("Its program is drawn as states with what leads from one to the other", "inspection"),
    could("It gathers at least 10 of 12 corks", "test", under("Twelve corks", "k", "≥", "10", "1")),
  ],
  rubrics: rubrics("Design review", "Construction", "Notebook", "Teamwork"),
  milestones: [
    { title: "Entry challenge: it follows the border", session: 5 },
    { title: "Concept chosen", session: 9 },
    { title: "Ready for material", session: 12, gate: buildGate("Soldering iron") },
    { title: "It drives and stops at the border", session: 20 },
    { title: "It gathers one cork", session: 26 },
    { title: "Design review held", session: 30 },
    { title: "Inspection", session: 39 },
    { title: "Rounds on the day", session: 40 },
  ],
  tasks: [
    { title: "Entry challenge with a ready chassis", length: 4, milestone: "Entry challenge: it follows the border" },
    { title: "Gatherers of card, pushed by hand", length: 2, after: ["Entry challenge: it follows the border"] },
    {
      title: "Concepts presented and chosen",
      length: 2,
      after: ["Gatherers of card, pushed by hand"],
      milestone: "Concept chosen",
    },
    {
      title: "Drawings, wiring plan, tool training",
      length: 3,
      after: ["Concept chosen"],
      milestone: "Ready for material",
    },
    { title: "Chassis and drive", length: 5, after: ["Ready for material"] },
    { title: "States drawn, border found", length: 4, after: ["Concept chosen"] },
    {
      title: "It drives alone",
      length: 3,
      after: ["Chassis and drive", "States drawn, border found"],
      milestone: "It drives and stops at the border",
    },
    { title: "Gatherer", length: 5, after: ["It drives and stops at the border"], milestone: "It gathers one cork" },
    {
      title: "Prepare and hold the review",
      length: 2,
      after: ["It gathers one cork"],
      milestone: "Design review held",
    },
    { title: "Twelve corks, one change at a time", length: 6, after: ["Design review held"], milestone: "Inspection" },
  ],
  events: [
    attempts("Twelve corks", "Twelve corks", "k", "more", {
      school: "mean",
      foul: "zero",
      ties: "digits",
      points: line(["0", "0"], ["6", "70"], ["12", "100"]),
      cautions: "Red switch tried\nBatteries looked at\nNobody reaches into the ring before the machine stands still",
    }),
    {
      matches: {
        name: "Two in the ring",
        format: "robin",
        decides: "measured",
        measure: "corks in the corner",
        unit: "1",
        better: "more",
        resolution: "1",
        placePoints: "40, 30, 20, 10",
        cautions: "Red switches tried\nNobody reaches into the ring before both machines stand still",
      },
    },
  ],
  scheme: {
    decimals: 0,
    components: [
      ...usualParts("Design review", "Ready for material"),
      part(
        "k",
        "Corks in the corner",
        25,
        performance(
          { protocol: "Twelve corks", channel: "k", build: "best" },
          line(["0", "0"], ["6", "80"], ["12", "100"]),
        ),
      ),
      part("construction", "Construction and wiring", 20, { kind: "rubric", review: "Construction" }, late),
      part("musts", "Musts met", 15, { kind: "coverage" }),
    ],
  },
};
