import fc from "fast-check";
import { rulesWithNumbers } from "@/core/brief/brief";
import { disjoint } from "@/core/quantity/limits-in-text";
import { labelledPairs } from "@/core/testing/labelled-pairs";
import { limitsInText, opposite } from "../quantity/limits-in-text";
import { groupAlike, likelyPairs, likeness } from "./similarity";

describe("words", () => {
  const texts = [...labelledPairs.map((p) => p[0]), ...labelledPairs.map((p) => p[1])];
  test("likeness is the same both ways, between 0 and 1, and 1 for the same text", () => {
    fc.assert(
      fc.property(fc.constantFrom(...texts), fc.constantFrom(...texts), (a, b) => {
        expect(likeness(a, b).score).toBeCloseTo(likeness(b, a).score, 12);
        expect(likeness(a, b).score).toBeLessThanOrEqual(1 + 1e-12);
        expect(likeness(a, a).score).toBeCloseTo(1, 12);
      }),
    );
  });
  test("pairs found over their words are all that there are, with the likeness of the pair", () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...texts), { minLength: 2, maxLength: 12 }),
        fc.double({ min: 0.2, max: 0.9, noNaN: true }),
        (list, threshold) => {
          const slow = list.flatMap((a, i) =>
            list.slice(i + 1).flatMap((b, d) => {
              const s = likeness(a, b).score;
              const against = limitsInText(a).some((x) => limitsInText(b).some((y) => opposite(x, y)));
              return s >= threshold && !against ? [[i, i + 1 + d, s.toFixed(9)]] : [];
            }),
          );
          expect(
            likelyPairs(list, threshold)
              .map((p) => [p.a, p.b, p.score.toFixed(9)])
              .sort(),
          ).toEqual(slow.sort());
          const members = groupAlike(list, { threshold }).flatMap((g) => g.members);
          expect(new Set(members).size).toBe(members.length);
        },
      ),
      { numRuns: 60 },
    );
  });
  test("a rule's key survives any change of its numbers", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 999 }), fc.integer({ min: 1, max: 999 }), (a, b) => {
        const key = (n: number) => rulesWithNumbers(`## Rules\n- At most ${n} kg, in ${n + 1} min`)[0]!.key;
        expect(key(a)).toBe(key(b));
      }),
    );
  });
  test("“at most x” and “at least y” clash exactly when y lies above x", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 500 }), fc.integer({ min: 1, max: 500 }), (x, y) => {
        expect(disjoint(limitsInText(`at most ${x} kg`)[0]!, limitsInText(`at least ${y * 1000} g`)[0]!)).toBe(y > x);
      }),
    );
  });
});
