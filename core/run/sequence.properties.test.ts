import fc from "fast-check";
import { checkProtocol } from "./protocol";
import { sequenceOf } from "./sequence";
import { shelf } from "./shelf";

const names = ["ball", "lever", "weight", "wheel"];
const trials = fc.array(fc.integer({ min: 0, max: 4 }), { maxLength: 30 });

test("each step is reached by those that passed the one before, and the shares multiply to those that passed all", () =>
  fc.assert(
    fc.property(trials, (passed) => {
      const { steps, chain, trials: until } = sequenceOf(names, passed).value;
      expect(steps[0]!.reached).toBe(passed.length);
      steps.slice(1).forEach((s, i) => expect(s.reached).toBe(steps[i]!.passed));
      if (chain === null) return;
      expect(chain).toBeCloseTo(passed.filter((n) => n === 4).length / passed.length, 12);
      if (until !== null) expect(until * chain).toBeCloseTo(1, 9);
    }),
  ));

test("the step whose repair gains most is the one that fails most often of those that reach it", () => {
  const told = sequenceOf(names, [4, 4, 1, 1, 1, 0, 4, 3]).value;
  expect(told.steps.map((s) => [s.reached, s.passed])).toEqual([
    [8, 7],
    [7, 4],
    [4, 4],
    [4, 3],
  ]);
  expect([told.repair, told.chain]).toEqual([1, expect.closeTo(3 / 8)]);
  // A step reached 12 times that passed 9.
  const nine = sequenceOf(["only"], [...Array(9).fill(1), 0, 0, 0]).value.steps[0]!;
  expect([nine.share, ...nine.interval!.map((x) => x.toFixed(3))]).toEqual([0.75, "0.468", "0.911"]);
});

test("where all passes nothing wants a repair; where a step was never reached of the chain nothing is said", () => {
  expect(sequenceOf(names, [4, 4]).value).toMatchObject({ chain: 1, trials: 1, repair: null });
  const early = sequenceOf(names, [1, 0]);
  expect([early.value.chain, early.value.trials, early.working.warnings.length]).toEqual([null, null, 1]);
  expect(sequenceOf(names, [3]).value).toMatchObject({ chain: 0, trials: null, repair: 3 });
  for (const wrong of [5, -1, 1.5]) expect(() => sequenceOf(names, [wrong])).toThrow("0 to 4 steps");
});

test("a protocol of steps counts them: its reading has no unit, and no more can be passed than there are", () => {
  const { definition } = shelf.find((t) => t.key === "steps")!;
  const asked = (more: object) => checkProtocol({ ...definition, ...more });
  expect(asked({ primary: "t" })[0]).toContain("A protocol of steps is about how many were passed");
  expect(asked({ steps: ["a", "b"] })).toEqual(["There are 2 steps: no more than 2 can be passed."]);
  expect(asked({ steps: ["a", "a", "b", "c", "d"] })).toEqual(["Each step has a name of its own."]);
  expect(asked({ steps: [] })).toEqual([]);
});
