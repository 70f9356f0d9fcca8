// Bounds, directions and what the working says: each line is one that a changed comparison or sign would break.
import { type Attempt, countAttempts } from "./attempts";
import { applyRule, describeRule, type PointsRule, type RuleContext } from "./rule";

const points = (rule: PointsRule, x: string | null, context?: RuleContext) => applyRule(rule, x, "kg", context).value;
const said = (rule: PointsRule, x: string | null, context?: RuleContext) => applyRule(rule, x, "kg", context).working;

describe("bands", () => {
  const less: PointsRule = {
    kind: "bands",
    better: "less",
    bands: [
      { at: "8", points: "50" },
      { at: "4", points: "90" },
    ],
    otherwise: "10",
  };
  const more: PointsRule = { ...less, better: "more" };
  test.each([
    ["3", "90"],
    ["4", "90"],
    ["4.01", "50"],
    ["8", "50"],
    ["8.01", "10"],
  ])("at most: %s gives %s", (x, p) => expect(points(less, x)).toBe(p));
  test.each([
    ["8.01", "50"],
    ["8", "50"],
    ["7.99", "90"],
    ["4", "90"],
    ["3.99", "10"],
  ])("at least, in whatever order they were written: %s gives %s", (x, p) => expect(points(more, x)).toBe(p));
  test("the working names the band that was reached, or that none was", () => {
    expect(said(less, "4").steps).toEqual(["4 ≤ 4: 90"]);
    expect(said(more, "9").steps).toEqual(["9 ≥ 8: 50"]);
    expect(said(less, "9").steps).toEqual(["9 reaches no band: 10"]);
    expect(describeRule(less, "kg")).toBe("at most 8 kg: 50; at most 4 kg: 90; otherwise 10.");
    expect(describeRule(more, "kg")).toBe("at least 8 kg: 50; at least 4 kg: 90; otherwise 10.");
  });
});

describe("a line through anchors", () => {
  const line: PointsRule = {
    kind: "line",
    anchors: [
      { at: "8", points: "30" },
      { at: "2", points: "90" },
      { at: "6", points: "50" },
    ],
  };
  test.each([
    ["1", "90"],
    ["2", "90"],
    ["4", "70"],
    ["6", "50"],
    ["7", "40"],
    ["8", "30"],
    ["9", "30"],
  ])("falling, anchors in any order: %s gives %s", (x, p) => expect(points(line, x)).toBe(p));
  test("the working is the arithmetic", () => {
    expect(said(line, "7").steps).toEqual(["50 + (7 − 6) ÷ (8 − 6) × (30 − 50) = 40"]);
    expect(said(line, "2").steps).toEqual(["2 is at or below 2: 90"]);
    expect(said(line, "8").steps).toEqual(["8 is at or beyond 8: 30"]);
    expect(describeRule(line, "kg")).toBe("Straight between 8 kg (30), 2 kg (90), 6 kg (50), flat beyond.");
  });
});

describe("a target with steps off it", () => {
  const target = (more: object = {}): PointsRule =>
    ({
      kind: "target",
      target: "2",
      points: "100",
      perStep: "3",
      step: "0.5",
      school: "complete",
      floor: "0",
      ...more,
    }) as PointsRule;
  test.each([
    ["2", "100"],
    ["1.51", "100"],
    ["1.5", "97"],
    ["2.5", "97"],
    ["0.99", "94"],
  ])("complete steps: %s gives %s", (x, p) => expect(points(target(), x)).toBe(p));
  test("above the target costs more, on it and below it does not", () => {
    const beyond = target({ beyond: "10" });
    expect(["1.5", "2", "2.01", "2.5"].map((x) => points(beyond, x))).toEqual(["97", "100", "90", "87"]);
  });
  test("the floor holds from where it is reached", () => {
    const floored = target({ floor: "94" });
    expect(["1", "0.5", "0"].map((x) => points(floored, x))).toEqual(["94", "94", "94"]);
    expect(said(floored, "1").steps).toHaveLength(2);
    expect(said(floored, "0.5").steps.at(-1)).toBe("not below 94: 94");
  });
  test("the working says steps, what they cost, and what being above costs", () => {
    expect(said(target({ school: "started", beyond: "10" }), "2.6").steps).toEqual([
      "steps off: |2.6 − 2| ÷ 0.5 = 1.2, started steps: 2",
      "10 more for being above the target: 100 − 2 × 3 − 10 = 84",
    ]);
    expect(said(target({ school: "proportional" }), "1.4").steps).toEqual([
      "steps off: |1.4 − 2| ÷ 0.5 = 1.2, in proportion: 1.2",
      "100 − 1.2 × 3 = 96.4",
    ]);
    expect(said(target(), "1.4").steps[0]).toContain("complete steps: 1");
  });
  test.each([
    ["complete", "each complete"],
    ["proportional", "each (in proportion)"],
    ["started", "each started"],
  ] as const)("in words: %s", (school, words) => {
    expect(describeRule(target({ school }), "L")).toBe(
      `100 points at 2 L, minus 3 for ${words} 0.5 L off, not below 0.`,
    );
    expect(describeRule(target({ school, beyond: "5" }), "L")).toContain("minus 5 more when above the target");
  });
});

describe("ratio, pass and placing", () => {
  const ratio = (better: "more" | "less"): PointsRule => ({ kind: "ratio", points: "50", better });
  test("the better the value the more, up to all points at the best", () => {
    expect(points(ratio("more"), "6", { best: "8" })).toBe("37.5");
    expect(points(ratio("more"), "8", { best: "8" })).toBe("50");
    expect(points(ratio("less"), "8", { best: "6" })).toBe("37.5");
    expect(said(ratio("less"), "8", { best: "6" }).steps).toEqual(["50 × 6 ÷ 8 = 37.5"]);
    expect(said(ratio("more"), "6", { best: "8" }).steps).toEqual(["50 × 6 ÷ 8 = 37.5"]);
    expect([describeRule(ratio("more"), ""), describeRule(ratio("less"), "")]).toEqual([
      "50 × value ÷ best value.",
      "50 × best value ÷ value.",
    ]);
  });
  test("divided by zero there are no points, and it is said; without a best value it is a mistake", () => {
    expect(points(ratio("less"), "0", { best: "0" })).toBe("0");
    expect(said(ratio("more"), "0", { best: "0" }).warnings).toEqual(["Divided by zero: no points."]);
    expect(() => points(ratio("more"), "6")).toThrow("best value");
  });
  test.each([
    ["≤", "4.99", "10"],
    ["≤", "5", "10"],
    ["≤", "5.01", "0"],
    ["≥", "5.01", "10"],
    ["≥", "5", "10"],
    ["≥", "4.99", "0"],
  ] as const)("pass: %s 5 with %s gives %s", (comparator, x, p) => {
    const rule: PointsRule = { kind: "pass", points: "10", comparator, limit: "5" };
    expect(points(rule, x)).toBe(p);
    expect(said(rule, x).steps).toEqual([`${x} ${comparator} 5: ${p === "10" ? "yes" : "no"}`]);
  });
  const place: PointsRule = { kind: "place", points: ["10", "8", "6"] };
  test.each([
    [1, undefined, "10"],
    [3, 1, "6"],
    [4, 1, "0"],
    [1, 3, "8"],
    [3, 2, "3"],
  ])("place %s shared by %s gives %s", (at, sharing, p) => expect(points(place, null, { place: at, sharing })).toBe(p));
  test("placing in words, its working, and no placing yet", () => {
    expect(describeRule(place, "")).toBe("By placing: 1: 10, 2: 8, 3: 6; shared places share.");
    expect(said(place, null, { place: 2 }).steps).toEqual(["place 2: 8"]);
    expect(said(place, null, { place: 2, sharing: 2 }).steps).toEqual(["(8 + 6) ÷ 2 = 7"]);
    expect([points(place, "3"), said(place, "3").warnings]).toEqual([null, ["No placing yet."]]);
  });
});

test("a value that is not there gives no points, not none, and says so", () => {
  const rule: PointsRule = { kind: "pass", points: "10", comparator: "≤", limit: "5" };
  expect([points(rule, null), said(rule, null).warnings, said(rule, null).inputs]).toEqual([
    null,
    ["There is no value yet."],
    [],
  ]);
  expect(said(rule, "5").inputs).toEqual([{ label: "value", value: "5", unit: "kg" }]);
  expect(said(rule, "5").rule).toBe("10 points when the value is ≤ 5 kg, else none.");
});

describe("attempts", () => {
  const v = (value: string): Attempt => ({ value, state: "valid" });
  const foul: Attempt = { value: null, state: "foul" };
  const list = [v("3"), v("1"), v("2")];
  const count = (attempts: readonly Attempt[], policy: object, better: "more" | "less" = "more") =>
    countAttempts(
      attempts,
      { school: "best", n: 9, foul: "out", ...policy } as Parameters<typeof countAttempts>[1],
      better,
    );

  test.each([
    ["best", "more", "3", ["3", "2", "1"], "best of 3, 1, 2 = 3"],
    ["best", "less", "1", ["1", "2", "3"], "best of 3, 1, 2 = 1"],
    ["last", "more", "2", ["3", "1", "2"], "last of 3, 1, 2 = 2"],
    ["first", "more", "3", ["3", "1", "2"], "first of 3, 1, 2 = 3"],
    ["sum", "more", "6", ["3", "2", "1"], "3 + 1 + 2 = 6"],
    ["median", "more", "2", ["3", "2", "1"], "median of 3, 1, 2 = 2"],
    ["mean", "more", "2", ["3", "2", "1"], "(3 + 1 + 2) ÷ 3 = 2"],
  ] as const)("%s, %s is better", (school, better, value, considered, step) =>
    expect(count(list, { school }, better)).toMatchObject({ value, considered, step }),
  );
  test("the median of an even number is the middle two's mean", () => {
    expect(count([...list, v("9")], { school: "median" }).value).toBe("2.5");
    expect(count([v("4"), v("1")], { school: "median" }).value).toBe("2.5");
  });
  test("the best k are as many as are asked for, or as there are; one where it is not said", () => {
    const of = (k?: number) => count([...list, v("8")], { school: "best-k", k });
    expect([of(2).value, of(9).value, of().value]).toEqual(["5.5", "3.5", "8"]);
    expect(of(2).step).toBe("mean of the best 2: (8 + 3) ÷ 2 = 5.5");
    expect(count(list, { school: "best-k", k: 2 }, "less").value).toBe("1.5");
  });
  test("attempts beyond n do not count; a void one is no attempt", () => {
    expect(count([v("1"), v("2"), v("9")], { n: 2 }).value).toBe("2");
    expect(count([{ value: "9", state: "void" }, v("1"), v("2")], { n: 2 }).value).toBe("2");
  });
  test("a foul is left out, zero, or the worst valid value in the event's direction", () => {
    const by = (how: string, better: "more" | "less" = "more") =>
      count([v("4"), v("2"), foul], { school: "sum", foul: how }, better).value;
    expect([by("out"), by("zero"), by("worst"), by("worst", "less")]).toEqual(["6", "6", "8", "10"]);
    expect(count([v("4"), foul], { school: "mean", foul: "zero" }).value).toBe("2");
    expect(count([v("4"), { value: null, state: "no_finish" }], { school: "mean", foul: "zero" }).value).toBe("2");
  });
  test("a foul that carries a reading does not count by it", () =>
    expect(
      count([{ value: "1", state: "foul" }, v("5"), v("4")], { school: "last", foul: "worst" }).considered,
    ).toEqual(["4", "5", "4"]));
  test("the worst value is asked for where no attempt is valid: nothing counts", () => {
    expect(count([foul], { foul: "worst" })).toMatchObject({
      value: null,
      considered: [],
      step: "no attempt counts yet",
    });
    expect(count([{ value: null, state: "valid" }], {}).value).toBeNull();
    expect(count([{ value: null, state: "valid" }, v("3")], { school: "first" }).value).toBe("3");
  });
});
