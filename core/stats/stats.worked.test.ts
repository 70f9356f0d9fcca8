import { compareMeans, runsPerSide } from "./compare";
import { describe as describeValues, outliers } from "./describe";

describe("repeats and comparisons", () => {
  const a = { name: "A", values: [7.8, 8.1, 7.6, 8.0] };
  const b = { name: "B", values: [8.6, 8.9, 8.3, 8.8, 8.5] };
  test("Welch: 0.745, 0.379 to 1.111, df 6.775, p 0.00206, g 2.86", () => {
    const r = compareMeans(a, b, { verb: "pumps more" }).value;
    if (r.kind !== "compared") throw new Error("expected a comparison");
    expect(r.difference).toBeCloseTo(0.745, 9);
    expect(r.interval.map((x) => x.toFixed(3))).toEqual(["0.379", "1.111"]);
    expect(r.df).toBeCloseTo(6.775, 3);
    expect(r.p).toBeCloseTo(0.00206, 5);
    expect(r.g).toBeCloseTo(2.86, 2);
    expect(r.sentence).toBe("B pumps more: the difference is larger than the scatter between runs.");
  });
  test("one run cannot tell", () =>
    expect(compareMeans(a, { name: "C", values: [9] }).value.sentence).toContain("cannot tell"));
  test("not significant: it says how many runs would show it", () => {
    const r = compareMeans({ name: "A", values: [8, 8.4, 7.7] }, { name: "B", values: [8.2, 8.5, 7.9] }).value;
    expect(r).toMatchObject({ kind: "compared", distinct: false, runsNeeded: expect.any(Number) });
    expect(runsPerSide(0.5, 0.3)).toBe(7);
  });
  const compare = (x: number[], y: number[], resolution?: number) => {
    const r = compareMeans({ name: "A", values: x }, { name: "B", values: y }, { unit: "kg", resolution }).value;
    if (r.kind !== "compared") throw new Error("expected a comparison");
    return r;
  };
  test("readings that are equal in print are never called different", () => {
    const equal = compare([0.1, 0.1], Array(7).fill(0.1), 0.1);
    expect([equal.distinct, equal.coarse, equal.p]).toEqual([false, true, expect.closeTo(1, 6)]);
    expect(compare([0.1, 0.1], Array(7).fill(0.1)).distinct).toBe(false);
    // Means that differ by less than can be read, however little they scatter.
    expect(compare([8.14, 8.14, 8.14, 8.14], [8.11, 8.11, 8.11, 8.11], 0.1).distinct).toBe(false);
  });
  test("one digit apart without scatter: the instrument is too coarse to tell; far apart it is not", () => {
    const close = compare([8.1, 8.1], [8.2, 8.2], 0.1);
    expect([close.distinct, close.runsNeeded]).toEqual([false, null]);
    expect(close.sentence).toBe(
      "No difference can be told: all runs of a side read the same to 0.1 kg, so the instrument is too coarse to " +
        "show " +
        "the scatter.",
    );
    // sd 0.1/√12, so t = 0.1 ÷ (0.1/√12) = √12 with 2 degrees of freedom.
    expect(close.p).toBeCloseTo(0.0742, 4);
    expect(compare([8.1, 8.1], [12, 12], 0.1).distinct).toBe(true);
    expect(compare([8.1, 8.1], [12, 12]).sentence).toContain("too coarse");
  });
  test("125,000 values have a range", () => {
    const many = Array.from({ length: 125_000 }, (_, i) => i);
    expect([describeValues(many)!.min, describeValues(many)!.max]).toEqual([0, 124_999]);
  });
  test("t interval and outliers", () => {
    const d = describeValues([7.8, 8.1, 7.6, 8.0])!;
    expect(d.interval!.map((x) => x.toFixed(3))).toEqual(["7.522", "8.228"]);
    expect(outliers([8.1, 8.2, 8.0, 8.1, 4.0])).toEqual([4]);
    expect(outliers([8, 8, 8, 8, 9])).toEqual([]);
  });
});
