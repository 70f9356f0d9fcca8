// A points rule survives its way through the fields of a form.
import { applyRule, type PointsRule } from "@/core/points/rule";
import { emptyRule, readRule, showRule } from "./rule-fields-read";

const rules: PointsRule[] = [
  {
    kind: "line",
    anchors: [
      { at: "4", points: "0" },
      { at: "9", points: "100" },
    ],
  },
  { kind: "bands", better: "less", bands: [{ at: "4", points: "90" }], otherwise: "10" },
  {
    kind: "target",
    target: "2.000",
    points: "100",
    perStep: "1",
    step: "0.030",
    school: "started",
    beyond: "5",
    floor: "0",
  },
  { kind: "ratio", points: "50", better: "less" },
  { kind: "pass", points: "10", comparator: "≥", limit: "5" },
  { kind: "place", points: ["10", "8", "6"] },
  { kind: "levels", levels: [{ name: "carries its load", points: "80" }], none: "0" },
  {
    kind: "levels",
    levels: [
      { name: "intact", points: "100" },
      { name: "broken", points: "0" },
    ],
  },
];

test.each(rules.map((r) => [r.kind, r] as const))("%s", (_, rule) => {
  const back = readRule(showRule(rule)) as PointsRule;
  expect(back).toEqual(rule);
  const context = { best: "4", place: 1 };
  expect(applyRule(back, "2.07", "u", context).value).toBe(applyRule(rule, "2.07", "u", context).value);
});

test("no rule is no rule", () => {
  expect(readRule(emptyRule)).toBeNull();
  expect(showRule(null)).toEqual(emptyRule);
});

test("a level without its points is kept, so that it can be pointed at", () => {
  expect(readRule({ ...emptyRule, kind: "levels", pairs: "intact: 100\n\nbroken" })).toEqual({
    kind: "levels",
    levels: [
      { name: "intact", points: "100" },
      { name: "broken", points: "" },
    ],
  });
});

test("pairs are read with spaces, tabs or colons between", () => {
  expect(readRule({ ...emptyRule, kind: "line", pairs: "4 0\n 6:60\n\n8\t85 " })).toEqual({
    kind: "line",
    anchors: [
      { at: "4", points: "0" },
      { at: "6", points: "60" },
      { at: "8", points: "85" },
    ],
  });
});
