// What would have earned more, by each rule.
import { nextStep } from "./next";
import type { PointsRule } from "./rule";

const bands = (better: "more" | "less", ...at: string[]): PointsRule => ({
  kind: "bands",
  better,
  bands: at.map((a, i) => ({ at: a, points: String(100 - 10 * i) })),
  otherwise: "0",
});
const line = (...anchors: [string, string][]): PointsRule => ({
  kind: "line",
  anchors: anchors.map(([at, points]) => ({ at, points })),
});

test.each([
  [bands("more", "9", "8", "7"), "7.5", "8 s would have earned 90 points"],
  [bands("more", "9", "8"), "3", "8 s would have earned 90 points"],
  [bands("more", "9"), "9", null],
  [bands("less", "4", "5"), "5.5", "5 s would have earned 90 points"],
  [bands("less", "4"), "3", null],
  [line(["4", "0"], ["6", "60"], ["9", "100"]), "6", "9 s would have earned 100 points"],
  [line(["4", "0"], ["6", "60"]), "6.5", null],
  [line(["4", "100"], ["6", "60"]), "7", "6 s would have earned 60 points"],
  [line(["4", "100"], ["6", "60"]), "4", null],
  [{ kind: "pass", points: "10", comparator: "≤", limit: "5" }, "5", null],
  [{ kind: "pass", points: "10", comparator: "≥", limit: "5" }, "4", "≥ 5 s would have earned 10 points"],
  [{ kind: "ratio", points: "10", better: "more" }, "4", null],
] as [PointsRule, string, string | null][])("%# of %j", (rule, value, wanted) =>
  expect(nextStep(rule, value, "s")).toBe(wanted),
);

test("a ladder names its next rung; levels of a reading have none", () => {
  const ladder: PointsRule = {
    kind: "levels",
    none: "0",
    levels: [
      { name: "moves", points: "60" },
      { name: "carries", points: "80" },
    ],
  };
  expect(["0", "1", "2"].map((v) => nextStep(ladder, v, ""))).toEqual([
    "the next rung, moves, would have earned 60 points",
    "the next rung, carries, would have earned 80 points",
    null,
  ]);
  expect(nextStep({ ...ladder, none: undefined }, "1", "")).toBeNull();
});
