import type { GateEdge } from "@/core/instrument/gates";
import { gateRows, gateRuleOf, isTime, timeIn, usualGates } from "./gates";

const change = (gate: string, t: number): GateEdge => ({ gate, broken: true, t, within: 0.001, clock: 0 });

test("times are shown the newest first, with ± and a speed; a field takes as many decimals as are known", () => {
  const read = gateRuleOf({ ...usualGates, length: "3 m" }, ["in", "out"]);
  if ("why" in read) throw new Error(read.why);
  expect([read.rule.start, read.rule.stop, read.step, read.length]).toEqual(["in", "out", 0.001, 3]);
  const edges = [change("in", 1), change("out", 3.5), change("in", 10), change("out", 11.2)];
  // u = √(2 × 0.001² ÷ 3) = 0.000816 s, and twice that as ±.
  expect(gateRows(read.rule, read.length, edges)).toEqual([
    { n: 2, time: "1.2000 ± 0.0016 s", speed: "2.5000 ± 0.0034 m/s", typed: "1.2000" },
    { n: 1, time: "2.5000 ± 0.0016 s", speed: "1.20000 ± 0.00078 m/s", typed: "2.5000" },
  ]);
  expect(gateRows(read.rule, null, edges).map((r) => r.speed)).toEqual(["", ""]);
});

test("the gates are those that were chosen, else the first two that were heard", () => {
  const rule = (typed: object, gates: string[]) => {
    const read = gateRuleOf({ ...usualGates, ...typed }, gates);
    return "rule" in read && [read.rule.start, read.rule.stop];
  };
  expect(rule({}, [])).toEqual(["", ""]);
  expect(rule({}, ["in"])).toEqual(["in", ""]);
  expect(rule({ start: "out" }, ["in", "out"])).toEqual(["out", "in"]);
  expect(rule({ start: "a", stop: "b" }, ["in", "out"])).toEqual(["a", "b"]);
});

test.each([
  [{ dead: "soon" }, /^Passages apart by: /],
  [{ dead: "-1" }, /^Passages apart by: write 0 s or more/],
  [{ step: "0" }, /^Step of their clock: write /],
  [{ length: "0" }, /^Length: write /],
  [{ length: "2 kg" }, /^Length: /],
])("%o cannot be used, and why is said", (typed, why) => {
  expect(gateRuleOf({ ...usualGates, ...typed }, [])).toEqual({ why: expect.stringMatching(why) });
});

test("a field of a time takes seconds, with their unit where its own is another", () => {
  expect([isTime("s"), isTime("min"), isTime("m"), isTime("1")]).toEqual([true, true, false, false]);
  expect([timeIn("8.41", "s"), timeIn("8.41", "min")]).toEqual(["8.41", "8.41 s"]);
});
