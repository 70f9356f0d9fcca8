import fc from "fast-check";
import { around, atOnePlace, fittedParts, withinSides } from "./guide";

const step = (partId: string | null, count: number) => ({ partId, count, at: null });

test("a part that steps fit more often than the list has it is left below zero", () => {
  const [leg] = fittedParts([{ id: "a", name: "Leg", count: 2 }], [step("a", 2), step("a", 1), step(null, 5)]);
  expect(leg).toEqual({ id: "a", name: "Leg", count: 2, fitted: 3, left: -1 });
});

test("nothing is around nothing, and nothing lies within any box", () => {
  expect(around([])).toBeNull();
  expect(withinSides([], [0.1, 0.1, 0.1])).toBe(true);
});

test("what is exactly as long as the box fits it", () =>
  expect(
    withinSides(
      [
        [0.1, 0, 0],
        [0.7, 0, 0],
      ],
      [0.4, 0.6, 0.4],
    ),
  ).toBe(true));

const place = fc.tuple(
  fc.double({ min: -2, max: 2, noNaN: true }),
  fc.double({ min: -2, max: 2, noNaN: true }),
  fc.double({ min: -2, max: 2, noNaN: true }),
);

test("the box holds every place, and touches one on each side", () => {
  fc.assert(
    fc.property(fc.array(place, { minLength: 1 }), (places) => {
      const box = around(places)!;
      for (const k of [0, 1, 2] as const) {
        const on = places.map((p) => p[k] - box.least[k]);
        expect(Math.min(...on)).toBe(0);
        expect(Math.max(...on)).toBeCloseTo(box.sides[k], 12);
      }
      expect(withinSides(places, box.sides)).toBe(true);
    }),
  );
});

test("one place is told once for each pair, whatever the order", () => {
  fc.assert(
    fc.property(fc.array(fc.option(fc.constantFrom<[number, number, number]>([0, 0, 0], [1, 0, 0]))), (places) => {
      const found = atOnePlace(places, 0.001);
      const same = (v: string) => places.filter((p) => p && p.join() === v).length;
      const pairs = (n: number) => (n < 2 ? 0 : (n * (n - 1)) / 2);
      expect(found.length).toBe(pairs(same("0,0,0")) + pairs(same("1,0,0")));
      expect(found.every(([a, b]) => a < b)).toBe(true);
    }),
  );
});
