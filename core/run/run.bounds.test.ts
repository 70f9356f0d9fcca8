// A run under its protocol: tolerances at their bounds, what makes it comparable, uncertainty, alarms, and summaries.
import { assessRun, type RecordedRun } from "./assess";
import { checkProtocol, implausible, type ProtocolDefinition } from "./protocol";
import { summariseRuns } from "./summary";

const p: ProtocolDefinition = {
  conditions: [{ key: "h", name: "Lift", unit: "m", target: "1.60", tolerance: "0.01", u: "0.005" }],
  measures: [
    { key: "m", name: "Collected", unit: "kg", resolution: "0.05", min: "1", max: "15" },
    { key: "F", name: "Force", unit: "N", resolution: "0.5", u: "0.4" },
  ],
  constants: [{ key: "t", name: "Time", unit: "min", value: "2", u: "0.4" }],
  derived: [
    { key: "r", name: "Rate", unit: "kg/min", expression: "m / t", decimals: 2, rule: "Mass over time.", bound: "5" },
    { key: "w", name: "Twice", unit: "kg/min", expression: "2 * r", decimals: 1, rule: "Twice the rate." },
  ],
  primary: "r",
  better: "more",
  policy: { school: "best", n: 3, foul: "out" },
  safety: [],
};
const run = (more: Partial<RecordedRun> = {}, definition = p) =>
  assessRun(definition, {
    id: "x",
    attempt: 1,
    state: "valid",
    reason: null,
    readings: { m: "8", F: "30" },
    conditions: { h: "1.6" },
    ...more,
  });

describe("comparable", () => {
  test.each([
    ["1.59", true],
    ["1.61", true],
    ["1.589", false],
    ["1.611", false],
  ])("a lift of %s m: %s", (h, inside) => {
    const r = run({ conditions: { h } });
    expect([r.inside, r.comparable]).toEqual([inside, inside]);
  });
  test("a condition that was not written down is as the protocol sets it", () => {
    const r = run({ conditions: {} });
    expect([r.inside, r.comparable, r.reasons]).toEqual([true, true, []]);
  });
  test("every reason is named", () => {
    const r = run({ state: "foul", reason: "hose slipped", otherVersion: 2, conditions: { h: "1.5" } });
    expect(r.reasons).toEqual([
      "made under version 2 of the protocol",
      "foul: hose slipped",
      "Lift 1.50 m, outside 1.59 to 1.61 m",
    ]);
    expect([r.current, r.inside, r.comparable]).toEqual([false, false, false]);
    expect(run({ state: "foul" }).reasons).toEqual(["foul"]);
    expect([run().current, run().comparable]).toEqual([true, true]);
  });
});

describe("a reading", () => {
  test("its uncertainty is what the instrument says, or its resolution over √12", () => {
    const { m, F } = run().values;
    expect(m!.value!.u).toBeCloseTo(0.05 / Math.sqrt(12), 12);
    expect(F!.value!.u).toBe(0.4);
    expect([m!.value!.shown, F!.value!.shown]).toEqual(["8.00", "30.0"]);
    expect(m!.working.inputs[0]!.note).toBe("resolution 0.05 kg, u = r/√12");
    expect(F!.working.inputs[0]!.note).toBe("u 0.4 N");
    expect([F!.working.plusMinus, m!.working.rule]).toEqual(["0.80", "Read from the instrument."]);
  });
  test("one that was not read is none, and so is what is computed from it", () => {
    const r = run({ readings: { F: "30" } });
    expect([r.values.m!.value, r.values.m!.working.warnings]).toEqual([null, ["Not read."]]);
    expect(r.values.r!.working.warnings).toEqual(["Not yet read: m."]);
    expect(r.values.w!.working.warnings).toEqual(["Not yet read: r."]);
    expect(r.values.F!.value!.value).toBe(30);
  });
  test.each([
    ["1", false],
    ["15", false],
    ["0.99", true],
    ["15.01", true],
  ])("%s kg is questioned: %s", (m, questioned) => {
    const { alarms } = run({ readings: { m, F: "1" } });
    expect(alarms.includes("Collected is usually 1 to 15 kg: check the reading.")).toBe(questioned);
  });
  test("what is usual is said with the bounds that there are", () => {
    const of = (min?: string, max?: string) =>
      implausible({ key: "m", name: "Mass", unit: "kg", resolution: "1", min, max }, "7");
    expect([of("8", "9"), of("8"), of(undefined, "6"), of("", ""), of("7", "7")]).toEqual([
      "Mass is usually 8 to 9 kg: check the reading.",
      "Mass is usually at least 8 kg: check the reading.",
      "Mass is usually at most 6 kg: check the reading.",
      null,
      null,
    ]);
  });
});

describe("a computed measure", () => {
  test("has its value in its unit, and the uncertainty of all that it is made of", () => {
    const { r, w } = run().values;
    expect([r!.value!.value, r!.value!.shown, w!.value!.value]).toEqual([4, "4.00", 8]);
    const relative = Math.hypot(0.05 / Math.sqrt(12) / 8, 0.4 / 2);
    expect(r!.value!.u).toBeCloseTo(4 * relative, 10);
    expect(w!.value!.u).toBeCloseTo(8 * relative, 10);
    expect(r!.working.contributions![0]).toMatchObject({ label: "Time (t)", note: "constant of the protocol" });
  });
  test("above what physics allows is an alarm; at the bound it is not", () => {
    const at = (m: string) => run({ readings: { m, F: "1" } });
    expect(at("10").values.r!.working.basis).toEqual(["Physical limit 5 kg/min: within"]);
    expect(at("10").alarms).toEqual([]);
    expect(at("10.02").values.r!.working.basis).toEqual(["Physical limit 5 kg/min: exceeded"]);
    expect(at("10.02").alarms).toEqual([
      "Rate 5.01 kg/min is above 5 kg/min, which physics does not allow: check the measurement.",
    ]);
    expect(at("8").values.w!.working.basis).toEqual([]);
  });
  test("a division by zero is said, not shown as a number", () => {
    const none: ProtocolDefinition = { ...p, constants: [{ key: "t", name: "Time", unit: "min", value: "0" }] };
    const { r } = run({}, none).values;
    expect([r!.value, r!.working.result]).toEqual([null, "–"]);
    expect(r!.working.warnings[0]).toContain("a division by zero");
  });
  test("without any uncertainty none is claimed", () => {
    const exact: ProtocolDefinition = {
      ...p,
      measures: [{ key: "m", name: "Strokes", unit: "kg", resolution: "0", u: "0" }],
      constants: [{ key: "t", name: "Time", unit: "min", value: "2" }],
    };
    const { r } = run({}, exact).values;
    expect([r!.value!.u, r!.working.plusMinus]).toEqual([0, undefined]);
  });
  test("the working shows the formula, the numbers put in, and what it was made of", () => {
    const { r } = run({ by: "Ada", at: "2027-02-01" }).values;
    expect(r!.working.steps).toHaveLength(3);
    expect(r!.working.steps[0]).toBe("r = m ÷ t");
    expect(r!.working.inputs.map((i) => [i.label, i.value, i.by])).toEqual([
      ["Collected (m)", "8.00", "Ada"],
      ["Time (t)", "2", undefined],
    ]);
  });
});

describe("a condition in a formula", () => {
  const perLift: ProtocolDefinition = {
    ...p,
    constants: [],
    derived: [{ key: "L", name: "Per lift", unit: "kg/m", expression: "m / h", decimals: 2, rule: "Mass per lift." }],
    primary: "L",
  };
  const working = (conditions: Record<string, string>, definition = perLift) =>
    run({ conditions, by: "Ada" }, definition).values.L!;
  test("counts as it was measured; where it was not, as the protocol sets it", () => {
    expect(working({ h: "1.605" }).value!.value).toBeCloseTo(8 / 1.605, 12);
    expect(working({}).value!.value).toBe(5);
  });
  test("stands among the numbers put in, with where it comes from", () => {
    const lift = (conditions: Record<string, string>, definition = perLift) =>
      working(conditions, definition).working.inputs.find((i) => i.label === "Lift (h)");
    expect(lift({ h: "1.605" })).toMatchObject({ value: "1.61", unit: "m", note: "u 0.005 m", by: "Ada" });
    expect(lift({})).toMatchObject({ value: "1.60", note: "as the protocol sets it" });
    const { u: _, ...bare } = p.conditions[0]!;
    expect(lift({ h: "1.6" }, { ...perLift, conditions: [bare] })!.note).toBeUndefined();
  });
  test("has its part in the ±", () => {
    const { value, working: w } = working({ h: "1.6" });
    expect(value!.u).toBeCloseTo(5 * Math.hypot(0.05 / Math.sqrt(12) / 8, 0.005 / 1.6), 10);
    expect(w.contributions!.map((c) => c.label)).toEqual(["Lift (h)", "Collected (m)"]);
  });
});

test("the last step gives the value with its ±, or as it is shown where there is none", () => {
  const last = (definition = p) => run({}, definition).values.r!.working.steps.at(-1);
  expect(last()).toMatch(/ = 4\.0 ± 1\.6 kg\/min$/);
  const exact: ProtocolDefinition = {
    ...p,
    measures: [{ key: "m", name: "Strokes", unit: "kg", resolution: "0", u: "0" }],
    constants: [{ key: "t", name: "Time", unit: "min", value: "2" }],
  };
  expect(last(exact)).toMatch(/ = 4\.00 kg\/min$/);
});

describe("a build's runs", () => {
  const at = (attempt: number, m: string, more: Partial<RecordedRun> = {}) =>
    run({ id: `${attempt}`, attempt, readings: { m, F: "1" }, ...more });
  const list = [at(1, "8"), at(2, "6"), at(3, "7")];
  const sum = (runs = list, policy: Partial<ProtocolDefinition["policy"]> = {}, better: "more" | "less" = "more") =>
    summariseRuns({ ...p, better, policy: { ...p.policy, ...policy } }, runs, "r");

  test("mean, spread and best are of those that compare", () => {
    const { value } = sum([...list, at(4, "20", { conditions: { h: "2" } }), at(5, "20", { state: "void" })]);
    expect([value.n, value.setAside, value.mean, value.sd, value.best]).toEqual([3, 2, 3.5, 0.5, 4]);
    expect(sum(list, {}, "less").value.best).toBe(3);
    expect(value.interval![0]).toBeCloseTo(3.5 - (4.3027 * 0.5) / Math.sqrt(3), 3);
  });
  test("what counts is by the policy, in the order of the attempts", () => {
    const by = (policy: object) => sum([list[2]!, list[0]!, list[1]!], policy).value.counted;
    expect([by({ school: "last" }), by({ school: "first" }), by({ school: "mean" })]).toEqual([3.5, 4, 3.5]);
    expect([by({ school: "best-k", k: 2 }), by({ school: "median" })]).toEqual([3.75, 3.5]);
  });
  test("on the bench more attempts than a contest allows still count", () =>
    expect(sum([...list, at(4, "9")], { school: "last", n: 2 }).value.counted).toBe(4.5));
  test("a foul counts by the policy when it was made as all others were", () => {
    const foul = at(4, "1", { state: "foul" });
    const away = at(5, "1", { state: "foul", conditions: { h: "2" } });
    const old = at(6, "1", { state: "no_finish", otherVersion: 1 });
    const mean = (...more: ReturnType<typeof run>[]) =>
      sum([...list, ...more], { school: "mean", foul: "zero" }).value.counted;
    expect([mean(foul), mean(away), mean(old), mean(at(7, "1", { state: "no_finish" }))]).toEqual([
      2.625, 3.5, 3.5, 2.625,
    ]);
  });
  test("U is the counted run's own; of a mean it is spread over √n and the instrument together", () => {
    const u = list[0]!.values.r!.value!.u;
    expect(sum().value.U).toBeCloseTo(2 * u, 1);
    const means = list.reduce((s, r) => s + r.values.r!.value!.u, 0) / 3;
    expect(sum(list, { school: "mean" }).value.U).toBeCloseTo(2 * Math.sqrt(0.25 / 3 + means ** 2), 1);
    expect(sum([list[0]!], { school: "mean" }).value.U).toBeCloseTo(2 * u, 1);
  });
  test("no run that compares: nothing counts, and why is said", () => {
    const { value, working } = sum([at(1, "8", { state: "void", reason: "leak" })]);
    expect([value.n, value.mean, value.sd, value.best, value.counted, value.interval]).toEqual([
      0,
      null,
      null,
      null,
      null,
      null,
    ]);
    expect([working.result, working.steps, working.warnings]).toEqual([
      "–",
      [],
      ["Attempt 1 is left out: set aside: leak."],
    ]);
  });
  test("the working names the school and every run", () => {
    expect(sum().working.rule).toBe("Of the runs that count, the best is taken.");
    expect(sum(list, { school: "best-k", k: 2 }).working.rule).toBe(
      "Of the runs that count, the mean of the best 2 is taken.",
    );
    expect(sum().working.inputs.map((i) => i.label)).toEqual(["attempt 1", "attempt 2", "attempt 3"]);
    expect(sum().working.steps[1]).toContain("of 3 runs");
    expect(sum([list[0]!]).working.steps[1]).not.toContain("standard deviation");
  });
  test("a channel that the protocol lacks is a mistake", () =>
    expect(() => summariseRuns(p, list, "zz")).toThrow("does not measure “zz”"));
});

describe("a protocol is checked", () => {
  const problems = (more: Partial<ProtocolDefinition>) => checkProtocol({ ...p, ...more });
  const measure = p.measures[0]!;
  test("theory is a computed measure of the same kind, beside the one it is for", () => {
    expect(problems({ theory: "w" })).toEqual([]);
    for (const theory of ["r", "m", "none"]) expect(problems({ theory })[0]).toContain("a computed measure of its own");
    const derived = [...p.derived, { key: "x", name: "Load", unit: "N", expression: "F", decimals: 1, rule: "" }];
    expect(problems({ derived, theory: "x" })).toEqual([
      "Load is in N: theory is given in a unit of what the protocol is about.",
    ]);
  });
  test("a sound one has no problem", () => expect(checkProtocol(p)).toEqual([]));
  test.each<[string, Partial<ProtocolDefinition>, string[]]>([
    ["no measure", { measures: [] }, ["A protocol measures at least one quantity."]],
    [
      "a symbol of two words",
      { measures: [{ ...measure, key: "my mass" }, p.measures[1]!], derived: [], primary: "F" },
      ["Collected: the symbol “my mass” must be a letter, then letters, digits or _."],
    ],
    [
      "an unknown unit",
      { measures: [...p.measures, { ...measure, key: "q", unit: "blob" }] },
      ["Collected: “blob” is not a known unit."],
    ],
    [
      "no resolution",
      { measures: [...p.measures, { ...measure, key: "q", resolution: "0" }] },
      ["Collected: give the resolution, for example 0.05 kg."],
    ],
    [
      "no number",
      { measures: [...p.measures, { ...measure, key: "q", min: "some" }] },
      ["Collected: “some” is not a number."],
    ],
    ["about nothing", { primary: "zz" }, ["The protocol is about “zz”, which it does not measure."]],
    ["no attempts", { policy: { ...p.policy, n: 0 } }, ["Attempts: between 1 and 50."]],
    ["too many attempts", { policy: { ...p.policy, n: 51 } }, ["Attempts: between 1 and 50."]],
    ["best k without k", { policy: { ...p.policy, school: "best-k" } }, ["Best k of n: k lies between 1 and n."]],
    ["best k above n", { policy: { ...p.policy, school: "best-k", k: 4 } }, ["Best k of n: k lies between 1 and n."]],
  ])("%s", (_, more, wanted) => expect(problems(more)).toEqual(wanted));
  test("a symbol used twice", () =>
    expect(problems({ conditions: [{ ...p.conditions[0]!, key: "m" }] })[0]).toBe(
      "Lift: the symbol “m” is used twice.",
    ));
  test("bounds that are allowed", () => {
    expect(problems({ policy: { ...p.policy, n: 50 } })).toEqual([]);
    expect(problems({ policy: { ...p.policy, school: "best-k", k: 3 } })).toEqual([]);
    expect(problems({ measures: [{ ...measure, min: "", max: "1e-3" }, p.measures[1]!] })).toEqual([]);
  });
});
