import { exactly } from "@/core/run/reading";
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
  must,
  part,
  performance,
  rubrics,
  should,
  under,
  usualParts,
} from "./kind";

const mass = "It weighs at most 250 g with its load";
const size = "It fits into 250 × 250 × 250 mm";
const cost = "Its material costs at most 6.00";
const whole = "Its three discs are whole after a fall of 4 m";
const lands = "It comes down at most 1.0 m from the mark";

/** Protection from a drop: thin plaster discs on their way down from a mountain hut. */
export const drop: Kind = {
  name: "Protection from a drop",
  about:
    "What it protects is hurt by degrees, so every drop tells something; a ladder of heights is agreed beforehand.",
  sessions: 16,
  project: {
    title: "Hut Parcel",
    purpose: "A mountain hut lets its samples down the cliff, since the cable is out of order until summer",
    kind: "both",
    client: "Keeper of a mountain hut (made up)",
    currency: "cr",
  },
  brief: brief(
    "A weather hut on a cliff sends thin plaster discs with soil samples to the valley. The cable stands " +
      "still until " +
      "summer, so they are dropped: in something light that costs next to nothing and can be used again.",
    [
      mass,
      size,
      cost,
      whole,
      lands,
      "It opens and closes without tools, and is used three times",
      "No parachute of plastic",
    ],
    "Three discs of plaster, 60 mm wide and 3 mm thick, are dropped from 2, 3, 4 and 6 m until one breaks.",
    [
      "The landing place is roped off; nobody steps in before the dropper calls.",
      "Who drops stands on the school's own gallery or stair, never on a chair or a ladder.",
    ],
  ),
  tools: [knife, glueGun],
  protocols: [
    {
      name: "Drop of the parcel",
      definition: {
        conditions: [{ key: "h", name: "Height of the drop", unit: "m", target: "4.00", tolerance: "0.05", u: "0.02" }],
        measures: [
          {
            key: "damage",
            name: "Worst disc",
            ...exactly,
            kind: "level",
            levels: ["whole", "chipped", "cracked", "broken"],
          },
          { key: "r", name: "Landed from the mark", unit: "m", resolution: "0.05", u: "0.05", min: "0", max: "10" },
          { key: "s", name: "Crushed by", unit: "mm", resolution: "1", u: "1", min: "1", max: "250" },
        ],
        constants: [{ key: "g", name: "Gravity", unit: "m/s^2", value: "9.81" }],
        derived: [
          {
            key: "v",
            name: "Speed at the ground",
            unit: "m/s",
            expression: "sqrt(2 * g * h)",
            decimals: 2,
            rule: "Free fall, without air.",
          },
          {
            key: "a",
            name: "Mean deceleration",
            unit: "m/s^2",
            expression: "g * h / s",
            decimals: 0,
            rule: "What the crushing takes: gravity times height over the way it is crushed.",
          },
        ],
        primary: "damage",
        better: "less",
        policy: { school: "median", n: 3, foul: "out" },
        safety: [
          "The landing place is roped off and watched; nobody steps in before the dropper calls.",
          "Eyes protected: plaster splinters.",
          "Who drops stands behind a rail.",
        ],
      },
    },
    {
      name: "Highest drop",
      definition: {
        conditions: [],
        measures: [
          { key: "h", name: "Highest drop with all discs whole", unit: "m", resolution: "0.5", min: "0", max: "8" },
          { key: "m", name: "Mass with its load", unit: "g", resolution: "1", u: "1", min: "20", max: "500" },
        ],
        constants: [{ key: "g", name: "Gravity", unit: "m/s^2", value: "9.81" }],
        derived: [
          {
            key: "E",
            name: "Energy taken up",
            unit: "J",
            expression: "m * g * h",
            decimals: 2,
            rule: "Weight times height.",
          },
        ],
        primary: "h",
        better: "more",
        policy: { school: "best", n: 1, foul: "zero" },
        safety: ["The landing place is roped off and watched.", "Nobody drops from higher than the school allows."],
      },
    },
  ],
  requirements: [
    must(mass, "inspection", atMost("mass", "250", "g")),
    must(size, "inspection", fitsIn("250 × 250 × 250 mm")),
    must(cost, "inspection", costs("6.00")),
    must(whole, "demonstration"),
    must(lands, "test", under("Drop of the parcel", "r", "≤", "1.0", "m")),
    must("It opens and closes without tools, and is used three times", "demonstration"),
    must("No parachute of plastic", "inspection"),
    should("The discs slow down over at least 60 mm", "test", under("Drop of the parcel", "s", "≥", "60", "mm")),
    should("A stranger packs it rightly from a drawing", "demonstration"),
  ],
  rubrics: rubrics("Design review", "Reasons and records", "Notebook", "Teamwork"),
  milestones: [
    { title: "Materials crushed and compared", session: 4 },
    { title: "Ready for material", session: 6, gate: buildGate() },
    { title: "First parcel dropped from 2 m", session: 9 },
    { title: "Parcel dropped from 4 m", session: 13 },
    { title: "Drops before all", session: 16 },
  ],
  tasks: [
    { title: "What crushes evenly: six materials", length: 2, milestone: "Materials crushed and compared" },
    { title: "How far it has to give way", length: 1, after: ["What crushes evenly: six materials"] },
    {
      title: "Sketches, one chosen",
      length: 2,
      after: ["How far it has to give way"],
      milestone: "Ready for material",
    },
    { title: "First parcel", length: 2, after: ["Ready for material"], milestone: "First parcel dropped from 2 m" },
    { title: "What broke, and why", length: 1, after: ["First parcel dropped from 2 m"] },
    {
      title: "Second parcel answers it",
      length: 3,
      after: ["What broke, and why"],
      milestone: "Parcel dropped from 4 m",
    },
    {
      title: "Lighter, and packed by a stranger",
      length: 3,
      after: ["Parcel dropped from 4 m"],
      milestone: "Drops before all",
    },
  ],
  events: [
    attempts("Highest drop", "Highest drop", "h", "more", {
      n: 1,
      foul: "zero",
      resolution: "0.5",
      tieBreaks: ["lighter", "lot"],
      points: {
        kind: "bands",
        better: "more",
        otherwise: "0",
        bands: [
          { at: "6", points: "100" },
          { at: "4", points: "85" },
          { at: "3", points: "65" },
          { at: "2", points: "45" },
        ],
      },
      cautions: "Landing place roped off and watched\nEyes protected\nWho drops stands behind a rail",
    }),
  ],
  scheme: {
    decimals: 0,
    components: [
      ...usualParts("Design review", "Ready for material"),
      part(
        "damage",
        "Discs after 4 m",
        25,
        performance(
          { protocol: "Drop of the parcel", channel: "damage", build: "best" },
          {
            kind: "levels",
            levels: [
              { name: "whole", points: "100" },
              { name: "chipped", points: "75" },
              { name: "cracked", points: "50" },
              { name: "broken", points: "20" },
            ],
          },
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
