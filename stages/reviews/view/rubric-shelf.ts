import type { Criterion } from "@/core/sheet/sheet";

export interface RubricTemplate {
  readonly name: string;
  readonly why: string;
  readonly criteria: readonly Criterion[];
}

const of = (...criteria: [name: string, weight: number, ...levels: string[]][]): Criterion[] =>
  criteria.map(([name, weight, ...levels], i) => ({
    key: `c${i + 1}`,
    name,
    weight: String(weight),
    levels: levels.map((descriptor, points) => ({ points: String(points), descriptor })),
  }));

/** Rubrics to begin with: each has four levels from nothing shown to what could be handed over. */
export const rubricShelf: readonly RubricTemplate[] = [
  {
    name: "Design review",
    why: "before material is cut",
    criteria: of(
      [
        "Meets what was asked",
        3,
        "musts are not named",
        "named, some without a number",
        "every must with a number",
        "every must argued, by a test or a figure",
      ],
      [
        "Choice of concept",
        2,
        "no alternative",
        "alternatives named",
        "compared by criteria",
        "compared, and the weak points of the choice are named",
      ],
      [
        "Drawings and parts",
        2,
        "a sketch without sizes",
        "main sizes",
        "can be built from them by the team",
        "can be built from them by others",
      ],
      [
        "Safety and material",
        1,
        "not thought of",
        "hazards named",
        "hazards with what is done about them",
        "signed by who has to sign, one-chance parts flagged",
      ],
    ),
  },
  {
    name: "Final product",
    why: "what is handed over",
    criteria: of(
      [
        "Requirements",
        3,
        "hardly any must met",
        "most musts met",
        "every must met",
        "every must met by measurement, with margin",
      ],
      ["Reliability", 2, "works by luck", "works with help", "works three times in a row", "works in other hands"],
      ["Craft", 2, "comes apart", "holds", "clean joints, no sharp edge", "could be sold"],
      ["Handing over", 1, "nothing written", "how to use it", "how to use and mend it", "the client used it alone"],
    ),
  },
  {
    name: "Notebook",
    why: "the record of the work",
    criteria: of(
      ["Regular", 1, "gaps of weeks", "now and then", "most class sessions", "every class session"],
      ["What was seen", 2, "what was done only", "what came out", "figures with units", "figures, settings and doubts"],
      [
        "Reasons",
        2,
        "no reason",
        "a reason now and then",
        "why each change was made",
        "why, and what was expected before it was tried",
      ],
    ),
  },
  {
    name: "Teamwork",
    why: "how the work was shared",
    criteria: of(
      [
        "Share of the work",
        2,
        "one did it",
        "two did it",
        "everybody had a part",
        "everybody had a part and finished it",
      ],
      ["Agreements", 1, "none kept", "some kept", "kept or called off in time", "kept, and help given to others"],
      ["Disagreement", 1, "avoided or loud", "settled by the loudest", "settled by reasons", "settled by a test"],
    ),
  },
  {
    name: "Presentation",
    why: "before the client or the class",
    criteria: of(
      ["Clear", 2, "read aloud", "can be followed", "clear to who was not there", "clear, in the time that was given"],
      [
        "Evidence",
        2,
        "claims only",
        "pictures",
        "figures with how they were measured",
        "figures, their doubt, and what they do not show",
      ],
      ["Questions", 1, "not answered", "answered by one", "answered by all", "answered, also with we do not know"],
    ),
  },
  {
    name: "Construction",
    why: "how it is made",
    criteria: of(
      [
        "Fits the drawing",
        1,
        "made up on the way",
        "roughly",
        "within the tolerance",
        "within the tolerance, and changes are drawn",
      ],
      [
        "Joints and fasteners",
        2,
        "loose",
        "hold by hand",
        "hold under load",
        "chosen for the load, and can be taken apart",
      ],
      ["Material", 1, "wasted", "cut twice", "cut once", "cut once, offcuts planned"],
    ),
  },
  {
    name: "Reasons and records",
    why: "for a brave design that failed: the result is judged apart",
    criteria: of(
      ["The idea", 2, "copied", "changed a little", "own, and argued", "own, and more than was known to work"],
      ["Tests", 3, "none", "tried until it broke", "one change at a time", "tests that could have shown it wrong"],
      [
        "What it taught",
        2,
        "nothing on record",
        "that it failed",
        "why it failed",
        "why, and what the next team should do",
      ],
    ),
  },
];
