import type { MatchRules } from "@/core/contest/matches";
import type { MatchEntry, StoredResult } from "../queries/match-facts";
import { bracketView } from "./bracket";
import { livesView, playedView, progressOf, toPlay } from "./lives";
import { matchWords, slotWords } from "./words";

const teams = ["Alder", "Bramble", "Cistern", "Downpour", "Ebb & Co", "Freshet", "Gully", "Headrace"];
const entries = (n: number): MatchEntry[] =>
  teams.slice(0, n).map(
    (team, i) =>
      ({
        id: team,
        teamId: team,
        team,
        buildId: null,
        build: 1,
        seed: i + 1,
        inspection: team === "Gully" ? "waiting" : "passed",
        inspectionNote: "",
        version: 1,
      }) as unknown as MatchEntry,
  );
const event = (n: number, results: readonly StoredResult[] = [], more: Partial<MatchRules> = {}) => ({
  rules: { format: "double", secondFinal: true, third: false, ...more } as MatchRules,
  entries: entries(n),
  results: [...results],
  drawn: [],
});
let made = 0;
const won = (slot: string, winner: string, other: string, score?: [string, string]) =>
  ({ id: `r${++made}`, slot, a: winner, b: other, outcome: "won", winner, score }) as unknown as StoredResult;
const says = (e: ReturnType<typeof event>) =>
  Object.fromEntries(livesView(e, playedView(e)).map((l) => [l.team, l.says]));

describe("who is still in it, in words", () => {
  test("lost once: to whom, whether they may meet again, whom it has beaten, and who is next", () => {
    const e = event(4, [won("M1-1", "Alder", "Downpour"), won("M1-2", "Bramble", "Cistern")]);
    expect(says(e)).toEqual({
      Alder: "Alder has not lost; has beaten Downpour. Next: Bramble, in round 2.",
      Bramble: "Bramble has not lost; has beaten Cistern. Next: Alder, in round 2.",
      Cistern:
        "Cistern has lost once, to Bramble in round 1. They may meet again in second chance, round 2 at the " +
        "earliest. Next: Downpour, in second chance, round 1.",
      Downpour:
        "Downpour has lost once, to Alder in round 1. They may meet again in second chance, round 2 at the " +
        "earliest. Next: Cistern, in second chance, round 1.",
    });
  });
  test("out, waiting, and the one who has won it", () => {
    const first = [won("M1-1", "Bramble", "Alder")];
    expect(says(event(2, first)).Alder).toContain("Next: Bramble, in the final.");
    const all = [...first, won("F1", "Alder", "Bramble"), won("F2", "Alder", "Bramble")];
    expect(says(event(2, all))).toEqual({
      Alder: "Alder has lost once, to Bramble in round 1; has beaten Bramble, and has won it.",
      Bramble: "Bramble is out: lost to Alder in the final and to Alder in the second final.",
    });
    expect(says(event(3)).Alder).toBe("Alder has not lost. Waits for the other in round 2.");
    expect(says(event(4, [], { format: "robin" }))).toEqual({});
  });
});

test("what can be played now, and who has to be inspected before", () => {
  const next = toPlay(playedView(event(8)));
  expect(next.map((m) => m.teams.join(" - "))).toEqual([
    "Alder - Headrace",
    "Downpour - Ebb & Co",
    "Bramble - Gully",
    "Cistern - Freshet",
  ]);
  expect(next[2]!.waiting).toEqual(["Gully"]);
  expect(progressOf(playedView(event(8)).matches)).toBe("0 matches played, 15 to play");
  expect(progressOf(playedView(event(2, [won("M1-1", "Alder", "Bramble")], { format: "single" })).matches)).toBe(
    "1 match played",
  );
});

describe("the drawing of a bracket", () => {
  const draw = (...of: Parameters<typeof event>) => {
    const played = playedView(event(...of));
    return bracketView(played.matches, played.names);
  };
  const overlaps = ({ boxes }: ReturnType<typeof draw>) =>
    boxes.flatMap((p, i) =>
      boxes
        .slice(i + 1)
        .flatMap((q) => (Math.abs(p.x - q.x) < 156 && Math.abs(p.y - q.y) < 50 ? [[p.key, q.key]] : [])),
    );
  test("no two boxes overlap, whatever the number; all lie inside, and lines run forward only", () => {
    const many = (n: number) => Array.from({ length: n }, (_, i) => ({ ...entries(1)[0]!, id: `e${i}`, seed: i + 1 }));
    for (const format of ["double", "single"] as const)
      for (const n of [2, 3, 4, 5, 8, 11, 16, 33, 64]) {
        const played = playedView({ ...event(2, [], { format, third: true }), entries: many(n) as MatchEntry[] });
        const view = bracketView(played.matches, played.names);
        expect([n, format, overlaps(view)]).toEqual([n, format, []]);
        for (const b of view.boxes) {
          expect(b.x >= 0 && b.x + 156 <= view.width + 1e-9).toBe(true);
          expect(b.y >= 0 && b.y + 50 <= view.height + 1e-9).toBe(true);
        }
        for (const path of view.paths) {
          const [, from, to] = /^M([\d.]+),.*H([\d.]+)$/.exec(path)!;
          expect(Number(to)).toBeGreaterThan(Number(from));
        }
      }
  });
  test("a bye is not drawn; who waits is named by the match it comes from; the winner and the score are marked", () => {
    const view = draw(3, [won("M1-2", "Cistern", "Bramble", ["2", "1"])]);
    expect(view.boxes.map((b) => [b.number, b.title])).toEqual([
      [1, "Bramble against Cistern, round 1"],
      [2, "Alder against Cistern, round 2"],
      [3, "Bramble against nobody, second chance, round 2"],
      [4, "nobody against nobody, the final"],
      [5, "nobody against nobody, the second final"],
    ]);
    const [bramble, cistern] = view.boxes[0]!.lines;
    expect([bramble.score, bramble.won, cistern.score, cistern.won]).toEqual(["1", false, "2", true]);
    expect(view.boxes[2]!.lines.map((l) => l.text)).toEqual(["Bramble", "loser of 2"]);
    expect(view.boxes[3]!.lines.map((l) => [l.text, l.seed])).toEqual([
      ["winner of 2", null],
      ["winner of 3", null],
    ]);
    expect(view.heads.map((h) => h.text)).toEqual(["Main side", "Second chance"]);
  });
});

test("which match it is, in words", () => {
  const slot = (side: string, key: string, round = 2) => ({ side, key, round, number: 1 }) as never;
  expect(slotWords(slot("main", "M2-1"))).toBe("round 2");
  expect(slotWords(slot("second", "S2-1"))).toBe("second chance, round 2");
  expect(slotWords(slot("final", "F1"))).toBe("the final");
  expect(slotWords(slot("final", "F2"))).toBe("the second final");
  expect(slotWords(slot("third", "T1"))).toBe("the match for the third place");
  expect(matchWords({ slot: slot("table", "R2-1"), a: "x", b: null }, (id) => id.toUpperCase())).toBe(
    "X against nobody, round 2",
  );
});
