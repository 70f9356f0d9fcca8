// The scheme in its form: what was stored comes back as it was; moves take along what lies in a group.
import { endOf, sharesOfWhole } from "@/core/grades/outline";
import type { SchemeDefinition } from "@/core/grades/scheme";
import { checkScheme } from "@/core/grades/scheme";
import { definition as schema } from "../schema";
import { definitionOf, type TypedDefinition } from "./definition";
import { shelf } from "./shelf";
import { measureOf, measureText, moved, newPart, readTyped, typedScheme, underFactor } from "./typed-scheme";

const scheme: SchemeDefinition = {
  decimals: 1,
  rounding: "half even",
  most: "100",
  peers: { round: "r1", low: "0.85", high: "1.1" },
  letters: [
    { letter: "A", from: "90" },
    { letter: "B", from: "80" },
  ],
  components: [
    {
      key: "team",
      name: "Team",
      weight: "60",
      peer: true,
      drop: 1,
      parts: [
        {
          key: "flow",
          name: "Flow",
          weight: "2",
          source: {
            kind: "points",
            full: "100",
            measure: { protocol: "p", channel: "Q", build: "best" },
            rule: {
              kind: "line",
              anchors: [
                { at: "4", points: "0" },
                { at: "9", points: "100" },
              ],
            },
          },
        },
        { key: "cover", name: "Requirements", weight: "1", source: { kind: "coverage" } },
      ],
    },
    {
      key: "draw",
      name: "Drawing",
      weight: "20",
      source: { kind: "milestone", milestone: "m" },
      late: { perSession: "10", grace: 1, floor: "50" },
    },
    { key: "book", name: "Notebook", weight: "10", source: { kind: "notebook", every: 2 } },
    { key: "talk", name: "Talk", weight: "10", source: { kind: "entered", scale: { kind: "points", of: "20" } } },
  ],
};
const stored = (form: object) =>
  definitionOf(schema.validateSync(form, { stripUnknown: true }) as never as TypedDefinition);

test("a scheme that goes through its form is the same scheme", () => {
  const { definition, wrong } = stored(readTyped(typedScheme(scheme)));
  expect(wrong).toEqual([]);
  expect(definition).toEqual(scheme);
});

test("decimals may have a comma; letters are read with or without a sign, and not without a percent", () => {
  const form = typedScheme({ ...scheme, peers: undefined, components: scheme.components.slice(1) });
  form.components[0]!.weight = "79,5";
  form.components[1]!.weight = "10,5";
  form.letters = "A: 90\nB = 80 %\n\n";
  const { definition, wrong } = stored(readTyped(form));
  expect([wrong, definition.letters]).toEqual([[], scheme.letters]);
  form.letters = "A";
  expect(stored(readTyped(form)).wrong).toEqual(["A: write the percent from which it is given, from 0 to 120."]);
});

test.each([
  [{ event: "e" }],
  [{ overall: true }],
  [{ recorded: "mass" }],
  [{ protocol: "p", channel: "Q" }],
  [{ protocol: "p", channel: "Q", build: "best" }],
] as const)("the measure %j is one choice of a list", (m) => expect(measureOf(measureText(m))).toEqual(m));

describe("the outline", () => {
  const p = (key: string, depth: number, kind = "entered") => newPart(key, depth, { kind, weight: "1" });
  const parts = [p("g", 0, "group"), p("a", 1), p("b", 1), p("c", 0), p("h", 0, "group"), p("d", 1)];
  const told = (list: readonly { key: string; depth: number }[]) => list.map((x) => `${x.key}${x.depth}`).join(" ");
  test.each([
    ["b", "up", "g0 b1 a1 c0 h0 d1"],
    ["a", "up", "g0 a1 b1 c0 h0 d1"],
    ["a", "down", "g0 b1 a1 c0 h0 d1"],
    ["b", "down", "g0 a1 b1 c0 h0 d1"],
    ["h", "up", "g0 a1 b1 h0 d1 c0"],
    ["g", "down", "c0 g0 a1 b1 h0 d1"],
    ["h", "down", "g0 a1 b1 c0 h0 d1"],
    ["c", "in", "g0 a1 b1 c1 h0 d1"],
    ["h", "in", "g0 a1 b1 c0 h0 d1"],
    ["a", "in", "g0 a1 b1 c0 h0 d1"],
    ["a", "out", "g0 b1 a0 c0 h0 d1"],
    ["c", "out", "g0 a1 b1 c0 h0 d1"],
    ["g", "remove", "c0 h0 d1"],
    ["b", "remove", "g0 a1 c0 h0 d1"],
  ] as const)("%s moved %s", (key, how, wanted) =>
    expect(
      told(
        moved(
          parts,
          parts.findIndex((x) => x.key === key),
          how,
        ),
      ),
    ).toBe(wanted),
  );
  test("below a group that takes the peer factor nothing takes it again", () => {
    const peers = [
      { depth: 0, peer: true },
      { depth: 1, peer: false },
      { depth: 2, peer: false },
      { depth: 0, peer: false },
    ];
    expect(peers.map((_, i) => underFactor(peers, i))).toEqual([false, true, true, false]);
  });
  test("where a part ends, and how much of the whole each is", () => {
    expect([endOf(parts, 0), endOf(parts, 1), endOf(parts, 4)]).toEqual([3, 2, 6]);
    const weighed = [
      { depth: 0, weight: "60" },
      { depth: 1, weight: "2" },
      { depth: 1, weight: "1" },
      { depth: 0, weight: "x" },
      { depth: 1, weight: "1" },
    ];
    expect(sharesOfWhole(weighed)).toEqual([60, 40, 20, null, null]);
  });
});

describe("the shelf", () => {
  const option = (value: string) => ({ value, label: value });
  const full = {
    reviews: [option("First"), option("Final")],
    milestones: [option("m1"), option("m2"), option("m3")],
    measures: [option("protocol:p:Q:newest")],
    rounds: [option("r1")],
  };
  const empty = { reviews: [], milestones: [], measures: [], rounds: [] };
  test.each(shelf.map((t) => [t.name, t] as const))(
    "%s can be used at once, also where a project has nothing yet",
    (_, t) => {
      for (const sources of [full, empty]) {
        const form = { ...typedScheme({ decimals: 1, components: [] }), components: t.parts(sources) };
        for (const part of form.components) part.rule = { ...part.rule, pairs: "4 0\n9 100" };
        if (t.peers && sources.rounds[0]) form.round = sources.rounds[0].value;
        const { definition, wrong } = stored(readTyped(form));
        expect([wrong, checkScheme(definition)]).toEqual([[], []]);
      }
    },
  );
});
