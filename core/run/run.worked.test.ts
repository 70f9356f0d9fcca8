import fc from "fast-check";
import { checkFormula } from "@/core/formula/check";
import { evaluateFormula } from "@/core/formula/evaluate";
import { expandUncertainty, showUncertain } from "@/core/formula/show";
import { toSi } from "@/core/quantity/quantity";
import { assessRun } from "./assess";
import { checkProtocol, type ProtocolDefinition } from "./protocol";
import { summariseRuns } from "./summary";

const lift: ProtocolDefinition = {
  conditions: [
    { key: "h", name: "Lift", unit: "m", target: "1.60", tolerance: "0.01", u: "0.005" },
    { key: "N", name: "Strokes", unit: "strokes", target: "60", tolerance: "3" },
  ],
  measures: [
    { key: "V", name: "Water", unit: "L", resolution: "0.05" },
    { key: "F", name: "Handle force", unit: "N", resolution: "0.5", u: "0.5", min: "5", max: "200" },
    { key: "s", name: "Stroke", unit: "m", resolution: "0.001", u: "0.002" },
  ],
  constants: [
    { key: "rho", name: "Density", unit: "kg/m^3", value: "998" },
    { key: "g", name: "Gravity", unit: "m/s^2", value: "9.81" },
    { key: "t", name: "Time", unit: "s", value: "60" },
  ],
  derived: [
    {
      key: "Q",
      name: "Flow",
      unit: "L/min",
      expression: "V / t",
      decimals: 2,
      rule: "Water lifted over the time it took.",
    },
    {
      key: "eta",
      name: "Lift efficiency",
      unit: "%",
      expression: "rho * g * V * h / (F * s * N)",
      decimals: 1,
      rule: "Work done on the water over work put in at the handle.",
      bound: "100",
    },
  ],
  primary: "Q",
  better: "more",
  policy: { school: "best", n: 3, foul: "out" },
  safety: [],
};

const liftRun = (id: string, attempt: number, V: string, more: Partial<Parameters<typeof assessRun>[1]> = {}) =>
  assessRun(lift, {
    id,
    attempt,
    state: "valid",
    reason: null,
    readings: { V: toSi(V, "L").toString(), F: "34.0", s: "0.25" },
    conditions: { h: "1.60", N: "60" },
    ...more,
  });

describe("derived measures", () => {
  test("lift efficiency 0.26476, u 0.00453, shown 26.48 % ± 0.91 %", () => {
    expect(checkProtocol(lift)).toEqual([]);
    const eta = liftRun("a", 1, "8.62").values.eta!;
    expect(eta.value!.value / 100).toBeCloseTo(0.26476, 5);
    expect(eta.value!.u / 100).toBeCloseTo(0.00453, 5);
    expect([eta.working.result, eta.working.plusMinus]).toEqual(["26.48", "0.91"]);
    expect(eta.working.contributions![0]!.label).toContain("Handle force");
  });
  test("a value that physics does not allow raises an alarm", () =>
    expect(liftRun("a", 1, "40").alarms.join()).toContain("physics does not allow"));
  test("dimensions are checked, both named", () => {
    expect(
      checkFormula(
        "V + m",
        new Map([
          ["V", { L: 3 }],
          ["m", { M: 1 }],
        ]),
      ),
    ).toEqual({ ok: false, message: "a volume and a mass cannot be added." });
    expect(
      checkFormula(
        "V * t",
        new Map([
          ["V", { L: 3 }],
          ["t", { T: 1 }],
        ]),
        { L: 3, T: -1 },
      ),
    ).toMatchObject({ ok: false, message: expect.stringContaining("a flow is declared") });
    expect(checkFormula("x = 3", new Map())).toMatchObject({ ok: false });
    expect(checkFormula("cos.constructor", new Map())).toMatchObject({ ok: false });
  });
  test("symbolic and numeric slopes agree", () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 50, noNaN: true }),
        fc.double({ min: 0.5, max: 50, noNaN: true }),
        (x, y) => {
          const r = evaluateFormula("x * sqrt(y)", { x: { value: x, u: 0.01 }, y: { value: y, u: 0.02 } });
          expect(r.u).toBeCloseTo(Math.hypot(Math.sqrt(y) * 0.01, (x / (2 * Math.sqrt(y))) * 0.02), 6);
        },
      ),
    ));
  test("runs outside a tolerance, void runs and other versions do not count, and say why", () => {
    const runs = [
      liftRun("a", 1, "8.33"),
      liftRun("b", 2, "8.60"),
      liftRun("c", 3, "9.90", { conditions: { h: "1.56" } }),
      liftRun("d", 4, "9.50", { state: "void", reason: "hose slipped" }),
      liftRun("e", 5, "9", { otherVersion: 1 }),
    ];
    expect(runs.map((r) => r.comparable)).toEqual([true, true, false, false, false]);
    expect(runs[2]!.reasons).toEqual(["Lift 1.56 m, outside 1.59 to 1.61 m"]);
    const s = summariseRuns(lift, runs, "Q").value;
    expect([s.n, s.setAside, s.counted]).toEqual([2, 3, expect.closeTo(8.6, 9)]);
  });
  test("U is rounded to two significant digits", () =>
    expect(expandUncertainty(0.0123)).toEqual({ U: 0.025, digits: 3 }));
  test.each([
    [12.346, 0.498, "12.3 ± 1.0"],
    [1234, 60, "1230 ± 120"],
    [9.96, 0.4998, "10.0 ± 1.0"],
    [8.6, 0.0144, "8.600 ± 0.029"],
    [12345, 4980, "12000 ± 10000"],
  ])("%f with u %f is %s", (value, u, text) => expect(showUncertain(value, u)).toBe(text));
  test("two equal readings whose difference is asked keep their ±", () => {
    const p: ProtocolDefinition = {
      ...lift,
      conditions: [],
      constants: [],
      measures: [
        { key: "x", name: "Left", unit: "mm", resolution: "1" },
        { key: "y", name: "Right", unit: "mm", resolution: "1" },
      ],
      derived: [{ key: "d", name: "Skew", unit: "mm", expression: "abs(x - y)", decimals: 1, rule: "" }],
      primary: "d",
      policy: { school: "mean", n: 3, foul: "out" },
    };
    const runs = ["0.012", "0.014", "0.012"].map((y, i) =>
      assessRun(p, {
        id: String(i),
        attempt: i + 1,
        state: "valid",
        reason: null,
        readings: { x: "0.012", y },
        conditions: {},
      }),
    );
    expect(runs[0]!.values.d!.value!.u).toBeGreaterThan(0.2);
    expect(runs[0]!.values.d!.working.warnings!.join()).toContain("2000 simulated readings");
    expect(summariseRuns(p, runs, "d").value.U).toBeGreaterThan(0.5);
  });
});
