// A scheme as a tree: groups, what is dropped, late rules, the peer factor, letters, rounding.
import { makeWorking } from "../working/working";
import { gradeOf, letterOf, type Peer, roundGrade } from "./grade";
import {
  type Component,
  type ComponentState,
  checkScheme,
  type Group,
  leavesOf,
  type SchemeDefinition,
} from "./scheme";

const from = makeWorking({ title: "from", result: "1", rule: "as it is" });
const leaf = (key: string, weight = "1", more: Partial<Component> = {}): Component => ({
  key,
  name: key.toUpperCase(),
  weight,
  source: { kind: "entered" },
  ...more,
});
const group = (key: string, weight: string, parts: Group["parts"], more: Partial<Group> = {}): Group => ({
  key,
  name: key,
  weight,
  parts,
  ...more,
});
const scored = (share: string, late?: number): ComponentState => ({ state: "scored", share, late, working: from });
const states = (of: Record<string, ComponentState | string>) =>
  new Map(Object.entries(of).map(([k, v]) => [k, typeof v === "string" ? scored(v) : v]));
const of = (s: Partial<SchemeDefinition> & Pick<SchemeDefinition, "components">): SchemeDefinition => ({
  decimals: 2,
  ...s,
});
const peer = (factor: string | null): Peer => ({
  factor,
  working: makeWorking({ title: "Peer factor", result: "1", rule: "r", warnings: factor ? [] : ["too few"] }),
});

describe("groups", () => {
  const scheme = of({ components: [group("team", "60", [leaf("a", "2"), leaf("b")]), leaf("c", "40")] });
  test("the weights in a group are proportions; the group counts with its own", () => {
    // Team: (2 × 90 + 60) ÷ 3 = 80; 0.6 × 80 + 0.4 × 50 = 68.
    const g = gradeOf(scheme, states({ a: "0.9", b: "0.6", c: "0.5" }), new Map());
    expect(g.value.grade).toBe("68");
    expect(g.value.parts.map((p) => [p.key, p.depth, p.group, p.percent])).toEqual([
      ["team", 0, true, "80"],
      ["a", 1, false, "90"],
      ["b", 1, false, "60"],
      ["c", 0, false, "50"],
    ]);
    expect(g.value.components.map((p) => p.key)).toEqual(["a", "b", "c"]);
    expect(g.value.parts[0]!.working.steps.at(-1)).toBe("sum: (1.8 + 0.6) ÷ 3 × 100 = 80 %");
  });
  test("what does not count is left out in its group; a group of nothing is left out with its weight", () => {
    const excused: ComponentState = { state: "excused", note: "was ill" };
    expect(gradeOf(scheme, states({ a: excused, b: "0.6", c: "0.5" }), new Map()).value.grade).toBe("56");
    const g = gradeOf(scheme, states({ a: excused, c: "0.5" }), new Map());
    expect([g.value.grade, g.value.parts[0]!.percent, g.working.warnings]).toEqual([
      "50",
      null,
      ["team is empty and does not count."],
    ]);
  });
  test("the lowest are left out, but one always stays; what is missing is the lowest", () => {
    const some = of({ components: [group("g", "100", [leaf("a"), leaf("b"), leaf("c")], { drop: 1 })] });
    const missing: ComponentState = { state: "missing", note: "never came" };
    const g = gradeOf(some, states({ a: "0.9", b: missing, c: "0.5" }), new Map());
    expect([g.value.grade, g.value.components.map((c) => c.dropped)]).toEqual(["70", [false, true, false]]);
    expect(g.value.parts[0]!.working.warnings).toEqual(["B is among the lowest and is left out."]);
    expect(gradeOf(some, states({ b: "0.3" }), new Map()).value.grade).toBe("30");
    // Of two that are equally low the first goes, with its own weight.
    const two = of({ components: [group("g", "100", [leaf("a", "3"), leaf("b"), leaf("c")], { drop: 1 })] });
    expect(gradeOf(two, states({ a: "0.5", b: "0.5", c: "0.9" }), new Map()).value.grade).toBe("70");
  });
  test("leaves of leaves, in order", () =>
    expect(leavesOf([group("g", "1", [leaf("a"), group("h", "1", [leaf("b")])]), leaf("c")]).map((c) => c.key)).toEqual(
      ["a", "b", "c"],
    ));
});

describe("late and peers", () => {
  const late = { perSession: "10", grace: 1, floor: "50" };
  test("what is late loses, an override stands beside what was computed so", () => {
    const scheme = of({ components: [leaf("a", "100", { late })] });
    const g = gradeOf(scheme, states({ a: scored("0.95", 3) }), new Map());
    expect([g.value.grade, g.value.components[0]!.working.steps]).toEqual([
      "75",
      ["3 class sessions late, 1 of grace: 95 − 2 × 10 = 75 %"],
    ]);
    const set = gradeOf(
      scheme,
      states({ a: scored("0.95", 3) }),
      new Map([["a", { share: "0.9", reason: "bus broke down", by: "Mara" }]]),
    );
    expect([set.value.grade, set.value.components[0]!.overridden]).toEqual(["90", "75"]);
    expect(set.value.components[0]!.working.warnings.at(-1)).toBe(
      "Set by Mara to 90 %: bus broke down. Computed: 75 %.",
    );
    // Without a rule of its own nothing is taken off.
    expect(
      gradeOf(of({ components: [leaf("a", "100")] }), states({ a: scored("0.95", 3) }), new Map()).value.grade,
    ).toBe("95");
  });
  const scheme = of({
    peers: { round: "r", low: "0.85", high: "1.10" },
    components: [group("team", "50", [leaf("a")], { peer: true }), leaf("b", "50")],
  });
  test("the factor, capped, multiplies the team part only", () => {
    const grade = (factor: string | null) =>
      gradeOf(scheme, states({ a: "0.8", b: "0.6" }), new Map(), { peer: peer(factor) });
    // 0.8 × 1.1 = 0.88 and 0.6: 74.
    expect(grade("1.1764705882").value.grade).toBe("74");
    expect(grade("1.05").value.grade).toBe("72");
    expect(grade("0.5").value.grade).toBe("64");
    expect(grade(null).value.grade).toBe("70");
    expect(grade("1.1764705882").value.parts[0]!.working.steps.at(-1)).toBe(
      "times the peer factor (1.176 capped to 1.1): 80 × 1.1 = 88 %",
    );
    expect(grade(null).value.parts[0]!.working.warnings).toEqual(["too few"]);
    const unrated = gradeOf(scheme, states({ a: "0.8", b: "0.6" }), new Map());
    expect(unrated.value.parts[0]!.working.warnings).toEqual(["There is no peer rating yet: factor 1."]);
  });
});

describe("the end", () => {
  test.each([
    ["62.5", "half up", "63"],
    ["62.5", "half even", "62"],
    ["63.5", "half even", "64"],
    ["62.9", "down", "62"],
    ["62.1", "up", "63"],
    // What thirds leave over is no half a little less, and no step more.
    ["62.499999999999", "half up", "63"],
    ["62.000000000001", "up", "62"],
  ] as const)("%s %s is %s", (percent, rounding, wanted) =>
    expect(roundGrade(percent, { decimals: 0, rounding })).toBe(wanted),
  );
  test("a grade has its letter by the rounded percent, and is not above the most", () => {
    const letters = [
      { letter: "A", from: "90" },
      { letter: "B", from: "80" },
    ];
    const scheme = of({ decimals: 0, letters, most: "100", components: [leaf("a", "100")] });
    const value = (share: string) => gradeOf(scheme, states({ a: share }), new Map()).value;
    expect(["0.895", "0.894", "0.7"].map((s) => value(s).letter)).toEqual(["A", "B", null]);
    expect([value("1.1").grade, value("1.1").exact]).toEqual(["100", "100"]);
    expect(letterOf("90", letters)).toBe("A");
    const { steps } = gradeOf(scheme, states({ a: "1.1" }), new Map()).working;
    expect(steps.slice(-2)).toEqual(["sum: (110) ÷ 100 × 100 = 110 %, at most 100 %, rounded 100 %", "100 % is A"]);
  });
});

describe("what is wrong with a scheme", () => {
  test.each([
    [{ components: [group("g", "100", [])] }, "g: a group has at least one component."],
    [{ components: [group("g", "100", [leaf("a")], { drop: 1 })] }, "g: of 1 at most 0 can be left out."],
    [{ components: [leaf("a", "50"), leaf("a", "50")] }, "Two components have the same key."],
    [{ components: [leaf("a", "100", { peer: true })] }, "A: choose the rating that makes the peer factor."],
    [
      { components: [leaf("a", "100")], peers: { round: "r", low: "1.1", high: "1.2" } },
      "The caps of the peer factor lie around 1: the lower from 0 to 1, the upper from 1 to 2.",
    ],
    [
      { components: [leaf("a", "100", { late: { perSession: "0", grace: 0, floor: "0" } })] },
      "A: What is taken off a class session late is a percent above zero.",
    ],
    [
      {
        components: [leaf("a", "100")],
        letters: [
          { letter: "B", from: "80" },
          { letter: "A", from: "90" },
        ],
      },
      "A: letters stand from the highest percent down.",
    ],
    [
      { components: [leaf("a", "100", { source: { kind: "notebook", every: 0 } })] },
      "A: For how many class sessions is one entry asked? Write a whole number from 1.",
    ],
    [
      {
        components: [group("g", "100", [leaf("a", "1", { peer: true })], { peer: true })],
        peers: { round: "r", low: "0.9", high: "1.1" },
      },
      "g: the peer factor would be taken twice in this group.",
    ],
    [
      { components: [group("g", "100", [group("h", "1", [group("i", "1", [leaf("a")])])])] },
      "Groups lie at most 2 deep.",
    ],
    [{ components: [leaf("a", "100")], most: "0" }, "The highest grade is a percent above zero."],
  ] as const)("%#", (s, wanted) =>
    expect(checkScheme(of(s as Partial<SchemeDefinition> as SchemeDefinition))).toEqual([wanted]),
  );
  test("a tree that is right has nothing wrong with it", () =>
    expect(
      checkScheme(
        of({
          components: [
            group("g", "60", [leaf("a", "0.5"), group("h", "3", [leaf("b")])], { peer: true }),
            leaf("c", "40"),
          ],
          peers: { round: "r", low: "0.85", high: "1.1" },
        }),
      ),
    ).toEqual([]));
});
