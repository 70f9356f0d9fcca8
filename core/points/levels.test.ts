import { applyRule, checkRule, describeRule, type PointsRule } from "./rule";

const ladder: PointsRule = {
  kind: "levels",
  levels: [
    { name: "moves", points: "60" },
    { name: "carries its load", points: "80" },
    { name: "also returns", points: "100" },
  ],
  none: "10",
};
const damage: PointsRule = {
  kind: "levels",
  levels: [
    { name: "intact", points: "100" },
    { name: "cracked", points: "40.5" },
    { name: "broken", points: "0" },
  ],
};

test.each([
  [ladder, "0", "10"],
  [ladder, "1", "60"],
  [ladder, "2", "80"],
  [ladder, "2.9", "80"],
  [ladder, "3", "100"],
  [ladder, "4", "100"],
  [damage, "0", "100"],
  [damage, "1", "40.5"],
  [damage, "2", "0"],
])("%j gives %s its points", (rule, value, points) => expect(applyRule(rule, value, "1").value).toBe(points));

test("no value earns nothing yet; the rule and the step are said by name", () => {
  expect(applyRule(ladder, null, "1").value).toBeNull();
  expect(describeRule(ladder, "1")).toBe("moves: 60; carries its load: 80; also returns: 100; below the first: 10.");
  expect(describeRule(damage, "1")).toBe("intact: 100; cracked: 40.5; broken: 0.");
  expect(applyRule(ladder, "2", "1").working.steps).toEqual(["rung 2 of 3, carries its load: 80"]);
  expect(applyRule(ladder, "0", "1").working.steps).toEqual(["below the first rung: 10"]);
  expect(applyRule(damage, "1", "1").working.steps).toEqual(["cracked: 40.5"]);
});

test("a rule fits what it is applied to, or says why not", () => {
  const levels = { name: "Damage", levels: ["Intact", "cracked", "broken"] };
  expect(checkRule(damage, levels)).toEqual([]);
  expect(checkRule({ ...damage, none: "0" }, levels)[0]).toContain("name the levels of Damage");
  expect(checkRule({ ...damage, levels: damage.levels.toReversed() }, levels)[0]).toContain("in their order");
  expect(checkRule({ kind: "place", points: ["3", "1"] }, levels)).toEqual([]);
  expect(checkRule({ kind: "ratio", points: "10", better: "less" }, levels)[0]).toContain("read by levels");
  expect(checkRule(ladder)).toEqual([]);
  expect(checkRule({ ...ladder, none: undefined })[0]).toContain("below the first");
  expect(checkRule({ kind: "levels" })[0]).toContain("give each level its points");
});

test.each([
  [{ kind: "line", anchors: [] }, "two anchors or more"],
  [
    {
      kind: "line",
      anchors: [
        { at: "1", points: "0" },
        { at: "1.0", points: "5" },
      ],
    },
    "two anchors stand at the same value",
  ],
  [{ kind: "bands", bands: [] }, "at least one band"],
  [{ kind: "target", target: "2", points: "10", perStep: "1", step: "0" }, "a step above zero"],
  [{ kind: "ratio" }, "the best"],
  [{ kind: "pass", points: "10" }, "its limit"],
  [{ kind: "place", points: [] }, "by place"],
] as [Parameters<typeof checkRule>[0], string][])("%j is refused", (rule, words) =>
  expect(checkRule(rule).join()).toContain(words),
);
