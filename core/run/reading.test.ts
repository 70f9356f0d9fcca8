// Readings by their kind: what is understood, what is refused in words, and what is never averaged.
import fc from "fast-check";
import { assessRun } from "./assess";
import { checkProtocol, implausible, type Measure, type ProtocolDefinition } from "./protocol";
import { countLevels, exactly, levelName, parseReading } from "./reading";
import { summariseRuns } from "./summary";

const damage: Measure = {
  key: "damage",
  name: "Damage",
  ...exactly,
  kind: "level",
  levels: ["intact", "hairline", "cracked", "broken"],
};
const cracks: Measure = { key: "n", name: "Cracks", ...exactly, kind: "count", min: "0", max: "9" };
const protocol = (more: Partial<ProtocolDefinition> = {}): ProtocolDefinition => ({
  conditions: [],
  measures: [damage, cracks],
  constants: [],
  derived: [],
  primary: "damage",
  better: "less",
  policy: { school: "median", n: 5, foul: "out" },
  safety: [],
  ...more,
});
const message = (m: Measure, typed: string) => {
  const read = parseReading(m, typed);
  return read.ok ? read.quantity.si : read.message;
};

test.each([
  ["cracked", "2"],
  [" Cracked ", "2"],
  ["i", "0"],
  ["BRO", "3"],
  ["", "“” is none of “intact”, “hairline”, “cracked”, “broken”."],
  ["2", "“2” is none of “intact”, “hairline”, “cracked”, “broken”."],
  ["crackedd", "“crackedd” is none of “intact”, “hairline”, “cracked”, “broken”."],
])("a level typed as “%s”", (typed, wanted) => expect(message(damage, typed)).toBe(wanted));

test("a beginning that two levels share is asked about; a whole name that begins another one is not", () => {
  const m = { ...damage, levels: ["fair", "fairly good", "good"] };
  expect(message(m, "fai")).toBe("“fai” could be “fair”, “fairly good”: write more of it.");
  expect(message(m, "fair")).toBe("0");
});

test.each([
  ["3", "3"],
  ["0", "0"],
  ["-1", "“-1” is not a count: write a whole number, for example 3."],
  ["2.5", "“2.5” is not a count: write a whole number, for example 3."],
  ["three", "“three” is not a count: write a whole number, for example 3."],
])("a count typed as “%s”", (typed, wanted) => expect(message(cracks, typed)).toBe(wanted));

test.each([
  ["y", "1"],
  ["NO", "0"],
  ["maybe", "“maybe” is none of “no”, “yes”."],
])("yes or no typed as “%s”", (typed, wanted) =>
  expect(message({ key: "w", name: "Whole", ...exactly, kind: "yes-no" }, typed)).toBe(wanted),
);

test("every level is read by its name, and shown by it again", () =>
  fc.assert(
    fc.property(fc.uniqueArray(fc.stringMatching(/^[a-z]{1,8}$/), { minLength: 2, maxLength: 9 }), (levels) => {
      const m = { ...damage, levels };
      levels.forEach((l, i) => {
        expect(message(m, l.toUpperCase())).toBe(String(i));
        expect(levelName(levels, i)).toBe(l);
      });
    }),
  ));

describe("a protocol with levels", () => {
  test.each([
    [{ measures: [{ ...damage, levels: ["intact"] }] }, "Damage: name two levels or more, in their order."],
    [{ measures: [{ ...damage, levels: ["intact", "Intact "] }] }, "Damage: each level has a name of its own."],
    [{ measures: [{ ...damage, levels: ["1", "2"] }] }, "Damage: a level is a word, not a number."],
    [{ measures: [{ ...damage, unit: "kg" }] }, "Damage: only a number has a unit."],
    [{ policy: { school: "mean", n: 3, foul: "out" } as const }, "it has no mean"],
    [{ policy: { school: "best-k", n: 3, k: 2, foul: "out" } as const }, "it has no mean"],
    [{ better: "more", policy: { school: "last", n: 3, foul: "zero" } } as const, "it has no mean"],
    [
      { derived: [{ key: "x", name: "Twice", unit: "1", expression: "2 * damage", decimals: 0, rule: "" }] },
      "Twice: Damage is a level, not a number: a formula cannot use it.",
    ],
  ])("%j is refused: %s", (more, words) => expect(checkProtocol(protocol(more)).join(" ")).toContain(words));

  test("may be what it is about, and a formula may use a count", () => {
    const derived = [{ key: "x", name: "Twice", unit: "1", expression: "2 * n", decimals: 0, rule: "" }];
    expect(checkProtocol(protocol({ derived }))).toEqual([]);
  });
});

const run = (attempt: number, level: number) =>
  assessRun(protocol(), {
    id: `r${attempt}`,
    attempt,
    state: "valid",
    reason: null,
    readings: { damage: String(level), n: String(attempt) },
    conditions: {},
  });

test("a level is shown by its name, exactly, without a unit; it has no plausible range", () => {
  const value = run(1, 2).values.damage!;
  expect(value.value).toEqual({ value: 2, u: 0, shown: "cracked" });
  expect([value.working.result, value.working.unit, value.working.plusMinus]).toEqual(["cracked", "", undefined]);
  expect(implausible({ ...damage, max: "1" }, "2")).toBeNull();
  expect(implausible(cracks, "12")).toBe("Cracks is usually 0 to 9: check the reading.");
});

test("levels are summed up by median and counts, never by a mean", () => {
  const { value, working } = summariseRuns(protocol(), [run(1, 0), run(2, 2), run(3, 0), run(4, 1)], "damage");
  expect(value).toMatchObject({ n: 4, mean: null, sd: null, interval: null, best: 0, counted: 0.5, U: 0 });
  expect(value.levels).toEqual([
    { name: "intact", n: 2 },
    { name: "hairline", n: 1 },
    { name: "cracked", n: 1 },
    { name: "broken", n: 0 },
  ]);
  expect([working.result, working.steps]).toEqual([
    "intact to hairline",
    ["of 4: 2 intact, 1 hairline, 1 cracked, 0 broken"],
  ]);
});

test("a count is exact: its mean is shown with decimals only where it has some", () => {
  const p = protocol({ primary: "n", better: "more", policy: { school: "best", n: 5, foul: "out" } });
  const { value, working } = summariseRuns(p, [run(1, 0), run(2, 0)], "n");
  expect([value.counted, value.U, working.result]).toEqual([2, 0, "2"]);
  expect(working.steps[1]).toContain("mean 1.50");
});

test("what is counted of levels adds up to the runs", () =>
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 3 })),
      (values) => countLevels(["a", "b", "c", "d"], values).reduce((s, n) => s + n, 0) === values.length,
    ),
  ));
