import fc from "fast-check";
import { netValue, penaltiesIn, penaltyLines, twoReadings } from "./attempt";
import { type EventDefinition, standings } from "./standings";

const line = { key: "line", name: "line crossed", each: "0.5" };

describe("what is ranked of an attempt", () => {
  test("is the measured value where nothing is charged and nothing aimed at", () => {
    expect(netValue({ better: "more", penalties: [line] }, "8.40", [])).toEqual({ value: "8.40", step: "" });
    expect(netValue({ better: "more", penalties: [line] }, "8.40", [{ key: "other", count: 3 }]).step).toBe("");
  });
  test("is made worse by a penalty, whichever way is better", () => {
    expect(netValue({ better: "more", penalties: [line] }, "8.4", [{ key: "line", count: 2 }]).value).toBe("7.4");
    expect(netValue({ better: "less", penalties: [line] }, "8.4", [{ key: "line", count: 2 }]).value).toBe("9.4");
    expect(netValue({ better: "more", penalties: [line] }, "0.2", [{ key: "line", count: 1 }]).step).toContain(
      "= −0.3",
    );
  });
  test("says how: the measured value, what was charged how often and for what, and of a target the distance", () => {
    const charged = [{ key: "line", count: 2 }];
    const step = (rules: object) => netValue({ penalties: [line], ...rules } as never, "8.4", charged).step;
    expect(step({ better: "more" })).toContain("8.4 − 2 × 0.5 (line crossed)");
    expect(step({ better: "less" })).toContain("8.4 + 2 × 0.5 (line crossed)");
    expect(step({ better: "less", target: "10" })).toContain("|8.4 − 10| + 2 × 0.5 (line crossed)");
  });
  test("is as far from a target on either side, and never better by a penalty", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 5000 }), fc.integer({ min: 0, max: 9 }), (off, count) => {
        const rules = { better: "less", target: "10", penalties: [line] } as const;
        const at = (d: number) => Number(netValue(rules, String(10 + d / 1000), [{ key: "line", count }]).value);
        expect(at(off)).toBeCloseTo(at(-off), 9);
        expect(at(off)).toBeCloseTo(off / 1000 + count / 2, 9);
      }),
    );
  });
});

test("two readings that agree within the resolution are not apart, on the boundary neither", () => {
  expect(twoReadings("mean", ["8.45", "8.40"], "0.05").apart).toBe(false);
  expect(twoReadings("mean", ["8.40", "8.46"], "0.05").apart).toBe(true);
  expect(twoReadings("smaller", ["8.45", "8.40"], "0.05").value).toBe("8.4");
});

describe("penalties as they are typed", () => {
  test("are read with a comma too, and written again the same", () => {
    const { rules } = penaltiesIn(" Line -- crossed : 0,25\n\nTouched by hand:12 ");
    expect(rules.map((r) => [r.key, r.each])).toEqual([
      ["line-crossed", "0.25"],
      ["touched-by-hand", "12"],
    ]);
    expect(penaltiesIn(penaltyLines(rules)).rules).toEqual(rules);
  });
  test.each([
    ["Line crossed", "write a name, a colon and a number"],
    ["Line: 0", "more than zero"],
    ["Line: 1\nline: 2", "a name of its own"],
    ["!!: 1", "a name of its own"],
    [": 5", "write a name, a colon and a number"],
    ["Line: 5 cm", "write a name, a colon and a number"],
    [`${"Line ".repeat(20)}: 5`, "write a name, a colon and a number"],
  ])("%j is refused", (text, words) => {
    expect(penaltiesIn(text)).toEqual({ rules: [], wrong: expect.stringContaining(words) });
  });
});

describe("the standings of a target", () => {
  const event: EventDefinition = {
    channel: "m",
    unit: "L",
    better: "less",
    policy: { school: "best", n: 2, foul: "out" },
    ranking: "competition",
    resolution: "0.001",
    tieBreaks: [],
    target: "2.000",
    seed: "1",
    points: {
      kind: "target",
      target: "2.000",
      points: "100",
      perStep: "1",
      step: "0.030",
      school: "complete",
      beyond: "5",
      floor: "0",
    },
  };
  const entry = (id: string, ...values: string[]) => ({
    id,
    name: id,
    attempts: values.map((value) => ({ value, state: "valid" as const })),
    mass: null,
    inspectedAt: null,
    out: false,
  });
  const of = (...entries: ReturnType<typeof entry>[]) =>
    standings(event, entries).map((s) => [s.id, s.place, s.shown, s.points]);
  test("rank the closest first, and the points know on which side it was", () => {
    expect(of(entry("low", "1.870"), entry("high", "2.110"), entry("both", "1.500", "2.090"))).toEqual([
      ["both", 1, "0.090", "92"],
      ["high", 2, "0.110", "92"],
      ["low", 3, "0.130", "96"],
    ]);
  });
  test("say so in their working, with each distance", () => {
    const { working, attempts } = standings(event, [entry("low", "1.87", "2.000")])[0]!;
    expect(working.rule).toContain("What is closest to 2.000 L is best");
    expect(working.steps).toContain("attempt 1: |1.87 − 2.000| = 0.13");
    expect(attempts).toEqual([
      { text: "1.870 (−0.130)", counts: false },
      { text: "2.000 (exact)", counts: true },
    ]);
  });
});
