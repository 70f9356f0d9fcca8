// What is taken from a series: by hand on small ones, and what must hold of any.
import fc from "fast-check";
import { type Samples, takeFrom, thinned } from "./take";

const ramp: Samples = { t: [0, 10, 20, 30, 40], v: [0, 10, 20, 10, 0] };
const value = (...args: Parameters<typeof takeFrom>) => takeFrom(...args).value?.value ?? null;

test.each([
  ["peak", { rule: "peak" }, 20],
  ["low", { rule: "low" }, 0],
  ["up through 15", { rule: "crossing", level: 15, way: "up" }, 15],
  ["down through 15", { rule: "crossing", level: 15, way: "down" }, 25],
  ["above 15", { rule: "beyond", level: 15, way: "up" }, 10],
  ["below 5", { rule: "beyond", level: 5, way: "down" }, 10],
  ["area", { rule: "integral" }, 400],
] as const)("%s of a ramp up and down", (_, rule, wanted) => expect(value(rule, ramp, "N")).toBeCloseTo(wanted, 12));

test("in a part only its samples count, both ends included", () => {
  expect(value({ rule: "peak" }, ramp, "N", { from: 0, to: 10 })).toBe(10);
  expect(value({ rule: "integral" }, ramp, "N", { from: 10, to: 30 })).toBe(300);
  expect(value({ rule: "peak" }, ramp, "N", { from: 11, to: 19 })).toBeNull();
  expect(value({ rule: "crossing", level: 15, way: "up" }, ramp, "N", { from: 20, to: 40 })).toBeNull();
});

test("noise about the level is no crossing where it has to stay beyond", () => {
  const noisy = { t: [0, 1, 2, 3, 4, 5, 6, 7], v: [9, 7, 9, 7, 7, 9, 9, 9] };
  const at = (stretch?: number) => value({ rule: "crossing", level: 8, way: "up", stretch }, noisy, "°C");
  expect([at(), at(0.5), at(1), at(2), at(50)]).toEqual([1.5, 1.5, 4.5, 4.5, 4.5]);
  expect(
    value({ rule: "crossing", level: 8, way: "up", stretch: 3 }, { t: [0, 1, 2, 3], v: [7, 9, 9, 7] }, ""),
  ).toBeNull();
});

describe("a crossing that the series does not reach", () => {
  // Newton's law with 32 °C around it and a time constant of 20,000 s: 8 °C is passed after 20000 · ln(27/24) s.
  const cooling = (seconds: number) => {
    const t = Array.from({ length: seconds / 60 }, (_, i) => i * 60);
    return { t, v: t.map((x) => 32 - 27 * Math.exp(-x / 20_000)) };
  };
  const rule = { rule: "crossing", level: 8, way: "up", towards: 32 } as const;
  const after = 20_000 * Math.log(27 / 24);
  test("is extrapolated along the curve, and says so", () => {
    const { value: taken, working } = takeFrom(rule, cooling(1800), "°C");
    expect(taken!.value).toBeCloseTo(after, 4);
    expect([taken!.from, taken!.to]).toEqual([1200, 1740]);
    expect(working.warnings).toEqual(["Extrapolated: the series ends at 1740 s, before 8.000 °C."]);
    expect(working.steps[0]).toContain("the last 10 samples tend to 32.00 °C with a time constant of 20000 s");
  });
  test("is not where it was reached, where the curve does not tend there, or where nothing is told", () => {
    expect(takeFrom(rule, cooling(3600), "°C").working.warnings).toEqual([]);
    expect(value({ ...rule, towards: undefined }, cooling(1800), "°C")).toBeNull();
    expect(value({ ...rule, towards: 7 }, cooling(1800), "°C")).toBeNull();
    expect(value(rule, { t: [0, 60, 120, 180], v: [7, 6, 5, 4] }, "°C")).toBeNull();
    expect(value(rule, { t: [0, 60, 120, 180], v: [5, 5, 5, 5] }, "°C")).toBeNull();
    expect(value(rule, { t: [0, 60], v: [5, 32] }, "°C")).not.toBeNull();
  });
});

test("what the samples do not hold is said, never guessed", () => {
  const said = (...args: Parameters<typeof takeFrom>) => takeFrom(...args).working.warnings.join(" ");
  expect(said({ rule: "peak" }, { t: [], v: [] }, "N")).toBe("There is no sample in this part.");
  expect(said({ rule: "integral" }, { t: [1], v: [1] }, "N")).toBe("One sample is no curve.");
  expect(said({ rule: "crossing", level: 50, way: "up" }, ramp, "N")).toBe("50.00 N is not reached.");
  expect(said({ rule: "crossing", level: 50, way: "down" }, ramp, "N")).toBe("50.00 N is passed already at the start.");
  expect(said({ rule: "mean", stretch: 100 }, ramp, "N")).toBe("The samples do not reach over 100.0 s.");
  expect(takeFrom({ rule: "beyond", level: 50 }, ramp, "N").value).toEqual({ value: 0, from: 0, to: 0 });
});

test("the steadiest stretch is the flat one, whatever lies before and after it", () => {
  const t = Array.from({ length: 101 }, (_, i) => i / 10);
  const v = t.map((x) => (x < 3 ? x * 5 : x <= 6 ? 15 + 0.01 * ((x * 10) % 2) : 15 + (x - 6) * 4));
  const { value: taken, working } = takeFrom({ rule: "mean", stretch: 2 }, { t, v }, "V");
  expect(taken!.from).toBeGreaterThanOrEqual(2.9);
  expect(taken!.to).toBeLessThanOrEqual(6.1);
  expect(taken!.to - taken!.from).toBeCloseTo(2, 6);
  expect(taken!.value).toBeCloseTo(15.005, 2);
  expect(working.steps[0]).toContain("mean of the 21 samples");
});

test("a crossing's line, redone from what it shows, gives the time", () => {
  const { working } = takeFrom(
    { rule: "crossing", level: 8, way: "up" },
    { t: [0, 21960, 21961], v: [4, 7.96, 8.02] },
    "°C",
  );
  expect(working.steps).toEqual(["21960 + (8 − 7.96) ÷ (8.02 − 7.96) × 1 = 21961"]);
});

const series = fc
  .array(fc.tuple(fc.integer({ min: 1, max: 50 }), fc.integer({ min: -100, max: 100 })), {
    minLength: 2,
    maxLength: 60,
  })
  .map((steps) => {
    let at = 0;
    return { t: steps.map(([dt]) => (at += dt)), v: steps.map(([, v]) => v) };
  });

test("time above and time below a level make up the whole, unless it lies on it", () =>
  fc.assert(
    fc.property(series, fc.integer({ min: -100, max: 100 }), (s, half) => {
      const level = half + 0.5;
      const above = value({ rule: "beyond", level, way: "up" }, s, "")!;
      const below = value({ rule: "beyond", level, way: "down" }, s, "")!;
      expect(above + below).toBeCloseTo(s.t.at(-1)! - s.t[0]!, 9);
    }),
  ));

test("an area is the sum of the areas of its parts; turned over it changes its sign", () =>
  fc.assert(
    fc.property(series, fc.nat(), (s, k) => {
      const cut = s.t[k % s.t.length]!;
      const area = (part?: { from: number; to: number }) => value({ rule: "integral" }, s, "", part) ?? 0;
      const [first, last] = [s.t[0]!, s.t.at(-1)!];
      expect(area({ from: first, to: cut }) + area({ from: cut, to: last })).toBeCloseTo(area(), 6);
      expect(value({ rule: "integral" }, { t: s.t, v: s.v.map((x) => -x) }, "")).toBeCloseTo(-area(), 6);
    }),
  ));

test("the curve that crosses upwards crosses downwards where it is turned over", () =>
  fc.assert(
    fc.property(series, fc.integer({ min: -100, max: 100 }), (s, half) => {
      const level = half + 0.5;
      const up = value({ rule: "crossing", level, way: "up" }, s, "");
      const turned = { t: s.t, v: s.v.map((x) => -x) };
      expect(value({ rule: "crossing", level: -level, way: "down" }, turned, "")).toEqual(up);
      if (up !== null) expect(up).toBeGreaterThan(s.t[0]!);
    }),
  ));

test("a thinned curve keeps the extremes and rises in time", () =>
  fc.assert(
    fc.property(series, fc.integer({ min: 1, max: 20 }), (s, most) => {
      const thin = thinned(s, most);
      expect(thin.length).toBeLessThanOrEqual(most);
      expect(Math.max(...thin.map((b) => b.high))).toBe(Math.max(...s.v));
      expect(Math.min(...thin.map((b) => b.low))).toBe(Math.min(...s.v));
      thin.forEach((b, i) => {
        if (i) expect(b.t).toBeGreaterThan(thin[i - 1]!.t);
      });
    }),
  ));
