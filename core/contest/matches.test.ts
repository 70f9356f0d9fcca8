import { decide, type MatchRules, matchStandings, roundsOf, slotsOf } from "./matches";
import { play, type Result } from "./play";

const rules = (more: Partial<MatchRules>): MatchRules => ({
  format: "double",
  decides: "first",
  games: 1,
  secondFinal: true,
  third: false,
  rounds: 3,
  points: { win: "2", draw: "1", loss: "0" },
  measured: null,
  ...more,
});
const fill = { name: "Time", unit: "s", better: "less" as const, resolution: "0.1" };

describe("who has won", () => {
  test.each([
    ["first", null, "b", "b"],
    ["call", null, "a", "a"],
    ["games", ["2", "1"], null, "a"],
    ["games", ["0", "2"], null, "b"],
    ["measured", ["12.34", "12.5"], null, "a"],
  ] as const)("%s: %s, %s", (decides, score, winner, won) =>
    expect(decide(rules({ decides, games: 3, measured: fill }), { score, winner })).toEqual({ ok: true, winner: won }),
  );
  test.each([
    ["games", ["1", "1"], /2 games has won the match/],
    ["games", ["3", "1"], /At most 3 games/],
    ["games", ["1.5", "1"], /whole numbers/],
    ["games", ["-1", "2"], /whole numbers/],
    ["games", null, /games of each/],
    ["measured", null, /value of each/],
    ["measured", ["12.31", "12.34"], /agree at 0.1 s.*play again/],
    ["first", null, /Nobody has won.*play again/],
  ] as const)("%s: %s is refused in an elimination", (decides, score, message) => {
    const says = decide(rules({ decides, games: 3, measured: fill }), { score, winner: null });
    expect(says).toMatchObject({ ok: false, message: expect.stringMatching(message) });
  });
  test("a table takes a draw: no winner, equal values, as many games each", () => {
    const robin = (more: Partial<MatchRules>) => rules({ format: "robin", measured: fill, ...more });
    const none = { ok: true, winner: null };
    expect(decide(robin({}), { score: null, winner: null })).toEqual(none);
    expect(decide(robin({ decides: "measured" }), { score: ["12.31", "12.34"], winner: null })).toEqual(none);
    expect(decide(robin({ decides: "games", games: 2 }), { score: ["1", "1"], winner: null })).toEqual(none);
    expect(decide(robin({ decides: "games", games: 4 }), { score: ["1", "1"], winner: null }).ok).toBe(false);
  });
});

const four = ["a", "b", "c", "d"].map((id) => ({ id, name: id.toUpperCase() }));
const won = (slot: string, a: string, b: string): Result => ({ slot, a, b, outcome: "won", winner: a });

describe("standings", () => {
  test("an elimination: who is out has a place, who is in it stands before them", () => {
    const single = rules({ format: "single", third: true });
    const half = [won("M1-1", "a", "d"), won("M1-2", "c", "b")];
    const now = matchStandings(single, four, half, []);
    expect(now.map((s) => [s.name, s.place, s.won, s.lost])).toEqual([
      ["A", null, 1, 0],
      ["B", null, 0, 1],
      ["C", null, 1, 0],
      ["D", null, 0, 1],
    ]);
    const end = matchStandings(single, four, [...half, won("T1", "b", "d"), won("M2-1", "c", "a")], []);
    expect(end.map((s) => [s.name, s.place])).toEqual([
      ["C", 1],
      ["A", 2],
      ["B", 3],
      ["D", 4],
    ]);
    expect(end[0]!.working.steps).toEqual(["2 won, 0 lost", "place 1"]);
    expect(matchStandings(single, four.slice(0, 1), [], [])).toEqual([]);
  });
  test("rounds of equal records: only what was drawn is played, and a bye earns a win", () => {
    const three = four.slice(0, 3);
    const drawn = [{ pairs: [[1, 2]] as const, bye: 3 }];
    const rows = matchStandings(rules({ format: "records" }), three, [won("R1-1", "b", "a")], drawn);
    expect(rows.map((s) => [s.name, s.place, s.points])).toEqual([
      ["B", 1, "2"],
      ["C", 1, "2"],
      ["A", 3, "0"],
    ]);
    const none = matchStandings(rules({ format: "records" }), three, [], []);
    expect(none.map((s) => s.place)).toEqual([null, null, null]);
  });
});

test("each part of a bracket has rows of its own", () => {
  const matches = play(slotsOf(rules({}), 4, []), ["a", "b", "c", "d"], []);
  expect(roundsOf(matches).map((r) => [r.side, r.round, r.matches.length])).toEqual([
    ["main", 1, 2],
    ["second", 1, 1],
    ["main", 2, 1],
    ["second", 2, 1],
    ["final", 1, 1],
    ["final", 2, 1],
  ]);
  expect(slotsOf(rules({}), 1, [])).toEqual([]);
});
