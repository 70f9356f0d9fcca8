// What must hold for every input in the front of the work.
import fc from "fast-check";
import { firstPlaces, flipsOf } from "./concepts/fragility";
import { countVotes, pairwiseMatrix, pairwiseWeights, weightedTotals } from "./concepts/matrix";
import { adjustForSeverity, concordance } from "./concepts/raters";
import { rulesWithNumbers } from "./brief/brief";
import { groupAlike, likelyPairs, likeness } from "./needs/similarity";
import { disjoint, limitsInText } from "./quantity/limits-in-text";
import { addDays } from "./sessions/date";
import { countTasks, type PlanTask, replayLost, scheduleTasks } from "./sessions/network";
import { classSessions } from "./sessions/sessions";
import { shareOfParts } from "./teams/parts";
import { labelledPairs } from "./testing/labelled-pairs";

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
              return s >= threshold ? [[i, i + 1 + d, s.toFixed(9)]] : [];
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

describe("the plan", () => {
  const tasks = fc
    .array(
      fc.record({
        length: fc.integer({ min: 0, max: 5 }),
        links: fc.array(fc.nat(20)),
        notBefore: fc.option(fc.nat(10), { nil: undefined }),
        deadline: fc.option(fc.integer({ min: 1, max: 30 }), { nil: undefined }),
      }),
      { minLength: 1, maxLength: 12 },
    )
    .map((list): PlanTask[] =>
      list.map((t, i) => ({
        id: `${i}`,
        name: `T${i}`,
        length: t.length,
        after: [...new Set(t.links.filter((l) => l < i).map(String))],
        notBefore: t.notBefore,
        deadline: t.deadline,
      })),
    );
  test("nothing begins before what it waits for has ended, nor before its date; slack is what it may slip", () => {
    fc.assert(
      fc.property(tasks, fc.integer({ min: 1, max: 40 }), (list, event) => {
        const n = scheduleTasks(list, event);
        if (!n.ok) throw new Error("a cycle where there is none");
        const at = new Map(n.tasks.map((t) => [t.id, t]));
        for (const t of list) {
          const s = at.get(t.id)!;
          expect(s.early).toBeGreaterThanOrEqual(t.notBefore ?? 0);
          for (const b of t.after) {
            expect(s.early).toBeGreaterThanOrEqual(at.get(b)!.earlyEnd);
            expect(at.get(b)!.lateEnd).toBeLessThanOrEqual(s.late);
          }
          expect(s.lateEnd).toBeLessThanOrEqual(Math.min(event, t.deadline ?? event));
          expect(s.slack).toBe(s.late - s.early);
        }
      }),
    );
  });
  test("a ring of tasks is named, whatever hangs on it", () => {
    fc.assert(
      fc.property(tasks, (list) => {
        const ring = [
          ...list,
          { id: "a", name: "A", length: 1, after: ["b"] },
          { id: "b", name: "B", length: 1, after: ["a", "0"] },
        ];
        const n = scheduleTasks(ring, 10);
        expect(!n.ok && [...n.cycle].sort()).toEqual(["A", "B"]);
      }),
    );
  });
  test("a lost day brings nothing forward, and losing a day that is no class day changes nothing", () => {
    const sessions = Array.from({ length: 25 }, (_, i) => ({ number: i + 1, date: addDays("2027-01-18", i * 2) }));
    fc.assert(
      fc.property(tasks, fc.nat(24), (list, lost) => {
        const dated = list.map((t) => ({
          id: t.id,
          name: t.name,
          length: t.length,
          after: t.after,
          deadline: t.deadline ? sessions[Math.min(24, t.deadline)]!.date : null,
        }));
        for (const s of replayLost(dated, sessions, [sessions[lost]!.date], sessions[24]!.date))
          if (s.was && s.now) expect(s.now > s.was).toBe(true);
        expect(replayLost(dated, sessions, ["2026-01-01"], sessions[24]!.date)).toEqual([]);
        expect(countTasks(dated, sessions)).toHaveLength(list.length);
      }),
    );
  });
  test("double periods give twice the sessions of their days, numbered without a gap", () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1 }), (days) => {
        const input = { from: "2027-01-18", to: "2027-03-26", daysOff: new Set<string>() };
        const [once, twice] = [
          classSessions({ ...input, pattern: { kind: "weekdays", days } }),
          classSessions({ ...input, pattern: { kind: "weekdays", days, double: days } }),
        ];
        expect(twice.length).toBe(2 * once.length);
        expect(twice.map((s) => s.number)).toEqual(twice.map((_, i) => i + 1));
      }),
    );
  });
});

test("shares of parts add up to the parts that somebody has", () => {
  const members = ["a", "b", "c"].map((id) => ({ id, name: id, role: "" }));
  fc.assert(
    fc.property(fc.array(fc.uniqueArray(fc.constantFrom("a", "b", "c", "gone"))), (owners) => {
      const parts = owners.map((o, i) => ({ id: `${i}`, name: `P${i}`, role: "", owners: o }));
      const r = shareOfParts(parts, members, "number");
      expect(r.shares.reduce((s, x) => s + x.parts, 0)).toBeCloseTo(parts.length - r.free.length, 9);
    }),
  );
});
