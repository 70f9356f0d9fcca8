import Decimal from "decimal.js";
import type { StepMethod } from "../vocabulary/grades";
import type { AttemptMethod } from "../vocabulary/runs";
import { type Attempt, countAttempts } from "./attempts";
import { applyRule, type PointsRule } from "./rule";

describe("points", () => {
  const line: PointsRule = {
    kind: "line",
    anchors: [
      ["4", "0"],
      ["6", "60"],
      ["8", "85"],
      ["9", "100"],
    ].map(([at, points]) => ({ at: at!, points: points! })),
  };
  test.each([
    ["7.1", "73.75"],
    ["8.4", "91"],
    ["3", "0"],
    ["12", "100"],
  ])("line: %s gives %s", (x, points) => expect(applyRule(line, x, "L/min").value).toBe(points));
  const bands: PointsRule = {
    kind: "bands",
    better: "more",
    bands: [
      { at: "9", points: "100" },
      { at: "8", points: "95" },
    ],
    otherwise: "50",
  };
  test.each([
    ["9", "100"],
    ["8.99", "95"],
    ["7", "50"],
  ])("bands: %s gives %s", (x, points) => expect(applyRule(bands, x, "L/min").value).toBe(points));
  const target = (school: StepMethod): PointsRule => ({
    kind: "target",
    target: "2.000",
    points: "100",
    perStep: "1",
    step: "0.030",
    school,
    beyond: "5",
    floor: "0",
  });
  test.each([
    ["1.870", "complete", "96"],
    ["1.870", "proportional", "95.67"],
    ["1.870", "started", "95"],
    ["2.110", "complete", "92"],
    ["2.110", "proportional", "91.33"],
    ["2.110", "started", "91"],
    ["2.090", "complete", "92"],
    ["2.090", "proportional", "92"],
    ["2.090", "started", "92"],
  ] as const)("target: %s, %s steps gives %s", (x, school, points) =>
    expect(new Decimal(applyRule(target(school), x, "L").value!).toDecimalPlaces(2).toString()).toBe(points),
  );
  test("target does not fall below its floor", () =>
    expect(applyRule({ ...target("complete"), floor: "40" } as PointsRule, "5", "L").value).toBe("40"));
  test("ratio, pass and shared places", () => {
    expect(applyRule({ kind: "ratio", points: "50", better: "less" }, "20", "s", { best: "15" }).value).toBe("37.5");
    expect(applyRule({ kind: "pass", points: "10", comparator: "≤", limit: "5" }, "5.0", "kg").value).toBe("10");
    expect(applyRule({ kind: "place", points: ["10", "8", "6"] }, "1", "", { place: 2, sharing: 2 }).value).toBe("7");
  });
  const attempts: Attempt[] = [
    { value: "8.2", state: "valid" },
    { value: null, state: "foul" },
    { value: "8.8", state: "valid" },
    { value: "9.9", state: "void" },
  ];
  test.each([
    ["best", "out", "8.8"],
    ["mean", "out", "8.5"],
    ["mean", "worst", "8.4"],
    ["median", "worst", "8.2"],
    ["last", "out", "8.8"],
    ["first", "out", "8.2"],
    ["sum", "zero", "17"],
    ["best-k", "out", "8.5"],
    ["mean", "zero", "5.66666666666667"],
  ] as const)("attempts: %s, a foul %s: %s", (school, foul, value) =>
    expect(countAttempts(attempts, { school: school as AttemptMethod, n: 4, k: 2, foul }, "more").value).toBe(value),
  );
});

describe("fouls", () => {
  const foul = { value: null, state: "foul" as const };
  const tries = [foul, { value: "8.2", state: "valid" as const }, { value: "8.6", state: "valid" as const }];
  const counts = (school: "first" | "best", how: "out" | "zero" | "worst", better: "more" | "less") =>
    countAttempts(tries, { school, n: 3, foul: how }, better).value;
  test("the first attempt is the first, a foul too", () =>
    expect([counts("first", "out", "more"), counts("first", "zero", "more"), counts("first", "worst", "more")]).toEqual(
      [null, "0", "8.2"],
    ));
  test("where less is better a zero does not win: it counts as the worst", () =>
    expect([counts("best", "zero", "less"), counts("first", "zero", "less"), counts("best", "zero", "more")]).toEqual([
      "8.2",
      "8.6",
      "8.6",
    ]));
});
