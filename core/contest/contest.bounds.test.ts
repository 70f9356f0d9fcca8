// Places, ties, tie-breaks and points by placing: each line is one that a changed rule would break.
import { type Candidate, rank } from "../ranking/rank";
import { type EntryRecord, type EventDefinition, standings } from "./standings";

const event: EventDefinition = {
  channel: "Q",
  unit: "L/min",
  better: "more",
  policy: { school: "best", n: 3, foul: "out" },
  ranking: "competition",
  resolution: "0.1",
  tieBreaks: [],
  points: null,
  seed: "1",
};
const entry = (id: string, values: (string | "foul" | "void")[], more: Partial<EntryRecord> = {}): EntryRecord => ({
  id,
  name: id.toUpperCase(),
  attempts: values.map((v) =>
    v === "foul" || v === "void" ? { value: v === "void" ? "99" : null, state: v } : { value: v, state: "valid" },
  ),
  mass: null,
  inspectedAt: null,
  out: false,
  ...more,
});
const run = (more: Partial<EventDefinition>, ...entries: EntryRecord[]) => standings({ ...event, ...more }, entries);
const order = (more: Partial<EventDefinition>, ...entries: EntryRecord[]) =>
  run(more, ...entries).map((s) => `${s.id}${s.place ?? "–"}`);

describe("points by placing share the places that are filled, whatever the numbering", () => {
  const points = (ranking: EventDefinition["ranking"], values: string[]) =>
    run(
      { ranking, points: { kind: "place", points: ["10", "8", "6", "5", "4", "3"] } },
      ...values.map((v, i) => entry(String(i), [v])),
    ).map((s) => Number(Number(s.points).toFixed(3)));
  test.each(["competition", "dense", "shared"] as const)("%s", (ranking) => {
    expect(points(ranking, ["9", "8", "8", "8", "7"])).toEqual([10, 6.333, 6.333, 6.333, 4]);
    expect(points(ranking, ["9", "9", "9", "9"])).toEqual([7.25, 7.25, 7.25, 7.25]);
    expect(points(ranking, ["9", "8", "7"])).toEqual([10, 8, 6]);
  });
  test("the places are numbered by the school", () => {
    const places = (ranking: EventDefinition["ranking"]) =>
      run({ ranking }, ...["9", "8", "8", "8", "7"].map((v, i) => entry(String(i), [v]))).map((s) => s.place);
    expect([places("competition"), places("dense"), places("shared")]).toEqual([
      [1, 2, 2, 2, 5],
      [1, 2, 2, 2, 3],
      [1, 3, 3, 3, 5],
    ]);
  });
});

describe("ties", () => {
  test("values are rounded half up to the grid before they are compared", () => {
    expect(order({}, entry("a", ["8.94"]), entry("b", ["8.86"]), entry("c", ["8.95"]))).toEqual(["c1", "a2", "b2"]);
    expect(order({ resolution: "0.5" }, entry("a", ["8.7"]), entry("b", ["8.3"]), entry("c", ["8.75"]))).toEqual([
      "c1",
      "a2",
      "b2",
    ]);
  });
  test("without a resolution the recorded digits decide", () =>
    expect(order({ resolution: null }, entry("a", ["8.94"]), entry("b", ["8.941"]))).toEqual(["b1", "a2"]));
  test("less is better: the smaller value, the smaller second", () => {
    const less = { better: "less" as const, tieBreaks: ["second" as const] };
    expect(order(less, entry("a", ["8", "9"]), entry("b", ["8", "8.5"]), entry("c", ["7"]))).toEqual([
      "c1",
      "b2",
      "a3",
    ]);
  });
  test("the second-best attempt is one of the n, and has to differ by what the instrument can tell", () => {
    const second = { tieBreaks: ["second" as const], policy: { school: "best" as const, n: 2, foul: "out" as const } };
    expect(order(second, entry("a", ["9", "8", "8.9"]), entry("b", ["9", "8.2"]))).toEqual(["b1", "a2"]);
    expect(order(second, entry("a", ["9", "8.21"]), entry("b", ["9", "8.19"]))).toEqual(["a1", "b1"]);
    expect(order(second, entry("a", ["void", "9", "8.4"]), entry("b", ["9", "8.2"]))).toEqual(["a1", "b2"]);
    expect(order(second, entry("a", ["9"]), entry("b", ["9", "1"]))).toEqual(["b1", "a2"]);
  });
  test("lighter, then earlier; what is not known comes last", () => {
    const chain = { tieBreaks: ["lighter" as const, "earlier" as const] };
    const at = (h: number) => `2027-03-02T0${h}:00:00Z`;
    const list = [
      entry("a", ["9"], { mass: "4", inspectedAt: at(9) }),
      entry("b", ["9"], { mass: "4", inspectedAt: at(8) }),
      entry("c", ["9"], { mass: "3.9" }),
      entry("d", ["9"]),
      entry("e", ["9"], { mass: "4" }),
    ];
    const s = run(chain, ...list);
    expect(s.map((x) => x.id)).toEqual(["c", "b", "a", "e", "d"]);
    expect(s.map((x) => x.decidedBy)).toEqual([
      "lighter build",
      "earlier inspection",
      "earlier inspection",
      "earlier inspection",
      "lighter build",
    ]);
  });
  test("an unbroken tie is shared and named; who has no result shares nothing", () => {
    const s = run({}, entry("a", ["9"]), entry("b", ["9"]), entry("c", ["foul"]), entry("d", ["foul"]));
    expect(s.map((x) => [x.place, x.first, x.sharing, x.shared])).toEqual([
      [1, 1, 2, true],
      [1, 1, 2, true],
      [null, null, 1, false],
      [null, null, 1, false],
    ]);
    expect(s.map((x) => x.working.warnings)).toEqual([
      ["Shares its place with B."],
      ["Shares its place with A."],
      [],
      [],
    ]);
  });
});

describe("what stands in the working", () => {
  test("the rule says direction, resolution and tie-breaks", () => {
    const rule = (more: Partial<EventDefinition>) => run(more, entry("a", ["9"]))[0]!.working.rule;
    expect(rule({})).toBe("More is better; values that agree at 0.1 L/min are tied.");
    expect(rule({ better: "less", resolution: null, tieBreaks: ["lighter"] })).toBe(
      "Less is better; the recorded digits decide, then lighter build.",
    );
  });
  test("attempts are shown at the resolution; the one that counts is marked once", () => {
    const [s] = run({}, entry("a", ["8.96", "9", "9", "foul", "void"]));
    expect(s!.attempts).toEqual([
      { text: "9.0", counts: false },
      { text: "9.0", counts: true },
      { text: "9.0", counts: false },
      { text: "foul", counts: false },
      { text: "set aside", counts: false },
    ]);
    expect(s!.working.inputs.map((i) => [i.label, i.value])).toEqual([
      ["attempt 1", "8.96"],
      ["attempt 2", "9"],
      ["attempt 3", "9"],
      ["attempt 4", "foul"],
      ["attempt 5", "void"],
    ]);
  });
  test("points come with their arithmetic; without a result there are none", () => {
    const points = { kind: "ratio" as const, points: "50", better: "more" as const };
    const s = run({ points }, entry("a", ["8"]), entry("b", ["10"]), entry("c", []));
    expect(s.map((x) => [x.id, x.points, x.shown])).toEqual([
      ["b", "50", "10.0"],
      ["a", "40", "8.0"],
      ["c", null, "–"],
    ]);
    expect(s[1]!.working.steps).toEqual(["best of 8 = 8", "points: 50 × 8 ÷ 10 = 40"]);
    expect(s[1]!.working.basis).toEqual(["50 × value ÷ best value."]);
    expect([s[2]!.working.title, s[2]!.working.result]).toEqual(["C: place –", "–"]);
  });
  test("the best value of a ratio is the smallest where less is better", () => {
    const points = { kind: "ratio" as const, points: "50", better: "less" as const };
    const s = run({ better: "less", points }, entry("a", ["8"]), entry("b", ["10"]));
    expect(s.map((x) => x.points)).toEqual(["50", "40"]);
  });
  test("who was turned away has no result, whatever was scored", () => {
    const [first, last] = run({}, entry("a", ["9"], { out: true }), entry("b", ["8"]));
    expect([first!.id, last!.id, last!.place, last!.counted]).toEqual(["b", "a", null, null]);
  });
});

describe("a chain of tie-breaks", () => {
  const rule = {
    better: "more" as const,
    school: "competition" as const,
    resolution: null,
    tieBreaks: [
      { label: "first", better: "more" as const },
      { label: "then", better: "less" as const },
    ],
  };
  const of = (id: string, value: string | null, ...breaks: (string | null)[]): Candidate => ({ id, value, breaks });
  test("is gone through in order, each in its own direction", () => {
    const r = rank([of("a", "1", "5", "2"), of("b", "1", "5", "1"), of("c", "1", "6", "9"), of("d", "2")], rule);
    expect(r.map((x) => [x.id, x.place, x.decidedBy])).toEqual([
      ["d", 1, null],
      ["c", 2, "first"],
      ["b", 3, "then"],
      ["a", 4, "then"],
    ]);
  });
  test("two that lack the same value are tied there", () => {
    const r = rank([of("a", "1", null, "2"), of("b", "1", null, "2"), of("c", "1", "0", "3")], rule);
    expect(r.map((x) => [x.id, x.place, x.shared])).toEqual([
      ["c", 1, false],
      ["a", 2, true],
      ["b", 2, true],
    ]);
  });
});
