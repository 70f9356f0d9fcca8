// The rank sum test: exact where it is dealt out, the same whichever side is named first, and honest about too few.
import fc from "fast-check";
import { compareLevels, rankSum } from "./ranks";
import { compareSeveral } from "./several";

const levels = ["intact", "cracked", "broken"];
const side = (name: string, values: number[]) => ({ name, values });
const some = fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 1, maxLength: 9 });

test("p is the same from both sides, and no smaller than the least that it can be", () =>
  fc.assert(
    fc.property(some, some, (a, b) => {
      const [one, other] = [rankSum(a, b), rankSum(b, a)];
      expect(one.p).toBeCloseTo(other.p, 12);
      expect([one.above, one.level, one.below]).toEqual([other.below, other.level, other.above]);
      expect(one.above + one.level + one.below).toBe(a.length * b.length);
      expect(one.p).toBeGreaterThanOrEqual(Math.min(1, one.least) - 1e-12);
    }),
  ));

test("levels that are moved up together give the same p", () =>
  fc.assert(
    fc.property(some, some, (a, b) => {
      const up = (x: number) => 2 * x + 5;
      expect(rankSum(a.map(up), b.map(up)).p).toBeCloseTo(rankSum(a, b).p, 12);
    }),
  ));

test("an empty side is refused", () => {
  expect(() => rankSum([], [1])).toThrow(RangeError);
  expect(() => rankSum([1], [])).toThrow(RangeError);
});

const worse = [2, 2, 1, 2, 2];
const good = [0, 0, 1, 0, 0];
test.each([
  ["less", good, worse, "A does better: levels so far apart seldom come about by chance."],
  ["less", worse, good, "B does better: levels so far apart seldom come about by chance."],
  ["more", good, worse, "B does better: levels so far apart seldom come about by chance."],
  [
    "less",
    [0, 1, 0, 1, 2, 1],
    [1, 0, 1, 1, 2, 0],
    "No difference can be told: levels so far apart come about by chance too.",
  ],
  ["less", [0, 0, 0], [2, 2, 2], "No difference can be told: 3 and 3 runs are too few to show any."],
  ["less", [0], [], "B has no run that counts yet."],
] as const)("%s is better, %j against %j: %s", (better, a, b, sentence) => {
  const { value, working } = compareLevels(side("A", [...a]), side("B", [...b]), { levels, better });
  expect(value.sentence).toBe(sentence);
  expect(working.title).toBe("B against A");
});

test("the share of pairs counts equal levels by half, and its working says so", () => {
  const { value, working } = compareLevels(side("A", [1, 2]), side("B", [1, 0]), { levels, better: "less" });
  expect(value).toMatchObject({ kind: "levels", share: 0.875, middle: [1.5, 0.5] });
  expect(working.steps).toContain("its share, the equal ones halved: (3 + 1 ÷ 2) ÷ 4 = 0.875");
  expect(working.steps[0]).toBe("A: 0 intact, 1 cracked, 1 broken; median cracked to broken");
});

test("several groups of levels are corrected for one another", () => {
  const pairs = compareSeveral([side("A", worse), side("B", good), side("C", good)], {
    levels: { levels, better: "less" },
  });
  expect(pairs.map((p) => [p.a, p.b, p.distinct])).toEqual([
    ["A", "B", true],
    ["A", "C", true],
    ["B", "C", false],
  ]);
  const alone = rankSum(worse, good).p;
  expect(pairs[0]!.p).toBeCloseTo(3 * alone, 12);
});
