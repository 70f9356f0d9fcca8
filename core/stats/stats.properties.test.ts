import fc from "fast-check";
import { compareMeans, runsPerSide } from "./compare";
import { describe as describeValues, mean, median } from "./describe";

describe("statistics", () => {
  const list = fc.array(fc.double({ min: -50, max: 50, noNaN: true }), { minLength: 2, maxLength: 12 });
  test("mean and median lie in the range, the interval around the mean", () =>
    fc.assert(
      fc.property(list, (v) => {
        const d = describeValues(v)!;
        for (const x of [mean(v), median(v)]) expect(x >= d.min - 1e-9 && x <= d.max + 1e-9).toBe(true);
        expect(d.interval![0] <= d.mean + 1e-9 && d.interval![1] >= d.mean - 1e-9).toBe(true);
      }),
    ));
  test("exchanging the sides turns the difference round", () =>
    fc.assert(
      fc.property(list, list, (a, b) => {
        const [x, y] = [
          compareMeans({ name: "a", values: a }, { name: "b", values: b }).value,
          compareMeans({ name: "b", values: b }, { name: "a", values: a }).value,
        ];
        if (x.kind !== "compared" || y.kind !== "compared") throw new Error("both have runs enough");
        expect(x.difference).toBeCloseTo(-y.difference, 9);
        expect(x.distinct).toBe(y.distinct);
      }),
    ));
  test("a smaller difference needs more runs", () => {
    const needed = [1, 0.8, 0.6, 0.4, 0.2].map((d) => runsPerSide(d, 0.5)!);
    expect([...needed].sort((a, b) => a - b)).toEqual(needed);
    expect(runsPerSide(0.0001, 1)).toBeNull();
  });
});
