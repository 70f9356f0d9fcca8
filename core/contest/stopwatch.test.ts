import fc from "fast-check";
import { compareWatches, elapsed, fresh, split, toggled, type Watch, watchText } from "./stopwatch";

test("a watch runs on after a stop, and what was read stays", () => {
  const steps: ((w: Watch) => Watch)[] = [
    (w) => toggled(w, 1000),
    (w) => split(w, 1500),
    (w) => toggled(w, 2000),
    (w) => split(w, 9000),
    (w) => toggled(w, 10_000),
  ];
  const watch = steps.reduce((w, f) => f(w), fresh);
  expect([elapsed(watch, 10_400), watch.splits]).toEqual([1400, [500]]);
  expect(elapsed(toggled(watch, 10_500), 99_999)).toBe(1500);
  // A clock that was set back does not make time run backwards.
  expect(elapsed({ before: 300, since: 1000, splits: [] }, 900)).toBe(300);
});

test("is read to hundredths, cut off; never more than has passed", () => {
  expect([0, 9, 10, 59_999, 61_005].map(watchText)).toEqual(["0.00", "0.00", "0.01", "59.99", "61.00"]);
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 4_000_000 }), (ms) => {
      const read = Number(watchText(ms)) * 1000;
      expect(read).toBeLessThanOrEqual(ms + 1e-6);
      expect(ms - read).toBeLessThan(10 + 1e-6);
    }),
  );
});

test("two watches: on the boundary not apart, beyond it they are", () => {
  expect(compareWatches(8_000, 8_200, "0.2")).toEqual({ difference: "0.20", mean: "8.10", apart: false });
  expect(compareWatches(8_220, 8_000, "0.2")).toEqual({ difference: "0.22", mean: "8.11", apart: true });
});
