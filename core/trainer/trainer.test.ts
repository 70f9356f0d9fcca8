// Exercises from a class's record: the same by the same seed, right by the rules that the application itself goes by.
import { statusOf } from "../needs/requirement";
import { trainerKind } from "../vocabulary/handbook";
import { redo } from "../working/redo";
import { exerciseOf, isRight, kindsFor, type TrainerFacts } from "./exercise";

const limit = (comparator: "≤" | "≥" | "yes", target: string, unit: string) => ({
  comparator,
  target,
  second: null,
  sides: null,
  unit,
});
const facts: TrainerFacts = {
  limits: [
    { code: "R-01", statement: "One person carries it", limit: limit("≤", "5", "kg") },
    { code: "R-02", statement: "Enough water", limit: limit("≥", "0.000125", "L/min") },
    { code: "R-03", statement: "By one hand", limit: limit("yes", "1", "1") },
  ],
  pairs: [
    { name: "Alder G1 → G2", before: { stroke: "80 mm", valve: "flap" }, after: { stroke: "90 mm", valve: "ball" } },
    { name: "Alder G2 → G3", before: { stroke: "90 mm" }, after: { stroke: "95 mm" } },
    { name: "Cistern G1 → G2", before: { valve: "flap" }, after: { valve: "ball" } },
    { name: "Cistern G2 → G3", before: { valve: "flap" }, after: { valve: "flap" } },
  ],
  variables: [
    { team: "Alder", name: "stroke", one: "80 mm", other: "95 mm" },
    { team: "Alder", name: "valve", one: "flap", other: "ball" },
    { team: "Gully", name: "tube", one: "8 mm", other: "10 mm" },
  ],
  measure: { name: "Flow", unit: "L/min", about: 8 },
  conditions: ["60 strokes a minute"],
  components: [
    { key: "a", name: "Review", weight: "40", source: { kind: "entered" } },
    { key: "b", name: "Notebook", weight: "60", source: { kind: "entered" } },
  ],
};
const seeds = Array.from({ length: 60 }, (_, i) => `s${i}`);
const all = (kind: (typeof trainerKind.values)[number]) => seeds.map((s) => exerciseOf(kind, facts, s)!);

test("every kind is made, the same by the same seed and others by others", () => {
  expect(kindsFor(facts)).toEqual(trainerKind.values);
  for (const kind of trainerKind.values) {
    expect(exerciseOf(kind, facts, "7")).toEqual(exerciseOf(kind, facts, "7"));
    expect(new Set(all(kind).map((e) => JSON.stringify([e.given, e.answer]))).size).toBeGreaterThan(3);
  }
});

test("what the record has nothing for is not asked", () => {
  const none: TrainerFacts = { limits: [], pairs: [], variables: [], measure: null, conditions: [], components: [] };
  expect(kindsFor(none)).toEqual([]);
  expect(kindsFor({ ...none, limits: [facts.limits[2]!] })).toEqual([]);
  expect(kindsFor({ ...none, pairs: facts.pairs.slice(1) })).toEqual([]);
  expect(kindsFor({ ...none, variables: facts.variables.slice(0, 1), conditions: ["x"] })).toEqual(["fair"]);
});

test("a limit's answer is what the requirement's status would be, and all three are asked", () => {
  const answers = all("limit").map((e) => {
    const [, value, U, unit] = /measured ([\d.]+) ± ([\d.]+) (.+)\.$/.exec(e.given[1]!)!;
    const l = unit === "kg" ? facts.limits[0]!.limit : facts.limits[1]!.limit;
    const factor = unit === "kg" ? 1 : 1 / 60000;
    const status = statusOf(l, { kind: "value", value: String(Number(value) * factor), U: Number(U) * factor }, []);
    const right = e.answer.kind === "choice" ? e.answer.options[e.answer.right]! : "";
    expect(right).toContain(
      { met: "It is met", "not met": "It is not met", marginal: "straddles" }[status.value as "met"],
    );
    return status.value;
  });
  expect(new Set(answers).size).toBe(3);
});

test("of the pairs the one with several changes is the confounded one, and clean ones stand beside it", () => {
  for (const e of all("pair")) {
    if (e.answer.kind !== "choice") throw new Error(e.kind);
    expect(e.answer.options).toHaveLength(3);
    expect(e.answer.options.map((o) => o.includes(";"))).toEqual(
      [0, 1, 2].map((i) => i === (e.answer as { right: number }).right),
    );
  }
});

test("the next run is the one of four settings that is not among those run", () => {
  for (const e of all("next")) {
    if (e.answer.kind !== "choice") throw new Error(e.kind);
    const run = e.given.map((g) => g.replace("Run already: ", ""));
    const missing = e.answer.options.filter((o) => !run.includes(o));
    expect(missing).toEqual([e.answer.options[e.answer.right]]);
    // Variables of two teams were never in one build.
    expect(e.question).not.toContain("tube");
    expect(run).toHaveLength(3);
  }
});

test("a value is rounded to two digits of its ±; every digit counts", () => {
  for (const e of all("round")) {
    if (e.answer.kind !== "rounded") throw new Error(e.kind);
    const [value, U] = e.answer.right.split(" ± ") as [string, string];
    const [computed, raw] = e.given.map((g) => Number(/: ([\d.]+)/.exec(g)![1]));
    expect(U.replace(".", "").replace(/^0+/, "")).toHaveLength(2);
    expect((value.split(".")[1] ?? "").length).toBe((U.split(".")[1] ?? "").length);
    const last = 10 ** -(U.split(".")[1] ?? "").length;
    expect([
      Math.abs(Number(value) - computed!) <= last / 2 + 1e-9,
      Math.abs(Number(U) - raw!) <= last / 2 + 1e-9,
    ]).toEqual([true, true]);
    expect([isRight(e.answer, `${value} ± ${U} L/min`), isRight(e.answer, `${value}0 ± ${U}`)]).toEqual([true, false]);
  }
});

test("a grade is the mean by weight of what is due; its working comes to it", () => {
  for (const e of all("grade")) {
    if (e.answer.kind !== "number") throw new Error(e.kind);
    const due = e.given.flatMap((g) => {
      const [, weight, percent] = /weight (\d+): (\d+) %/.exec(g) ?? [];
      return percent ? [{ w: Number(weight), p: Number(percent) }] : [];
    });
    const mean = due.reduce((s, x) => s + x.w * x.p, 0) / due.reduce((s, x) => s + x.w, 0);
    expect(isRight(e.answer, mean.toFixed(1))).toBe(true);
    expect(isRight(e.answer, (mean + 0.3).toFixed(2))).toBe(false);
    const sum = e.working.steps
      .find((s) => s.startsWith("sum: "))!
      .slice(5)
      .split(" = ")[0]!;
    expect(redo(sum)!.toNumber()).toBeCloseTo(mean, 3);
  }
  expect(all("grade").some((e) => e.given.join().includes("not due yet"))).toBe(true);
});

test("of the plans the fair one mixes repeated runs and holds the rest", () => {
  const rights = all("fair").map((e) => (e.answer.kind === "choice" ? e.answer.options[e.answer.right]! : ""));
  for (const r of rights) expect(r).toMatch(/^Three runs each, mixed: .* throughout$/);
  expect(new Set(all("fair").map((e) => (e.answer.kind === "choice" ? e.answer.right : -1))).size).toBe(4);
});

test("what is no answer is none, and not wrong", () => {
  const number = { kind: "number", right: "80.0", unit: "%" } as const;
  const rounded = { kind: "rounded", right: "−8.6 ± 0.9", unit: "L" } as const;
  const chosen = { kind: "choice", options: ["a"], right: 0 } as const;
  expect([isRight(number, "80 %"), isRight(number, "80,04"), isRight(number, "eighty"), isRight(number, "")]).toEqual([
    true,
    true,
    null,
    null,
  ]);
  expect([isRight(rounded, "-8.6 +/- 0.9 L"), isRight(rounded, "-8.6"), isRight(rounded, "x ± 1")]).toEqual([
    true,
    null,
    null,
  ]);
  expect([isRight(chosen, "0"), isRight(chosen, "1"), isRight(chosen, "-0.5")]).toEqual([true, null, null]);
});
