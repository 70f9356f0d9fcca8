// What pilot runs say of a protocol: the condition that wandered most, against what the protocol allows.
import fc from "fast-check";
import { toSi } from "../quantity/quantity";
import { assessRun, type RecordedRun } from "./assess";
import { correlation, scatterOf } from "./pilot";
import type { ProtocolDefinition } from "./protocol";

const protocol: ProtocolDefinition = {
  conditions: [
    { key: "h", name: "Lift", unit: "m", target: "1.60", tolerance: "0.01" },
    { key: "Tw", name: "Water", unit: "°C", target: "20", tolerance: "5" },
    { key: "x", name: "Nobody looked", unit: "N", target: "1", tolerance: "1" },
  ],
  measures: [{ key: "V", name: "Volume", unit: "L", resolution: "0.05" }],
  constants: [],
  derived: [],
  primary: "V",
  better: "more",
  policy: { school: "best", n: 3, foul: "out" },
  safety: [],
};
const runs = (rows: [h: string, Tw: string, V: string, state?: RecordedRun["state"]][]): RecordedRun[] =>
  rows.map(([h, Tw, V, state = "valid"], i) => ({
    id: `r${i}`,
    attempt: i + 1,
    state,
    reason: null,
    readings: { V: toSi(V, "L").toString() },
    conditions: { h, Tw: toSi(Tw, "°C").toString() },
  }));
const of = (rows: Parameters<typeof runs>[0], p = protocol) => {
  const list = runs(rows);
  return scatterOf(
    p,
    list,
    list.map((r) => assessRun(p, r)),
  );
};

test("the one that wandered most against its tolerance stands first, and is named", () => {
  const { conditions, sentence } = of([
    ["1.58", "19", "8"],
    ["1.60", "20", "8.2"],
    ["1.62", "21", "8.4"],
    ["1.60", "20", "8.2"],
  ]);
  expect(conditions.map((c) => [c.key, c.n, c.outside])).toEqual([
    ["h", 4, 2],
    ["Tw", 4, 0],
  ]);
  // 2 · sd(1.58, 1.60, 1.62, 1.60) / 0.01 by hand: the squares sum to 0.0008, over 3, its root 0.01633.
  expect(conditions[0]!.share).toBeCloseTo(3.26599, 4);
  expect([conditions[0]!.low, conditions[0]!.high]).toEqual([1.58, 1.62]);
  expect(conditions[0]!.withResult).toBeCloseTo(1, 9);
  expect(sentence).toBe(
    "Lift scattered most: ±0.033 m (two standard deviations) against a tolerance of ±0.01 m. " +
      "Hold it better, or allow more if the result does not mind.",
  );
});

test("inside its tolerance it can be held; a run that was set aside says nothing", () => {
  const { conditions, sentence } = of([
    ["1.60", "19", "8"],
    ["1.60", "21", "8"],
    ["1.90", "20", "8", "void"],
  ]);
  expect(sentence).toContain("Water scattered most: ±2.8 °C");
  expect(sentence).toContain("The conditions can be held.");
  expect(conditions.find((c) => c.key === "h")).toMatchObject({ n: 2, sd: 0, share: 0, withResult: null });
});

test("one run says nothing of the scatter; a condition without a tolerance that moves is never held", () => {
  expect(of([["1.60", "19", "8"]]).sentence).toContain("two pilot runs or more");
  const strict = { ...protocol, conditions: [{ ...protocol.conditions[0]!, tolerance: "0" }] };
  expect(
    of(
      [
        ["1.60", "1", "8"],
        ["1.61", "1", "8"],
      ],
      strict,
    ).conditions[0]!.share,
  ).toBe(Number.POSITIVE_INFINITY);
  expect(
    of(
      [
        ["1.60", "1", "8"],
        ["1.60", "1", "8"],
      ],
      strict,
    ).conditions[0]!.share,
  ).toBe(0);
});

test("a correlation lies between −1 and 1, is the same both ways, and turns with a sign", () =>
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.integer({ min: -50, max: 50 }), fc.integer({ min: -50, max: 50 }))), (pairs) => {
      const [x, y] = [pairs.map((p) => p[0]), pairs.map((p) => p[1])];
      const r = correlation(x, y);
      if (r === null) return;
      expect(Math.abs(r)).toBeLessThanOrEqual(1);
      expect(correlation(y, x)).toBeCloseTo(r, 12);
      expect(
        correlation(
          x,
          y.map((v) => -v),
        ),
      ).toBeCloseTo(-r, 12);
    }),
  ));
