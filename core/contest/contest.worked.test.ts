import { type EventDefinition, standings } from "./standings";

describe("standings", () => {
  const event: EventDefinition = {
    channel: "Q",
    unit: "L/min",
    better: "more",
    policy: { school: "best", n: 3, foul: "out" },
    ranking: "competition",
    resolution: "0.1",
    tieBreaks: ["second", "lighter", "lot"],
    points: {
      kind: "line",
      anchors: [
        { at: "4", points: "0" },
        { at: "9", points: "100" },
      ],
    },
    seed: "4417",
  };
  const entry = (id: string, values: (string | null)[], mass: string) => ({
    id,
    name: id,
    attempts: values.map((value) => ({ value, state: value === null ? ("foul" as const) : ("valid" as const) })),
    mass,
    inspectedAt: null,
    out: false,
  });
  test("a resolution tie goes to the second-best attempt, then to the lighter build, then to the lot", () => {
    const s = standings(event, [
      entry("alder", ["8.9", "8.7", null], "4"),
      entry("gully", ["8.9", "8.6"], "3"),
      entry("ebb", ["7", "6"], "5"),
      entry("fen", ["7", "6"], "4"),
      entry("idle", [], "1"),
    ]);
    expect(s.map((x) => [x.id, x.place])).toEqual([
      ["alder", 1],
      ["gully", 2],
      ["fen", 3],
      ["ebb", 4],
      ["idle", null],
    ]);
    expect(s[0]!.decidedBy).toBe("second-best attempt");
    expect(s[0]!.attempts.map((a) => a.text)).toEqual(["8.9", "8.7", "foul"]);
    expect(s[0]!.points).toBe("98");
  });
  test("levels are ranked by their order, shown by their names, and tied when they are the same", () => {
    const damage = {
      ...event,
      unit: "1",
      better: "less",
      resolution: "1",
      tieBreaks: [],
      points: null,
      levels: ["intact", "cracked", "broken"],
      policy: { school: "median", n: 3, foul: "out" },
    } as const;
    const s = standings(damage, [
      entry("a", ["2", "1", "2"], "1"),
      entry("b", ["0", "1", "0"], "1"),
      entry("c", ["0"], "1"),
    ]);
    expect(s.map((x) => [x.id, x.place, x.shown])).toEqual([
      ["b", 1, "intact"],
      ["c", 1, "intact"],
      ["a", 3, "broken"],
    ]);
    expect(s[2]!.working.steps[0]).toBe("median of broken, cracked, broken = broken");
    expect(s[0]!.working.rule).toContain("The earlier of intact, cracked, broken is better");
  });
  test("the same seed decides the same lot", () => {
    const run = (seed: string) =>
      standings({ ...event, seed, tieBreaks: ["lot"] }, [
        entry("a", ["7"], "1"),
        entry("b", ["7"], "1"),
        entry("c", ["7"], "1"),
      ])
        .map((x) => x.id)
        .join("");
    expect(run("9")).toBe(run("9"));
    expect(new Set(Array.from({ length: 40 }, (_, i) => run(String(i)))).size).toBeGreaterThan(3);
  });
});
