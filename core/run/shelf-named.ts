import { exactly } from "./reading";
import type { Template } from "./template";

/** Kinds of test whose result is seen and named rather than measured. */
export const named: readonly Template[] = [
  {
    key: "damage",
    name: "Damage after a drop",
    fits: "a package or frame that may be hurt by degrees",
    example: { damage: "hairline", whole: "yes", loose: "0" },
    definition: {
      conditions: [{ key: "h", name: "Drop height", unit: "m", target: "2.00", tolerance: "0.05" }],
      measures: [
        {
          key: "damage",
          name: "Damage",
          ...exactly,
          kind: "level",
          levels: ["intact", "hairline", "cracked", "broken"],
        },
        { key: "whole", name: "Load unharmed", ...exactly, kind: "yes-no" },
        { key: "loose", name: "Parts come loose", ...exactly, kind: "count", min: "0", max: "20" },
      ],
      constants: [],
      derived: [],
      primary: "damage",
      better: "less",
      policy: { school: "median", n: 5, foul: "out" },
      safety: [
        "The landing place is roped off and watched; nobody steps in before the dropper calls.",
        "Eyes protected; splinters are swept up before the next drop.",
        "Only an adult or a trained person on a ladder or roof, by the school's rules.",
      ],
    },
  },
  {
    key: "look",
    name: "Colour or fit by eye",
    fits: "a surface, joint or seam that is judged against a sample",
    example: { match: "good" },
    definition: {
      conditions: [{ key: "d", name: "Looked at from", unit: "m", target: "0.50", tolerance: "0.10" }],
      measures: [
        {
          key: "match",
          name: "Against the sample",
          ...exactly,
          kind: "level",
          levels: ["poor", "fair", "good", "same"],
        },
      ],
      constants: [],
      derived: [],
      primary: "match",
      better: "more",
      policy: { school: "median", n: 3, foul: "out" },
      safety: ["Freshly painted or glued parts are judged where the air is changed, when they are dry."],
    },
  },
];
