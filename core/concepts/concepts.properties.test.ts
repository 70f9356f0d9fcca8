import fc from "fast-check";
import { firstPlaces, flipsOf } from "./fragility";
import { countVotes, pairwiseMatrix, pairwiseWeights, weightedTotals } from "./matrix";
import { adjustForSeverity, concordance } from "./raters";

const weights = (n: number) => fc.array(fc.integer({ min: 1, max: 20 }), { minLength: n, maxLength: n });

const matrix = fc.integer({ min: 2, max: 6 }).chain((m) =>
  fc.record({
    w: weights(m),
    rows: fc.array(fc.array(fc.integer({ min: 0, max: 10 }), { minLength: m, maxLength: m }), {
      minLength: 2,
      maxLength: 6,
    }),
  }),
);

const named = (n: number) => Array.from({ length: n }, (_, i) => ({ key: `k${i}`, name: `K${i}` }));

describe("decision matrices", () => {
  test("a consistent pairwise matrix gives its weights back, with no contradiction", () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 8 }).chain(weights), (w) => {
        const sum = w.reduce((a, b) => a + b, 0);
        const r = pairwiseWeights(w.map((a) => w.map((b) => a / b)));
        r.weights.forEach((x, i) => {
          expect(x).toBeCloseTo(w[i]! / sum, 9);
        });
        expect(r.ratio).toBeLessThan(1e-9);
        expect(r.worst).toBeNull();
      }),
    );
  });
  test("answers stand above the diagonal and their reciprocals below", () => {
    const m = pairwiseMatrix(3, { "0/2": 5 });
    expect([m[0]![2], m[2]![0], m[1]![1], m[0]![1]]).toEqual([5, 0.2, 1, 1]);
  });
  test("where the winner flips, leader and challenger draw level; a little before, the leader leads", () => {
    fc.assert(
      fc.property(matrix, ({ w, rows }) => {
        const criteria = named(w.length).map((c, i) => ({ ...c, weight: w[i]! }));
        const options = named(rows.length);
        const sum = w.reduce((a, b) => a + b, 0);
        const total = (row: number[], k: number, v: number) =>
          row.reduce((s, x, j) => s + x * (j === k ? v : (w[j]! / (sum - w[k]!)) * (1 - v)), 0);
        flipsOf({ criteria, options, scores: rows }).forEach((f, k) => {
          if (f.at === null) return;
          const best = (v: number) => {
            const t = rows.map((r) => total(r, k, v));
            return { t, top: Math.max(...t) };
          };
          const now = best(f.now);
          const lead = now.t.indexOf(now.top);
          const there = best(f.at);
          expect(there.t[lead]).toBeCloseTo(there.t[options.findIndex((o) => o.name === f.winner)]!, 6);
          const before = best(f.now + (f.at - f.now) * 0.999);
          expect(before.t[lead]!).toBeGreaterThanOrEqual(before.top - 1e-6);
        });
      }),
    );
  });
  test("shares of first places add up to one, and repeat from the seed", () => {
    fc.assert(
      fc.property(matrix, fc.string(), ({ w, rows }, seed) => {
        const input = {
          criteria: named(w.length).map((c, i) => ({ ...c, weight: w[i]! })),
          options: named(rows.length),
          scores: rows,
        };
        const a = [...firstPlaces(input, 300, seed)].at(-1)!;
        expect(a.shares.reduce((x, y) => x + y, 0)).toBeCloseTo(1, 9);
        expect([...firstPlaces(input, 300, seed)].at(-1)).toEqual(a);
      }),
      { numRuns: 40 },
    );
  });
  test("a total lies between the least and the greatest score", () => {
    fc.assert(
      fc.property(matrix, ({ w, rows }) => {
        const criteria = named(w.length).map((c, i) => ({ ...c, weight: w[i]! }));
        const table = Object.fromEntries(
          rows.map((r, i) => [`k${i}`, Object.fromEntries(r.map((x, j) => [`k${j}`, x]))]),
        );
        weightedTotals(criteria, named(rows.length), table).forEach((t, i) => {
          expect(t.total.value!).toBeGreaterThanOrEqual(Math.min(...rows[i]!) - 1e-9);
          expect(t.total.value!).toBeLessThanOrEqual(Math.max(...rows[i]!) + 1e-9);
        });
      }),
    );
  });
  test("every vote is counted once for each choice", () => {
    fc.assert(
      fc.property(fc.array(fc.uniqueArray(fc.constantFrom("a", "b", "c"))), (ballots) => {
        expect(countVotes(["a", "b", "c"], ballots).reduce((s, r) => s + r.votes, 0)).toBe(ballots.flat().length);
      }),
    );
  });
});

describe("several raters", () => {
  const complete = fc
    .record({ n: fc.integer({ min: 2, max: 6 }), m: fc.integer({ min: 2, max: 5 }) })
    .chain(({ n, m }) =>
      fc.array(fc.array(fc.integer({ min: 0, max: 20 }), { minLength: n, maxLength: n }), {
        minLength: m,
        maxLength: m,
      }),
    );
  const ratings = (s: number[][], shift = 0) =>
    s.flatMap((row, r) =>
      row.map((score, o) => ({ option: `o${o}`, rater: `r${r}`, score: score + (r === 0 ? shift : 0) })),
    );
  test("when everybody rates everything, adjusting changes nothing", () => {
    fc.assert(
      fc.property(complete, (s) => {
        for (const o of adjustForSeverity(ratings(s)).options) expect(o.adjusted.value!).toBeCloseTo(o.raw.value, 8);
      }),
    );
  });
  test("a rater who marks everything higher moves no order among the adjusted scores", () => {
    fc.assert(
      fc.property(complete, fc.integer({ min: 1, max: 9 }), (s, shift) => {
        const part = (list: ReturnType<typeof ratings>) => list.filter((r) => !(r.rater === "r0" && r.option === "o0"));
        const [a, b] = [adjustForSeverity(part(ratings(s))), adjustForSeverity(part(ratings(s, shift)))];
        const by = (x: typeof a, o: string) => x.options.find((y) => y.option === o)!.adjusted.value!;
        for (const o of a.options.slice(1))
          expect(by(b, o.option) - by(b, a.options[0]!.option)).toBeCloseTo(
            by(a, o.option) - by(a, a.options[0]!.option),
            7,
          );
      }),
    );
  });
  test("concordance lies between 0 and 1, and is 1 for one order", () => {
    fc.assert(
      fc.property(complete, (s) => {
        const w = concordance(s);
        if (w !== null) {
          expect(w).toBeGreaterThanOrEqual(-1e-9);
          expect(w).toBeLessThanOrEqual(1 + 1e-9);
        }
        const same = concordance(s.map((_, i) => s[0]!.map((x) => x * (i + 1))));
        if (same !== null) expect(same).toBeCloseTo(1, 9);
      }),
    );
  });
});
