import fc from "fast-check";
import { drawOrder, drawTeams, teamSizes } from "./draw";

describe("draws and teams", () => {
  test("an order is a permutation, the same for the same seed", () =>
    fc.assert(
      fc.property(fc.array(fc.string(), { maxLength: 20 }), fc.string(), (items, seed) => {
        expect(drawOrder(items, seed)).toEqual(drawOrder(items, seed));
        expect([...drawOrder(items, seed)].sort()).toEqual([...items].sort());
      }),
    ));
  test("sizes lie between the limits and add up, or there is none", () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 0, max: 4 }),
        (people, min, spread) => {
          const sizes = teamSizes(people, min, min + spread);
          if (!sizes) return expect(Math.ceil(people / (min + spread)) > Math.floor(people / min)).toBe(true);
          expect(sizes.reduce((a, b) => a + b, 0)).toBe(people);
          for (const s of sizes) expect(s >= min && s <= min + spread).toBe(true);
        },
      ),
    ));
  test("every place is about as likely for everybody", () => {
    const first = [0, 0, 0, 0];
    for (let seed = 0; seed < 4000; seed++) first[drawOrder([0, 1, 2, 3], String(seed))[0]!]!++;
    for (const n of first) expect(Math.abs(n - 1000)).toBeLessThan(130);
  });
  test("teams hold everybody once", () =>
    expect(drawTeams(["a", "b", "c", "d", "e", "f", "g"], 3, 4, "x")!.flat().sort().join("")).toBe("abcdefg"));
});
