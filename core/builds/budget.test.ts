import fc from "fast-check";
import { budgetOf, savingFrom } from "./budget";

const of = (values: string[], more: object = {}) =>
  budgetOf({ values, limit: "5", held: 10, ahead: 5, unit: "kg", ...more })!;

test("steps of the mean size at the pace so far, and what has to be saved", () => {
  expect(of(["3", "4", "4.6"], { ahead: 10 }).value).toMatchObject({ more: 2, forecast: "6.2", saving: "1.2" });
  expect(of(["3", "4", "4.6"], { ahead: 10 }).working.steps).toEqual([
    "generations still to come: 2 ÷ 10 × 10, rounded: 2",
    "4.6 + 2 × 0.8 = 6.20",
  ]);
  expect(of(["4.4", "5.2"]).value).toMatchObject({ left: "-0.2", contingency: -0.04, saving: "1" });
});

test("one that grew lighter is not counted on to go on so; one generation has no pace", () => {
  expect(of(["4.8", "4.4"], { ahead: 20 }).value).toMatchObject({ more: 2, forecast: "4.4", saving: "0" });
  const one = of(["4.4"], { held: 0 });
  expect(one.value).toMatchObject({ more: 0, forecast: "4.4" });
  expect(one.working.warnings).toHaveLength(1);
  expect(budgetOf({ values: [], limit: "5", held: 1, ahead: 1, unit: "kg" })).toBeNull();
});

test("a saving is had from a part that is heavy enough, the least share first", () => {
  const parts = [
    { name: "Lever", adds: "1" },
    { name: "Frame", adds: "2" },
    { name: "Hose", adds: "0.3" },
  ];
  expect(savingFrom(parts, "0.5").map((p) => [p.name, p.share])).toEqual([
    ["Frame", 0.25],
    ["Lever", 0.5],
  ]);
  expect(savingFrom(parts, "1").at(-1)).toEqual({ name: "Lever", share: 1 });
  expect(savingFrom(parts, "0")).toEqual([]);
});

test("what is left and what is saved agree with the limit", () => {
  const value = fc.integer({ min: 1, max: 9000 }).map((n) => (n / 1000).toString());
  fc.assert(
    fc.property(
      fc.array(value, { minLength: 1, maxLength: 6 }),
      value,
      fc.nat(30),
      fc.nat(30),
      (values, limit, h, a) => {
        const { value: b } = budgetOf({ values, limit, held: h, ahead: a, unit: "kg" })!;
        expect(Number(b.newest) + Number(b.left)).toBeCloseTo(Number(limit), 9);
        expect(Number(b.forecast)).toBeGreaterThanOrEqual(Number(b.newest) - 1e-9);
        expect(Number(b.forecast) - Number(b.saving)).toBeLessThanOrEqual(
          Math.max(Number(limit), Number(b.forecast)) + 1e-9,
        );
        if (Number(b.saving) > 0) expect(Number(b.forecast) - Number(b.saving)).toBeCloseTo(Number(limit), 9);
      },
    ),
  );
});
