import fc from "fast-check";
import { seededRandom } from "../draw/draw";
import { doubleBracket, type Slot, singleBracket } from "./bracket";
import { correct, lives, mayMeet } from "./meeting";
import { type Match, placesOf, play, playWith, type Result } from "./play";

const names = (n: number) => Array.from({ length: n }, (_, i) => `e${i + 1}`);

/** Plays a bracket to its end, what is open of it by chance; all that is recorded in the end. */
function playOut(slots: readonly Slot[], entries: readonly string[], random: () => number, known: Result[] = []) {
  const before = new Map(play(slots, entries, known).map((m) => [m.slot.key, m.result]));
  const results: Result[] = [...known];
  const matches = playWith(slots, entries, ({ key }, a, b) => {
    const had = before.get(key);
    if (had && [had.a, had.b].includes(a) && [had.a, had.b].includes(b)) return had;
    const result: Result = { slot: key, a, b, outcome: "won", winner: random() < 0.5 ? a : b };
    results.push(result);
    return result;
  });
  return { matches, results };
}

const played = (matches: readonly Match[]) => matches.filter((m) => m.state === "played");

/** How many are in the second chance when a match of it begins: who plays in its round. */
const leftIn = (matches: readonly Match[], m: Match) =>
  new Set(matches.filter((x) => x.slot.side === "second" && x.slot.round === m.slot.round).flatMap((x) => [x.a, x.b]))
    .size;

/** What does not hold of a double elimination that was played to its end. */
function wrongIn(matches: readonly Match[], n: number, secondFinal: boolean): string[] {
  const wrong: string[] = [];
  const all = lives(matches, names(n));
  const again = matches.find((m) => m.slot.key === "F2")?.state === "played";
  if (played(matches).length !== 2 * n - 2 + (again ? 1 : 0)) wrong.push("matches");
  if (all.filter((l) => l.in).length !== 1) wrong.push("champion");
  for (const l of all)
    if (l.in ? l.losses > 1 : secondFinal ? l.losses !== 2 : l.losses < 1 || l.losses > 2)
      wrong.push(`${l.entry} lost`);
  const met = new Set<string>();
  for (const m of played(matches)) {
    const pair = m.a! < m.b! ? `${m.a} ${m.b}` : `${m.b} ${m.a}`;
    if (met.has(pair) && (m.slot.side === "main" || (m.slot.side === "second" && leftIn(matches, m) > 4)))
      wrong.push(`${pair} again in ${m.slot.key}`);
    met.add(pair);
  }
  return [...wrong, ...wrongPlaces(matches, n)];
}

/** Places go from 1 to n, each group as many as it says, and nobody has two. */
function wrongPlaces(matches: readonly Match[], n: number): string[] {
  const places = [...placesOf(matches).values()];
  const counts = new Map<number, number>();
  for (const p of places) counts.set(p.place, (counts.get(p.place) ?? 0) + 1);
  const wrong = places.length === n ? [] : [`${places.length} places`];
  let next = 1;
  for (const [place, count] of [...counts].sort((x, y) => x[0] - y[0])) {
    if (place !== next) wrong.push(`place ${place} after ${next}`);
    if (places.some((p) => p.place === place && p.sharing !== count)) wrong.push(`place ${place} is shared otherwise`);
    next += count;
  }
  return wrong;
}

describe("a double elimination", () => {
  test("10,080 by chance, of 2 to 64 entries: matches, losses, no early second meeting, places", () => {
    const wrong: string[] = [];
    for (let n = 2; n <= 64; n++)
      for (const secondFinal of [true, false]) {
        const slots = doubleBracket(n, secondFinal);
        for (let k = 0; k < 80; k++) {
          const { matches } = playOut(slots, names(n), seededRandom(`${n} ${k}`));
          wrong.push(...wrongIn(matches, n, secondFinal).map((w) => `${n}, ${k}: ${w}`));
        }
      }
    expect(wrong).toEqual([]);
  });
  test("who lost before one another's drop meets again only when four or fewer are left, whatever the results", () => {
    for (const n of [16, 32, 64]) {
      const slots = doubleBracket(n);
      // The better seed always wins, the worse always wins, and every mixture by bits.
      for (const rule of [(a: number, b: number) => a < b, (a: number, b: number) => a > b]) {
        const results: Result[] = [];
        for (;;) {
          const ready = play(slots, names(n), results).find((m) => m.state === "ready");
          if (!ready) break;
          const [a, b] = [ready.a!, ready.b!];
          const winner = rule(Number(a.slice(1)), Number(b.slice(1))) ? a : b;
          results.push({ slot: ready.slot.key, a, b, outcome: "won", winner });
        }
        expect(wrongIn(play(slots, names(n), results), n, true)).toEqual([]);
      }
    }
  });
  test("eight entries share the places that their rounds give: 1, 2, 3, 4, 5 to 6, 7 to 8", () => {
    const { matches } = playOut(doubleBracket(8), names(8), seededRandom("8"));
    expect([...placesOf(matches).values()].map((p) => p.place).sort()).toEqual([1, 2, 3, 4, 5, 5, 7, 7]);
  });
});

describe("a single elimination", () => {
  test("for every number of entries: n − 1 matches, one more for the third place, one loss each, places", () => {
    for (let n = 2; n <= 64; n++)
      for (const third of [true, false]) {
        const { matches } = playOut(singleBracket(n, third), names(n), seededRandom(`${n}`));
        expect(played(matches)).toHaveLength(n - 1 + (third && n > 3 ? 1 : 0));
        expect(wrongPlaces(matches, n)).toEqual([]);
        const champion = lives(matches, names(n)).filter((l) => l.in);
        expect(champion.map((l) => l.losses)).toEqual([0]);
      }
  });
  test("the top seeds have the byes, and the first two can meet in the final only", () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 64 }), (n) => {
        const matches = play(singleBracket(n), names(n), []);
        const byes = matches.filter((m) => m.slot.round === 1 && m.state === "bye").map((m) => m.winner);
        expect(byes.sort()).toEqual(names(2 ** Math.ceil(Math.log2(n)) - n).sort());
        expect(mayMeet(matches, names(n))("e1", "e2")?.key).toBe(matches.at(-1)!.slot.key);
      }),
    );
  });
});

describe("a corrected result", () => {
  test("plays on as if it had been so from the start: what it says stands, and the rest is played anew", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 24 }),
        fc.integer({ min: 0, max: 1e6 }),
        fc.boolean(),
        (n, seed, double) => {
          const slots = double ? doubleBracket(n) : singleBracket(n, true);
          const random = seededRandom(String(seed));
          const { results } = playOut(slots, names(n), random);
          const wrong = results[Math.floor(random() * results.length)]!;
          const right = { ...wrong, winner: wrong.winner === wrong.a ? wrong.b : wrong.a };
          const says = correct(slots, names(n), results, right);
          // From scratch: only what is said to stand, and the right result.
          const standing = results.filter((r) => says.stands.includes(r.slot));
          const scratch = play(slots, names(n), [...standing, right]);
          expect(scratch.map((m) => [m.slot.key, m.state, m.a, m.b, m.winner])).toEqual(
            says.after.map((m) => [m.slot.key, m.state, m.a, m.b, m.winner]),
          );
          expect(says.stands.length + says.void.length).toBe(results.length - 1);
          // Taken back, all of it counts again.
          expect(play(slots, names(n), [...results, right, wrong])).toEqual(
            play(slots, names(n), [...results.filter((r) => r !== wrong), wrong]),
          );
          // It can be played to its end, and everything holds of it.
          const end = playOut(slots, names(n), random, [...results, right]).matches;
          expect(double ? wrongIn(end, n, true) : wrongPlaces(end, n)).toEqual([]);
        },
      ),
      { numRuns: 150 },
    );
  });
});

describe("odd ends", () => {
  const result = (slot: string, a: string, b: string, outcome: Result["outcome"], winner: string | null): Result => ({
    slot,
    a,
    b,
    outcome,
    winner,
  });
  test("who is disqualified does not drop to the second chance; where neither came both are out", () => {
    const slots = doubleBracket(4);
    const four = names(4);
    const matches = play(slots, four, [
      result("M1-1", "e1", "e4", "disqualified", "e1"),
      result("M1-2", "e2", "e3", "neither", null),
    ]);
    const at = (key: string) => matches.find((m) => m.slot.key === key)!;
    expect([at("S1-1").state, at("M2-1").state, at("S2-1").state, at("F1").state]).toEqual([
      "empty",
      "bye",
      "empty",
      "bye",
    ]);
    expect(at("F2").state).toBe("empty");
    expect(lives(matches, four).map((l) => l.in)).toEqual([true, false, false, false]);
    expect(placesOf(matches).get("e1")).toEqual({ place: 1, sharing: 1 });
    expect(placesOf(matches).get("e2")).toEqual({ place: 2, sharing: 3 });
  });
  test("a final that neither wins has no champion, and both share what comes first", () => {
    const matches = play(singleBracket(2), names(2), [result("M1-1", "e1", "e2", "neither", null)]);
    expect([...placesOf(matches).values()]).toEqual([
      { place: 1, sharing: 2 },
      { place: 1, sharing: 2 },
    ]);
  });
  test("the second final is played only when who had not lost loses the first; it may be the one that counts", () => {
    const one = [result("M1-1", "e1", "e2", "won", "e1")];
    const two = (winner: string) => play(doubleBracket(2), names(2), [...one, result("F1", "e1", "e2", "won", winner)]);
    expect(two("e1").map((m) => m.state)).toEqual(["played", "played", "empty"]);
    expect(two("e2").at(-1)!.state).toBe("ready");
    const words = (m: Match[]) => [...placesOf(m)].map(([e, p]) => `${e} ${p.place}`).sort();
    expect(words(two("e1"))).toEqual(["e1 1", "e2 2"]);
    expect(words(two("e2"))).toEqual([]);
  });
  test.each([0, 1, 65, 2.5])("%s entries are refused", (n) => {
    expect(() => doubleBracket(n)).toThrow(RangeError);
    expect(() => singleBracket(n)).toThrow(RangeError);
  });
  test("while it is played: two who have met may meet again later, and places come only when they are sure", () => {
    const slots = doubleBracket(4);
    const matches = play(slots, names(4), [result("M1-1", "e1", "e4", "won", "e4")]);
    expect(mayMeet(matches, names(4))("e1", "e4")?.key).toBe("S2-1");
    expect(mayMeet(matches, names(4))("e1", "e2")?.key).toBe("S1-1");
    expect(placesOf(matches).size).toBe(0);
  });
});
