import fc from "fast-check";
import { crossFactors } from "./crossed";
import { insideT, twoSidedT } from "./distributions";
import { planRuns, pooledSd, tellsOf } from "./experiment";
import { readFactors } from "./factors";
import { foresight } from "./prediction";
import { wilson } from "./proportion";
import { compareSeveral, holm } from "./several";
import { twoWay } from "./two-way";

const p = fc.double({ min: 0, max: 1, noNaN: true });

describe("several comparisons at once", () => {
  test("the correction keeps the order, never lowers a p, and leaves a single one alone", () =>
    fc.assert(
      fc.property(fc.array(p, { minLength: 1, maxLength: 8 }), (list) => {
        const out = holm(list);
        out.forEach((x, i) => {
          expect(x >= list[i]! - 1e-12 && x <= 1).toBe(true);
          list.forEach((y, k) => expect(list[i]! < y && x > out[k]!).toBe(false));
        });
        if (list.length === 1) expect(out).toEqual([Number(list[0]!.toPrecision(15))]);
      }),
    ));
  test("what is clear by itself may be lost among many comparisons, and says why", () => {
    const near = { name: "near", values: [8, 8.2, 8.1] };
    const far = { name: "far", values: [8.4, 8.7, 8.5] };
    const alone = compareSeveral([near, far])[0]!;
    expect([alone.distinct, alone.p! > 0.01 && alone.p! < 0.05]).toEqual([true, true]);
    const noise = [1, 2, 3].map((i) => ({ name: `n${i}`, values: [8 + i / 50, 8.9, 8.3 - i / 60] }));
    const among = compareSeveral([near, far, ...noise])[0]!;
    expect(among.p).toBeGreaterThan(0.05);
    expect(among.distinct).toBe(false);
    expect(among.sentence).toBe("No difference can be told: one of 10 comparisons may look like this by chance.");
    expect(among.comparison.working.steps.at(-1)).toMatch(/^Holm's correction, 10 comparisons: 10 × /);
  });
  test("a group with one run takes no part in the correction", () => {
    const pairs = compareSeveral([
      { name: "A", values: [7.8, 8.1, 7.6, 8] },
      { name: "B", values: [8.6, 8.9, 8.3, 8.8] },
      { name: "C", values: [7] },
    ]);
    expect(pairs.map((x) => x.p === null)).toEqual([false, true, true]);
    const told = pairs[0]!.comparison.value;
    expect(told.kind === "compared" && pairs[0]!.p! - told.p).toBeCloseTo(0, 12);
  });
});

test("Wilson's interval holds the share and stays between nothing and all", () =>
  fc.assert(
    fc.property(fc.nat(60), fc.nat(60), (a, b) => {
      const tries = Math.max(a, b);
      const w = wilson(Math.min(a, b), tries);
      if (tries === 0) return expect(w).toBeNull();
      const [low, high] = w!.interval;
      expect(low >= 0 && low <= w!.share && w!.share <= high && high <= 1).toBe(true);
    }),
  ));

test("the quantile and the share outside belong together, also far out", () =>
  fc.assert(
    fc.property(fc.double({ min: 0.01, max: 0.999999, noNaN: true }), fc.integer({ min: 1, max: 400 }), (share, df) => {
      const outside = twoSidedT(insideT(share, df), df);
      expect(Math.abs(outside / (1 - share) - 1)).toBeLessThan(1e-9);
    }),
  ));

describe("two factors crossed", () => {
  const level = fc.array(fc.double({ min: 0, max: 20, noNaN: true }), { minLength: 2, maxLength: 2 });
  test("with equal numbers the effects and the scatter add up to the whole", () =>
    fc.assert(
      fc.property(fc.array(level, { minLength: 6, maxLength: 6 }), (values) => {
        const cells = values.map((v, i) => ({ row: `r${i % 2}`, column: `c${i % 3}`, values: v }));
        const t = twoWay(cells)!;
        const all = values.flat();
        const middle = all.reduce((a, b) => a + b, 0) / all.length;
        const total = all.reduce((s, v) => s + (v - middle) ** 2, 0);
        const parts = [t.row, t.column, t.interaction!, t.residual];
        expect(parts.reduce((s, e) => s + e.sumOfSquares, 0)).toBeCloseTo(total, 6);
        expect(parts.map((e) => e.df)).toEqual([1, 2, 2, 6]);
      }),
    ));
  const cell = (row: string, column: string, ...values: number[]) => ({ row, column, values });
  const say = (cells: ReturnType<typeof cell>[]) => crossFactors(cells, ["valve", "stroke"]).value?.sentences;
  test("what each factor does, and whether it depends on the other, is said in words", () => {
    expect(
      say([cell("a", "s", 6, 6.2), cell("a", "l", 7, 7.2), cell("b", "s", 8, 8.2), cell("b", "l", 9, 9.2)]),
    ).toEqual([
      "valve: “b” is highest, by more than the scatter between runs.",
      "stroke: “l” is highest, by more than the scatter between runs.",
      "No sign that what valve does depends on stroke.",
    ]);
    expect(
      say([cell("a", "s", 6, 6.2), cell("a", "l", 9, 9.2), cell("b", "s", 9, 9.2), cell("b", "l", 6, 6.2)]),
    ).toEqual([
      "valve: no difference can be told from the scatter.",
      "stroke: no difference can be told from the scatter.",
      "What valve does depends on stroke: read the table cell by cell.",
    ]);
  });
  test("what is missing is named; without repeats nothing is said of dependence; one level is not crossed", () => {
    expect(say([cell("a", "s", 6, 6.4), cell("a", "l", 7, 7.1), cell("b", "s", 8, 8.3)])!.slice(-1)).toEqual([
      "Not measured: b with l.",
    ]);
    const single = say([cell("a", "s", 6), cell("a", "l", 7.2), cell("b", "s", 8), cell("b", "l", 8.9)])!;
    expect(single[2]).toMatch(/cannot be told/);
    expect(say([cell("a", "s", 6), cell("a", "l", 7)])).toBeUndefined();
    expect(say([cell("a", "s", 6, 6), cell("a", "l", 7, 7), cell("b", "s", 8, 8), cell("b", "l", 9, 9)])).toEqual([
      "The runs leave no scatter to judge by: measure each combination at least twice.",
    ]);
  });
});

describe("a small experiment", () => {
  const names = fc.uniqueArray(fc.constantFrom("valve", "stroke", "hose"), { minLength: 1, maxLength: 3 });
  test("every combination stands once in each set, and the seed draws the same order again", () =>
    fc.assert(
      fc.property(names, fc.integer({ min: 1, max: 3 }), fc.string(), (list, repeats, seed) => {
        const factors = list.map((name, i) => ({ name, levels: ["x", "y", "z"].slice(0, 2 + (i % 2)) }));
        const runs = planRuns(factors, repeats, seed);
        const combinations = factors.reduce((n, f) => n * f.levels.length, 1);
        expect(runs.map((r) => r.number)).toEqual(runs.map((_, i) => i + 1));
        for (let k = 1; k <= repeats; k++) {
          const set = runs.filter((r) => r.repeat === k).map((r) => JSON.stringify(r.settings));
          expect([set.length, new Set(set).size]).toEqual([combinations, combinations]);
        }
        expect(planRuns(factors, repeats, seed)).toEqual(runs);
      }),
    ));
  test.each([
    ["valve flap", "“valve flap”: write a name, a colon and the levels, like valve: flap, ball"],
    ["valve: flap", "valve: a factor has two levels or more, with commas between them"],
    ["valve: flap, flap", "valve: each level stands once"],
    ["valve: flap, ball\nvalve: a, b", "valve stands twice"],
    ["a: 1, 2, 3, 4, 5, 6, 7, 8, 9", "a: at most 8 levels"],
    ["a: 1, 2\nb: 1, 2\nc: 1, 2\nd: 1, 2\ne: 1, 2", "At most 4 factors"],
  ])("%j is refused in words", (text, message) => expect(readFactors(text)).toEqual({ ok: false, message }));
  test("a decimal comma stays inside its level", () =>
    expect(readFactors("stroke: 0,25 m, 0,30 m")).toEqual({
      ok: true,
      factors: [{ name: "stroke", levels: ["0,25 m", "0,30 m"] }],
    }));
  test("more sets tell smaller differences; without a known scatter nothing is promised", () => {
    const factors = [{ name: "valve", levels: ["flap", "ball"] }];
    const told = [2, 3, 5, 9].map((n) => tellsOf(factors, n, 0.3)[0]!.difference!);
    expect([...told].sort((a, b) => b - a)).toEqual(told);
    expect(tellsOf(factors, 1, 0.3)[0]!.difference).toBeNull();
    expect(tellsOf(factors, 5, null)[0]!.difference).toBeNull();
    expect([pooledSd([[4], []]), pooledSd([[1, 3], [2, 2, 2], [9]])]).toEqual([null, Math.sqrt(2 / 3)]);
    expect(() => planRuns([{ name: "a", levels: ["1", "2"] }], 121, "1")).toThrow("at most 240");
  });
});

test("predictions: the size of the usual miss, and which way they lean", () => {
  const of = (...pairs: [number, number][]) =>
    foresight(pairs.map(([predicted, measured], i) => ({ name: `G${i + 1}`, predicted, measured })));
  expect(of([6, 5], [8, 5], [5, 5]).value).toMatchObject({ n: 3, typicalMiss: expect.closeTo(0.2) });
  expect(of([6, 5], [8, 5], [5, 5]).value!.sentence).toContain("27 % too high");
  expect(of([4, 5]).value!.sentence).toBe("The one prediction is 20 % too low.");
  expect(of([4, 5], [6, 5]).value!.sentence).toContain("right on average");
  expect(of([4, 0]).value).toBeNull();
});
