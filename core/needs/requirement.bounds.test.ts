// The verdict on a requirement: every limit at, just inside and just outside its bound, and what the working says.
import { staleReasons } from "../evidence/evidence";
import {
  coverage,
  describeLimit,
  isBuildMeasure,
  type Limit,
  limitRange,
  marginOf,
  runMeasure,
  statusOf,
} from "./requirement";

const limit = (comparator: Limit["comparator"], target: string | null, second: string | null = null): Limit => ({
  comparator,
  target,
  second,
  sides: null,
  unit: "kg",
});
const status = (l: Limit, value: string, U = 0) => statusOf(l, { kind: "value", value, U }, []).value;

describe("a value against a limit", () => {
  test.each([
    [limit("≤", "5"), ["4.9", "5", "5.1"], ["met", "met", "not met"]],
    [limit("≥", "5"), ["4.9", "5", "5.1"], ["not met", "met", "met"]],
    [limit("=", "5"), ["4.9", "5", "5.1"], ["not met", "met", "not met"]],
    [limit("±", "5", "0.5"), ["4.4", "4.5", "5.5", "5.6"], ["not met", "met", "met", "not met"]],
    [limit("between", "2", "8"), ["1.9", "2", "8", "8.1"], ["not met", "met", "met", "not met"]],
  ] as const)("%j at its bounds", (l, values, verdicts) => expect(values.map((v) => status(l, v))).toEqual(verdicts));
  test.each([
    [limit("≤", "5"), ["4.8", "4.9", "5.2", "5.3"], ["met", "marginal", "marginal", "not met"]],
    [limit("≥", "5"), ["4.7", "4.8", "5.1", "5.2"], ["not met", "marginal", "marginal", "met"]],
    [limit("±", "5", "0.1"), ["4.9", "5", "5.4"], ["marginal", "marginal", "not met"]],
  ] as const)("%j with ± 0.2: the whole interval has to be inside", (l, values, verdicts) =>
    expect(values.map((v) => status(l, v, 0.2))).toEqual(verdicts),
  );
  test("the margin is to the nearer bound; a limit of another kind has none", () => {
    const margin = (l: Limit, v: string) => marginOf(l, v)?.toString() ?? null;
    expect([margin(limit("≤", "5"), "5"), margin(limit("≤", "5"), "4")]).toEqual(["0", "1"]);
    expect([margin(limit("between", "2", "8"), "3"), margin(limit("between", "2", "8"), "7.5")]).toEqual(["1", "0.5"]);
    expect([margin(limit("±", "5", "0.5"), "5.7"), margin(limit("yes", null), "1")]).toEqual(["-0.2", null]);
  });
  test("ranges, open where a limit has one side", () => {
    const range = (l: Limit) => limitRange(l).map((x) => x?.toString() ?? null);
    expect([range(limit("≤", "5")), range(limit("≥", "5")), range(limit("=", "5"))]).toEqual([
      [null, "5"],
      ["5", null],
      ["5", "5"],
    ]);
    expect([range(limit("between", "2", "8")), range(limit("yes", null)), range(limit("fits", null))]).toEqual([
      ["2", "8"],
      [null, null],
      [null, null],
    ]);
  });
});

test("limits in words, in their own unit", () => {
  expect(
    [limit("≤", "5"), limit("±", "5", "0.5"), limit("between", "2", "8"), limit("yes", null), limit("=", "-1")].map(
      describeLimit,
    ),
  ).toEqual(["≤ 5 kg", "5 ± 0.5 kg", "2 to 8 kg", "yes", "= −1 kg"]);
  expect(describeLimit({ ...limit("≥", "0.25"), unit: "g" })).toBe("≥ 250 g");
});

describe("what the working says", () => {
  test("the interval where there is one, the value where there is none", () => {
    const step = (U: number) => statusOf(limit("≤", "5"), { kind: "value", value: "4.9", U }, []).working.steps;
    expect(step(0)).toEqual(["4.9 kg against ≤ 5 kg: met"]);
    expect(step(0.2)[0]).toMatch(/^4\.70* to 5\.10* kg against ≤ 5 kg: marginal$/);
  });
  test("without evidence it is untested, whatever changed", () => {
    const r = statusOf(limit("≤", "5"), null, ["the build changed"]);
    expect([r.value, r.working.warnings]).toEqual(["untested", ["There is no evidence for the current build yet."]]);
  });
  test("stale evidence names what changed and what it said; what does not apply stays so", () => {
    const changed = ["the build changed (version 1, now 2)"];
    const r = statusOf(limit("≤", "5"), { kind: "value", value: "6", U: 0 }, changed);
    expect(r.value).toBe("stale");
    expect(r.working.warnings).toEqual([
      "Stale: the build changed (version 1, now 2). Run it again, or keep it with a reason. " +
        "Before that it was: not met.",
    ]);
    expect(statusOf(limit("yes", null), { kind: "finding", outcome: "not applicable", note: "" }, changed).value).toBe(
      "not applicable",
    );
  });
  test("a finding is its outcome with its note and who found it", () => {
    const found = (note: string) =>
      statusOf(limit("yes", null), { kind: "finding", outcome: "met", note, by: "Mara", at: "2027-03-02" }, []);
    expect([found("").value, found("").working.steps, found("no burr").working.steps]).toEqual([
      "met",
      ["found: met"],
      ["found: met, no burr"],
    ]);
    expect(found("").working.inputs).toEqual([{ label: "finding", value: "met", by: "Mara", at: "2027-03-02" }]);
  });
});

describe("an envelope", () => {
  const room: Limit = { ...limit("fits", null), sides: ["0.4", "0.6", "0.3"], unit: "mm" };
  const fits = (...sides: string[]) => statusOf(room, { kind: "sides", sides }, []);
  test("every side fits, sorted from long to short, or it does not", () => {
    expect(fits("0.3", "0.4", "0.6").value).toBe("met");
    expect(fits("0.1", "0.1", "0.601").value).toBe("not met");
    expect(fits("0.5", "0.5", "0.1").value).toBe("not met");
  });
  test("the margins stand in the working", () =>
    expect(fits("0.3", "0.5", "0.35").working.steps).toEqual([
      "sides sorted from long to short, limit − side:",
      "600 − 500 = 100 mm",
      "400 − 350 = 50 mm",
      "300 − 300 = 0 mm",
    ]));
});

test("evidence is stale for each version that moved, either way, and for none that it does not lean on", () => {
  const now = { requirement: 2, build: 3, protocol: 4 };
  expect(staleReasons(now, now)).toEqual([]);
  expect(staleReasons({ requirement: 1, build: 2, protocol: 3 }, now)).toEqual([
    "the requirement changed (version 1, now 2)",
    "the protocol changed (version 3, now 4)",
    "the build changed (version 2, now 3)",
  ]);
  expect(staleReasons({ ...now, build: 4 }, now)).toEqual(["the build changed (version 4, now 3)"]);
  expect(staleReasons({ ...now, protocol: null }, now)).toEqual([]);
  expect(staleReasons(now, { ...now, protocol: null })).toEqual([]);
});

test("what a measure names", () => {
  expect(runMeasure("run:p1:Q")).toEqual({ protocol: "p1", channel: "Q" });
  expect(["run:p1", "run::Q", "run:p1:", "mass", "xrun:p:q", null, undefined].map(runMeasure)).toEqual(
    Array(7).fill(null),
  );
  expect(["mass", "cost", "envelope", "run:p:q", "height", null].map(isBuildMeasure)).toEqual([
    true,
    true,
    true,
    false,
    false,
    false,
  ]);
});

test("coverage counts musts alone, and those that apply", () => {
  const must = (verdict: "met" | "not met" | "not applicable" | "marginal") => ({ priority: "must" as const, verdict });
  expect(coverage([must("met"), must("marginal"), must("not applicable"), must("not met")])).toEqual({
    verified: 1,
    musts: 3,
  });
  expect(coverage([{ priority: "should", verdict: "met" }])).toEqual({ verified: 0, musts: 0 });
});

test("the ends of an interval are shown with as many digits as the verdict needs", () => {
  const limit: Limit = { comparator: "≤", target: "5", second: null, sides: null, unit: "kg" };
  const step = (value: string, U: number) => statusOf(limit, { kind: "value", value, U }, []).working.steps[0];
  expect(step("4.9", 0.1)).toBe("4.800 to 5.000 kg against ≤ 5 kg: met");
  expect(step("4.90004", 0.1)).toBe("4.80004 to 5.00004 kg against ≤ 5 kg: marginal");
});

test("bounds that were typed the wrong way round are the same bounds", () => {
  const limit: Limit = { comparator: "between", target: "10.2", second: "9.8", sides: null, unit: "kg" };
  expect(describeLimit(limit)).toBe("9.8 to 10.2 kg");
  expect(statusOf(limit, { kind: "value", value: "10", U: 0 }, []).value).toBe("met");
});
