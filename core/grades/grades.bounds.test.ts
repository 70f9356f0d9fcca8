// Grades: what counts and what does not, the exact half, and what the arithmetic says.
import { makeWorking } from "../working/working";
import { gradeOf } from "./grade";
import { type ComponentState, checkScheme, type Override, type SchemeDefinition } from "./scheme";

const scheme = (weights: string[], decimals = 0): SchemeDefinition => ({
  decimals,
  components: weights.map((weight, i) => ({
    key: "abc"[i]!,
    name: ["Review", "Lift", "Drawing"][i]!,
    weight,
    source: { kind: "entered" },
  })),
});
const scored = (share: string): ComponentState => ({
  state: "scored",
  share,
  working: makeWorking({ title: "from", result: "1", rule: "as it is", warnings: ["one run only"] }),
});
const grade = (s: SchemeDefinition, states: Record<string, ComponentState>, overrides: Record<string, Override> = {}) =>
  gradeOf(s, new Map(Object.entries(states)), new Map(Object.entries(overrides)));

describe("rounding", () => {
  test("a third and three quarters make an exact half, and it goes up", () => {
    const third = (1 / 3).toPrecision(15);
    expect(grade(scheme(["30", "70"]), { a: scored(third), b: scored("0.75") }).value.grade).toBe("63");
    const g = grade(scheme(["30", "70"], 1), { a: scored("0.333333333333333"), b: scored("0.75") });
    expect(g.value.grade).toBe("62.5");
  });
  test.each([
    ["0.625", 0, "63"],
    ["0.6249", 0, "62"],
    ["0.62449", 1, "62.4"],
    ["0.6245", 1, "62.5"],
    ["0.6", 2, "60"],
  ])("%s at %i decimals is %s", (share, decimals, wanted) =>
    expect(grade(scheme(["100"], decimals), { a: scored(share) }).value.grade).toBe(wanted),
  );
  test("rounded once, at the end: two components just below a half stay there together", () =>
    expect(grade(scheme(["50", "50"]), { a: scored("0.6249"), b: scored("0.6249") }).value.grade).toBe("62"));
});

describe("what counts", () => {
  const s = scheme(["50", "30", "20"], 1);
  test("weights that do not count are left out; missing counts zero with its weight", () => {
    const of = (state: "not due" | "excused" | "missing") =>
      grade(s, { a: scored("0.8"), b: scored("0.5"), c: { state, note: "deadline 2 March" } });
    expect([of("not due"), of("excused"), of("missing")].map((g) => g.value.grade)).toEqual(["68.8", "68.8", "55"]);
    expect(of("excused").working.warnings).toEqual(["Drawing is excused and does not count."]);
    expect(of("missing").working.warnings).toEqual([]);
    expect(of("missing").value.components[2]).toMatchObject({
      state: "missing",
      note: "deadline 2 March",
      percent: "0",
      overridden: null,
    });
    expect(of("not due").value.components[2]!.percent).toBeNull();
  });
  test("what is not known is not due; nothing that counts is no grade", () => {
    const g = grade(s, {});
    expect([g.value.grade, g.working.result, g.working.warnings.length]).toEqual([null, "–", 3]);
    expect(g.value.components[0]!.note).toBe("nothing is due yet");
  });
  test("each state says what it means", () => {
    const rules = (["not due", "excused", "missing"] as const).map(
      (state) => grade(s, { a: { state, note: "why" } }).value.components[0]!.working,
    );
    expect(rules.map((w) => w.rule)).toEqual([
      "Nothing is due yet: it does not count.",
      "Excused: it does not count.",
      "Missing after its deadline: it counts zero.",
    ]);
    expect(rules.map((w) => w.warnings)).toEqual([["why"], ["why"], ["why"]]);
  });
});

describe("an override", () => {
  const by = { share: "0.75", reason: "ill on the day", by: "M. Okonedo" };
  test("counts instead, beside what was computed", () => {
    const g = grade(scheme(["100"]), { a: scored("0.5") }, { a: by });
    expect(g.value.grade).toBe("75");
    expect(g.value.components[0]).toMatchObject({ state: "scored", percent: "75", overridden: "50" });
    expect(g.value.components[0]!.working.warnings).toEqual([
      "one run only",
      "Set by M. Okonedo to 75 %: ill on the day. Computed: 50 %.",
    ]);
    expect(g.working.inputs[0]!.note).toBe("weight 100, set by hand");
  });
  test("of what was missing, or not due, says so", () => {
    const of = (state: ComponentState) => grade(scheme(["100"]), { a: state }, { a: by }).value.components[0]!;
    expect([of({ state: "missing", note: "" }).overridden, of({ state: "not due", note: "" }).overridden]).toEqual([
      "0",
      "not due",
    ]);
    expect(of({ state: "excused", note: "" }).working.warnings.at(-1)).toContain("Computed: excused.");
  });
});

test("the arithmetic can be followed with a calculator", () => {
  const g = grade(scheme(["60", "40"], 1), { a: scored("0.8"), b: scored("0.55") });
  expect(g.working.steps).toEqual([
    "Review: 60 × 80 % = 48",
    "Lift: 40 × 55 % = 22",
    "sum: (48 + 22) ÷ 100 × 100 = 70 %, rounded 70 %",
  ]);
  expect(g.working.inputs.map((i) => [i.label, i.value, i.note])).toEqual([
    ["Review", "80", "weight 60"],
    ["Lift", "55", "weight 40"],
  ]);
  expect(g.working.rule).toContain("rounded half up to 1 decimal at the end.");
  expect(grade(scheme(["100"], 2), { a: scored("1") }).working.rule).toContain("2 decimals at the end.");
});

test("a scheme has components with weights above zero that make a hundred", () => {
  expect(checkScheme(scheme([]))).toEqual(["A scheme has at least one component."]);
  expect(checkScheme(scheme(["60", "40"]))).toEqual([]);
  expect(checkScheme(scheme(["33.3", "33.3", "33.4"]))).toEqual([]);
  expect(checkScheme(scheme(["60", "50"]))).toEqual(["The weights make 110, not 100."]);
  expect(checkScheme(scheme(["0", "x", "1.5."]))).toEqual([
    "Review: the weight must be a number above zero.",
    "Lift: the weight must be a number above zero.",
    "Drawing: the weight must be a number above zero.",
  ]);
  expect(checkScheme(scheme(["-40", "140"]))).toEqual(["Review: the weight must be a number above zero."]);
});

test("without its arithmetic a grade is the same grade", () => {
  const two = scheme(["50", "50"], 1);
  const states = new Map<string, ComponentState>([
    ["a", scored("0.333")],
    ["b", { state: "missing", note: "never came" }],
  ]);
  const whole = gradeOf(two, states, new Map());
  const bare = gradeOf(two, states, new Map(), { explained: false });
  expect(bare.value).toEqual(whole.value);
  expect([bare.working.steps, whole.working.steps.length > 0]).toEqual([[], true]);
});
