import fc from "fast-check";
import { seededRandom } from "../draw/draw";
import { simulatedMark, simulatedReading } from "./rehearsal";

test("a made-up reading lies on the instrument's steps, inside the range, and near what is usual", () => {
  fc.assert(
    fc.property(fc.string({ minLength: 1 }), fc.integer({ min: 30, max: 90 }), (seed, usual) => {
      const random = seededRandom(seed);
      const text = simulatedReading({ resolution: "0.5", min: "2", max: "12" }, usual / 10, random);
      expect(text).toMatch(/^\d+\.[05]$/);
      expect(Number(text)).toBeGreaterThanOrEqual(2);
      expect(Number(text)).toBeLessThanOrEqual(12);
      expect(Math.abs(Number(text) - usual / 10)).toBeLessThanOrEqual(0.12 * (usual / 10) + 0.25);
    }),
  );
});

test("without anything usual the middle of the range is; without a range there is still a reading", () => {
  expect(simulatedReading({ resolution: "1", min: "0", max: "10" }, null, () => 0.5)).toBe("5");
  expect(simulatedReading({ resolution: "0.1", min: "", max: "" }, 7, () => 0.5)).toBe("7.0");
  expect(simulatedReading({ resolution: "0.3", min: "", max: "1" }, 1, () => 0.99)).toBe("0.9");
});

test("counts are whole, yes or no is a word, a level is one of its own", () => {
  expect(simulatedReading({ kind: "count", resolution: "1", min: "0", max: "9" }, 4.2, () => 0.5)).toBe("4");
  expect(simulatedReading({ kind: "yes-no", resolution: "1", min: "", max: "" }, null, () => 0.1)).toBe("no");
  const drop = { kind: "level", levels: ["whole", "cracked"], resolution: "1", min: "", max: "" } as const;
  expect([0, 0.49, 0.5, 0.9999].map((x) => simulatedReading(drop, null, () => x))).toEqual([
    "whole",
    "whole",
    "cracked",
    "cracked",
  ]);
});

test("marks go from 0 to the best, each of them", () => {
  expect([0, 0.2, 0.5, 0.9999].map((x) => simulatedMark(5, () => x))).toEqual([0, 1, 3, 5]);
});
