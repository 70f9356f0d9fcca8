import Decimal from "decimal.js";
import fc from "fast-check";
import { seededRandom } from "../draw/draw";
import type { Result } from "./play";
import { type Paired, pairRound, roundRobin } from "./rounds";
import { table } from "./table";

const points = { win: "2", draw: "1", loss: "0" };
const seedsOf = (s: ReturnType<typeof roundRobin>[number]) =>
  [s.a, s.b].map((x) => (x.kind === "entry" ? x.seed : 0)).sort((a, b) => a - b);

test("a round robin of 2 to 64: each pair once, nobody twice in a round, at most one bye a round", () => {
  for (let n = 2; n <= 64; n++) {
    const slots = roundRobin(n);
    expect(new Set(slots.map((s) => seedsOf(s).join(" "))).size).toBe((n * (n - 1)) / 2);
    const rounds = n % 2 ? n : n - 1;
    for (let r = 1; r <= rounds; r++) {
      const here = slots.filter((s) => s.round === r).flatMap(seedsOf);
      expect(new Set(here).size).toBe(here.length);
      expect(here.length).toBe(n - (n % 2));
    }
    expect(new Set(slots.map((s) => s.key)).size).toBe(slots.length);
  }
  expect(() => roundRobin(1)).toThrow(RangeError);
  expect(() => roundRobin(65)).toThrow(RangeError);
});

/** Plays rounds of equal records by chance, until there are so many or no further is possible. */
function playRounds(n: number, rounds: number, seed: string) {
  const random = seededRandom(seed);
  const won = Array<number>(n + 1).fill(0);
  const met = Array.from({ length: n + 1 }, () => [] as number[]);
  const byes = new Set<number>();
  const all: [number, number][][] = [];
  for (let round = 1; round <= rounds; round++) {
    const entries = Array.from(
      { length: n },
      (_, i): Paired => ({ seed: i + 1, points: won[i + 1]!, met: met[i + 1]!, hadBye: byes.has(i + 1) }),
    );
    const next = pairRound(entries, round, seed);
    if (!next) break;
    const here = next.pairs.flat();
    expect(new Set(here).size).toBe(here.length);
    expect(here.length + (next.bye === null ? 0 : 1)).toBe(n);
    expect(next.bye === null).toBe(n % 2 === 0);
    if (next.bye !== null) {
      expect(byes.has(next.bye)).toBe(false);
      byes.add(next.bye);
      won[next.bye]!++;
    }
    for (const [a, b] of next.pairs) {
      expect(met[a]).not.toContain(b);
      met[a]!.push(b);
      met[b]!.push(a);
      won[random() < 0.5 ? a : b]!++;
    }
    all.push(next.pairs);
  }
  return all;
}

test("rounds of equal records: nobody twice, no second bye, as many rounds as half of the entries always", () => {
  for (let n = 2; n <= 64; n++) {
    const rounds = Math.max(1, Math.floor(n / 2));
    expect(playRounds(n, Math.min(rounds, 12), `s${n}`)).toHaveLength(Math.min(rounds, 12));
  }
});

test("those who stand alike meet: the first round's winners, then the losers", () => {
  const first = playRounds(16, 1, "q")[0]!;
  const winners = new Set(first.map(([a]) => a));
  const entries = Array.from({ length: 16 }, (_, i): Paired => {
    const [a, b] = first.find((p) => p.includes(i + 1))!;
    return { seed: i + 1, points: winners.has(i + 1) ? 1 : 0, met: [a === i + 1 ? b : a], hadBye: false };
  });
  for (const [a, b] of pairRound(entries, 2, "q")!.pairs) expect(winners.has(a)).toBe(winners.has(b));
});

test("the same seed pairs alike; where everybody has met, there is no further round", () => {
  const fresh = [1, 2, 3, 4].map((seed): Paired => ({ seed, points: 0, met: [], hadBye: false }));
  expect(pairRound(fresh, 1, "4417")).toEqual(pairRound([...fresh].reverse(), 1, "4417"));
  const done = fresh.map((e) => ({ ...e, met: [1, 2, 3, 4].filter((s) => s !== e.seed) }));
  expect(pairRound(done, 4, "4417")).toBeNull();
  expect(
    pairRound(
      fresh.slice(0, 3).map((e) => ({ ...e, hadBye: true })),
      4,
      "4417",
    ),
  ).toBeNull();
});

test("a pair is found whenever there is one, also where pairing from the top alone would strand somebody", () => {
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 5 }), fc.integer({ min: 0, max: 1e6 }), (half, seed) => {
      const n = 2 * half;
      const random = seededRandom(String(seed));
      const barred = (i: number, k: number) => graph[Math.min(i, k)]![Math.max(i, k)]!;
      const graph = Array.from({ length: n }, () => Array.from({ length: n }, () => random() < 0.55));
      const entries = Array.from(
        { length: n },
        (_, i): Paired => ({
          seed: i + 1,
          points: 0,
          met: Array.from({ length: n }, (_, k) => k + 1).filter((k) => k !== i + 1 && barred(i, k - 1)),
          hadBye: false,
        }),
      );
      const any = (left: number[]): boolean =>
        !left.length ||
        left.slice(1).some((k) => !barred(left[0]!, k) && any(left.filter((x) => x !== left[0] && x !== k)));
      const found = pairRound(entries, 1, "x");
      expect(found !== null).toBe(any(entries.map((_, i) => i)));
      for (const [a, b] of found?.pairs ?? []) expect(barred(a - 1, b - 1)).toBe(false);
    }),
    { numRuns: 300 },
  );
});

const won = (slot: string, a: string, b: string, score?: [string, string]): Result => ({
  slot,
  a,
  b,
  outcome: "won",
  winner: a,
  score: score ?? null,
});

test("points first, then the matches among the tied, then the difference; who is still tied shares", () => {
  const results = [
    won("1", "A", "B", ["3", "1"]),
    won("2", "B", "C", ["3", "0"]),
    won("3", "C", "A", ["3", "2"]),
    won("4", "A", "D"),
    won("5", "B", "D"),
    won("6", "C", "D"),
  ];
  const rows = table(["A", "B", "C", "D"], results, points);
  // A, B and C have beaten each other in a circle: 2 points each among themselves, differences +1, +1, −2.
  expect(rows.map((r) => [r.entry, r.place, r.sharing, r.points, r.difference, r.decidedBy])).toEqual([
    ["A", 1, 2, "4", "1", "difference"],
    ["B", 1, 2, "4", "1", "difference"],
    ["C", 3, 1, "4", "-2", "difference"],
    ["D", 4, 1, "0", "0", null],
  ]);
  const [e, f] = table(["F", "E"], [won("1", "E", "F")], points);
  expect([e!.entry, e!.decidedBy, f!.place]).toEqual(["E", null, 2]);
  const direct = table(["A", "B", "C"], [won("1", "B", "A"), won("2", "A", "C"), won("3", "C", "D")], points);
  expect(direct.map((r) => [r.entry, r.place, r.decidedBy])).toEqual([
    ["A", 1, "head-to-head"],
    ["B", 1, "head-to-head"],
    ["C", 3, "head-to-head"],
  ]);
});

test("a bye earns what a win earns, and its working says so", () => {
  const [b, a] = table(["A", "B"], [won("1", "B", "A")], points, ["B", "B"]);
  expect([b!.entry, b!.points, a!.points]).toEqual(["B", "6", "0"]);
  expect(b!.working.steps[0]).toBe("1 × 2 + 0 × 1 + 0 × 0 + 2 × 2 = 6");
  expect(b!.working.inputs[0]).toEqual({ label: "byes, each as a win", value: "2" });
});

test("whatever the results: every point is given out, places go from 1, and a row's working adds up to it", () => {
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 9 }), fc.integer({ min: 0, max: 1e6 }), (n, seed) => {
      const random = seededRandom(String(seed));
      const entries = Array.from({ length: n }, (_, i) => `e${i + 1}`);
      const results = roundRobin(n).map((s): Result => {
        const [a, b] = seedsOf(s).map((x) => `e${x}`) as [string, string];
        const x = random();
        const outcome = x < 0.2 ? "drawn" : "won";
        const score: [string, string] = x < 0.2 ? ["1", "1"] : [String(Math.floor(random() * 5)), "0"];
        return { slot: s.key, a, b, outcome, winner: outcome === "won" ? a : null, score };
      });
      const rows = table(entries, results, points);
      expect(rows.reduce((sum, r) => sum.plus(r.points), new Decimal(0)).toNumber()).toBe(2 * results.length);
      expect(rows.reduce((sum, r) => sum.plus(r.difference), new Decimal(0)).toNumber()).toBe(0);
      let next = 1;
      for (const [i, r] of rows.entries()) {
        if (i > 0 && rows[i - 1]!.place === r.place) continue;
        expect(r.place).toBe(next);
        next += r.sharing;
      }
      for (const [i, r] of rows.entries()) {
        expect(r.working.steps[0]!.endsWith(`= ${r.points}`)).toBe(true);
        if (i > 0) expect(Number(rows[i - 1]!.points)).toBeGreaterThanOrEqual(Number(r.points));
      }
    }),
    { numRuns: 200 },
  );
});
