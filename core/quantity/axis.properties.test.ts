import fc from "fast-check";
import { axisOf, spread } from "./axis";

test("whatever the values: zero is on it, no value outside, a handful of steps, each label its tick", () => {
  const value = fc.double({ min: -1e9, max: 1e9, noNaN: true }).map((x) => (Math.abs(x) < 1e-6 ? 0 : x));
  fc.assert(
    fc.property(fc.array(value, { maxLength: 20 }), (values) => {
      const { ticks, labels } = axisOf(values);
      const [first, last] = [ticks[0]!, ticks.at(-1)!];
      expect(ticks).toContain(0);
      for (const v of values) expect(first <= v && v <= last).toBe(true);
      expect(ticks.length).toBeGreaterThanOrEqual(2);
      expect(ticks.length).toBeLessThanOrEqual(9);
      expect(labels.map((l) => Number(l.replace("−", "-")))).toEqual(ticks);
      expect(new Set(labels.map((l) => l.split(".")[1]?.length ?? 0)).size).toBe(1);
    }),
    { numRuns: 500 },
  );
});

test("steps are 1, 2 or 5 times a power of ten, and what cannot be drawn is left out", () => {
  expect(axisOf([0.9]).ticks).toEqual([0, 0.2, 0.4, 0.6, 0.8, 1]);
  expect(axisOf([49]).ticks).toEqual([0, 10, 20, 30, 40, 50, 60]);
  expect(axisOf([]).ticks).toEqual([0, 0.2]);
  expect(axisOf([Number.NaN, Number.POSITIVE_INFINITY, 3]).ticks).toEqual(axisOf([3]).ticks);
});

test("labels stand apart by the gap, in the order of their places, and stay put where none is near", () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 300, noNaN: true }), { maxLength: 12 }), (places) => {
      const found = spread(places, 13, 300);
      const order = places.map((_, i) => i).sort((a, b) => places[a]! - places[b]! || a - b);
      for (const [k, i] of order.entries()) {
        expect(found[i]).toBeLessThanOrEqual(300 + 1e-9);
        if (k > 0) expect(found[i]! - found[order[k - 1]!]!).toBeGreaterThanOrEqual(13 - 1e-9);
        const alone = places.every((p, j) => j === i || Math.abs(p - places[i]!) > 13 * places.length);
        if (alone) expect(found[i]).toBe(places[i]);
      }
    }),
    { numRuns: 500 },
  );
});
