// The worked examples that the rules of the core are checked against: each can be followed by hand or in R.
import Decimal from "decimal.js";
import fc from "fast-check";
import { drawOrder, drawTeams, teamSizes } from "./draw/draw";
import { staleReasons } from "./evidence/evidence";
import { checkFormula, evaluateFormula, expandUncertainty } from "./formula/formula";
import { type ComponentState, gradeOf, type SchemeDefinition } from "./grades/scheme";
import { type Limit, marginOf, statusOf } from "./needs/requirement";
import { type Attempt, type AttemptSchool, countAttempts } from "./points/attempts";
import { applyRule, type PointsRule, type StepSchool } from "./points/rule";
import { compareEnvelope } from "./quantity/envelope";
import { formatSi, fromSi, parseQuantity, toSi } from "./quantity/quantity";
import { rank } from "./ranking/rank";
import { assessRun, summariseRuns } from "./run/assess";
import { checkProtocol, type ProtocolDefinition } from "./run/protocol";
import { classSessions } from "./sessions/sessions";
import { compareMeans, runsPerSide } from "./stats/compare";
import { describe as describeValues, outliers } from "./stats/describe";
import { standings, type EventDefinition } from "./contest/standings";
import { planStages } from "./stages/stages";
import { can, type Actor } from "./access/can";
import { readRoster } from "./roster/roster";
import { makeWorking } from "./working/working";
import { coreLog } from "./log/corelog";

const read = (text: string, unit: string) => {
  const parsed = parseQuantity(text, unit);
  if (!parsed.ok) throw new Error(parsed.message);
  return parsed.quantity.si;
};

describe("quantities", () => {
  test.each([
    ["4.2 L", "L", "0.0042"],
    ["3 ft 6 in", "m", "1.0668"],
    ["1:20.4", "s", "80.4"],
    ["1:02:03", "s", "3723"],
    ["5 lb", "kg", "2.26796185"],
    ["8.6", "kg", "8.6"],
    ["10 in", "mm", "0.254"],
    ["4,2 L", "L", "0.0042"],
    ["−3", "m", "-3"],
    ["18.4 °C", "°C", "291.55"],
    ["60 strokes/min", "strokes/min", "1"],
    [".5", "m", "0.5"],
  ])("%s in a field of %s", (text, unit, si) => expect(read(text, unit)).toBe(si));

  test("45° is read in radians", () => expect(Number(read("45°", "°"))).toBeCloseTo(Math.PI / 4, 12));

  test.each([
    ["5 L", "kg", "a volume"],
    ["five", "kg", "not a number"],
    ["1,200", "m", "two ways"],
    ["3 xyz", "m", "not a unit known"],
    ["", "m", "Write a number"],
    ["1:20", "m", "reads as a time"],
    ["6 in 3 ft", "m", "not a number"],
  ])("“%s” in a field of %s is refused", (text, unit, why) => {
    const r = parseQuantity(text, unit);
    expect(!r.ok && r.message).toContain(why);
  });

  test("a shown value reads back as the value", () =>
    fc.assert(
      fc.property(
        fc.integer({ min: -1_000_000, max: 1_000_000 }),
        fc.constantFrom("mm", "in", "kg", "lb", "L/min", "N", "°C", "%"),
        (n, unit) => {
          const si = toSi(n / 100, unit).toString();
          expect(fromSi(read(`${formatSi(si, unit, 2)} ${unit}`, unit), unit).toFixed(2)).toBe(
            fromSi(si, unit).toFixed(2),
          );
        },
      ),
    ));

  test("a limit in inches keeps its meaning: 254 mm is inside 10 in", () => {
    const limit: Limit = { comparator: "≤", target: read("10 in", "in"), second: null, sides: null, unit: "in" };
    expect(statusOf(limit, { kind: "value", value: read("254 mm", "mm"), U: 0 }, []).value).toBe("met");
    expect(statusOf(limit, { kind: "value", value: read("254.001 mm", "mm"), U: 0 }, []).value).toBe("not met");
  });

  test("a deviation of 0.09 m at 0.03 m a step is 3 steps", () => {
    const rule: PointsRule = {
      kind: "target",
      target: "2",
      points: "10",
      perStep: "1",
      step: "0.03",
      school: "complete",
      floor: "0",
    };
    expect(applyRule(rule, "2.09", "m").value).toBe("7");
  });

  test("an envelope compares sorted sides unless the orientation is fixed", () => {
    expect(compareEnvelope(["0.39", "0.4", "0.6"], ["0.6", "0.4", "0.4"]).every((s) => !s.margin.startsWith("-"))).toBe(
      true,
    );
    expect(
      compareEnvelope(["0.39", "0.4", "0.6"], ["0.6", "0.4", "0.4"], true).some((s) => s.margin.startsWith("-")),
    ).toBe(true);
  });
});

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
});

describe("repeats and comparisons", () => {
  const a = { name: "A", values: [7.8, 8.1, 7.6, 8.0] };
  const b = { name: "B", values: [8.6, 8.9, 8.3, 8.8, 8.5] };
  test("Welch: 0.745, 0.379 to 1.111, df 6.775, p 0.00206, g 2.86", () => {
    const r = compareMeans(a, b, "pumps more").value;
    if (r.kind !== "compared") throw new Error("expected a comparison");
    expect(r.difference).toBeCloseTo(0.745, 9);
    expect(r.interval.map((x) => x.toFixed(3))).toEqual(["0.379", "1.111"]);
    expect(r.df).toBeCloseTo(6.775, 3);
    expect(r.p).toBeCloseTo(0.00206, 5);
    expect(r.g).toBeCloseTo(2.86, 2);
    expect(r.sentence).toBe("B pumps more: the difference is larger than the scatter between runs.");
  });
  test("one run cannot tell", () =>
    expect(compareMeans(a, { name: "C", values: [9] }).value.sentence).toContain("cannot tell"));
  test("not significant: it says how many runs would show it", () => {
    const r = compareMeans({ name: "A", values: [8, 8.4, 7.7] }, { name: "B", values: [8.2, 8.5, 7.9] }).value;
    expect(r).toMatchObject({ kind: "compared", distinct: false, runsNeeded: expect.any(Number) });
    expect(runsPerSide(0.5, 0.3)).toBe(7);
  });
  test("t interval and outliers", () => {
    const d = describeValues([7.8, 8.1, 7.6, 8.0])!;
    expect(d.interval!.map((x) => x.toFixed(3))).toEqual(["7.522", "8.228"]);
    expect(outliers([8.1, 8.2, 8.0, 8.1, 4.0])).toEqual([4]);
    expect(outliers([8, 8, 8, 8, 9])).toEqual([]);
  });
});

describe("requirements", () => {
  const limit: Limit = { comparator: "≥", target: "7.5", second: null, sides: null, unit: "1" };
  test.each([
    ["7.8", 0.2, "met"],
    ["7.7", 0.2, "met"],
    ["7.69", 0.2, "marginal"],
    ["7.3", 0.2, "marginal"],
    ["7.29", 0.2, "not met"],
    ["7.5", 0, "met"],
  ])("≥ 7.5 with %s ± %s is %s", (value, U, verdict) =>
    expect(statusOf(limit, { kind: "value", value, U }, []).value).toBe(verdict),
  );
  test("± and between", () => {
    expect(
      statusOf({ ...limit, comparator: "±", target: "1.6", second: "0.01" }, { kind: "value", value: "1.61", U: 0 }, [])
        .value,
    ).toBe("met");
    expect(
      statusOf(
        { ...limit, comparator: "between", target: "2", second: "8" },
        { kind: "value", value: "8.1", U: 0.2 },
        [],
      ).value,
    ).toBe("marginal");
  });
  test("a changed version makes the verdict stale and names what it was", () => {
    const reasons = staleReasons({ requirement: 1, build: 3, protocol: 2 }, { requirement: 2, build: 3, protocol: 2 });
    const r = statusOf(limit, { kind: "value", value: "8", U: 0 }, reasons);
    expect(r.value).toBe("stale");
    expect(r.working.warnings[0]).toContain("Before that it was: met");
  });
  test("the margin is negative outside", () =>
    expect(marginOf({ ...limit, comparator: "≤", target: "5" }, "5.31")!.toString()).toBe("-0.31"));
});

describe("points", () => {
  const line: PointsRule = {
    kind: "line",
    anchors: [
      ["4", "0"],
      ["6", "60"],
      ["8", "85"],
      ["9", "100"],
    ].map(([at, points]) => ({ at: at!, points: points! })),
  };
  test.each([
    ["7.1", "73.75"],
    ["8.4", "91"],
    ["3", "0"],
    ["12", "100"],
  ])("line: %s gives %s", (x, points) => expect(applyRule(line, x, "L/min").value).toBe(points));
  const bands: PointsRule = {
    kind: "bands",
    better: "more",
    bands: [
      { at: "9", points: "100" },
      { at: "8", points: "95" },
    ],
    otherwise: "50",
  };
  test.each([
    ["9", "100"],
    ["8.99", "95"],
    ["7", "50"],
  ])("bands: %s gives %s", (x, points) => expect(applyRule(bands, x, "L/min").value).toBe(points));
  const target = (school: StepSchool): PointsRule => ({
    kind: "target",
    target: "2.000",
    points: "100",
    perStep: "1",
    step: "0.030",
    school,
    beyond: "5",
    floor: "0",
  });
  test.each([
    ["1.870", "complete", "96"],
    ["1.870", "proportional", "95.67"],
    ["1.870", "started", "95"],
    ["2.110", "complete", "92"],
    ["2.110", "proportional", "91.33"],
    ["2.110", "started", "91"],
    ["2.090", "complete", "92"],
    ["2.090", "proportional", "92"],
    ["2.090", "started", "92"],
  ] as const)("target: %s, %s steps gives %s", (x, school, points) =>
    expect(new Decimal(applyRule(target(school), x, "L").value!).toDecimalPlaces(2).toString()).toBe(points),
  );
  test("target does not fall below its floor", () =>
    expect(applyRule({ ...target("complete"), floor: "40" } as PointsRule, "5", "L").value).toBe("40"));
  test("ratio, pass and shared places", () => {
    expect(applyRule({ kind: "ratio", points: "50", better: "less" }, "20", "s", { best: "15" }).value).toBe("37.5");
    expect(applyRule({ kind: "pass", points: "10", comparator: "≤", limit: "5" }, "5.0", "kg").value).toBe("10");
    expect(applyRule({ kind: "place", points: ["10", "8", "6"] }, "1", "", { place: 2, sharing: 2 }).value).toBe("7");
  });
  const attempts: Attempt[] = [
    { value: "8.2", state: "valid" },
    { value: null, state: "foul" },
    { value: "8.8", state: "valid" },
    { value: "9.9", state: "void" },
  ];
  test.each([
    ["best", "out", "8.8"],
    ["mean", "out", "8.5"],
    ["mean", "worst", "8.4"],
    ["median", "worst", "8.2"],
    ["last", "out", "8.8"],
    ["first", "out", "8.2"],
    ["sum", "zero", "17"],
    ["best-k", "out", "8.5"],
    ["mean", "zero", "5.66666666666667"],
  ] as const)("attempts: %s, a foul %s: %s", (school, foul, value) =>
    expect(countAttempts(attempts, { school: school as AttemptSchool, n: 4, k: 2, foul }, "more").value).toBe(value),
  );
});

describe("ranking", () => {
  const items = [
    ["c", "9.4"],
    ["a", "8.91"],
    ["g", "8.94"],
    ["e", "7.7"],
  ].map(([id, value]) => ({ id: id!, value: value!, breaks: [] as (string | null)[] }));
  const rule = { better: "more" as const, school: "competition" as const, resolution: "0.1", tieBreaks: [] };
  test("competition, dense and shared", () => {
    expect(rank(items, rule).map((r) => r.place)).toEqual([1, 2, 2, 4]);
    expect(rank(items, { ...rule, school: "dense" }).map((r) => r.place)).toEqual([1, 2, 2, 3]);
    expect(rank(items, { ...rule, school: "shared" }).map((r) => r.place)).toEqual([1, 2.5, 2.5, 4]);
  });
  test("order by the recorded digits is the other school", () =>
    expect(rank(items, { ...rule, resolution: null }).map((r) => r.id)).toEqual(["c", "g", "a", "e"]));
  test("a tie-break chain decides in order, and says so", () => {
    const r = rank(
      items.map((i) => ({ ...i, breaks: i.id === "a" ? ["8.7"] : i.id === "g" ? ["8.6"] : [null] })),
      { ...rule, tieBreaks: [{ label: "second-best attempt", better: "more" }] },
    );
    expect(r.map((x) => x.id)).toEqual(["c", "a", "g", "e"]);
    expect(r[1]!.decidedBy).toBe("second-best attempt");
    expect(r[0]!.decidedBy).toBeNull();
  });
  test("places are those of counting the better ones, whatever the order given", () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 20 }), { minLength: 1, maxLength: 12 }), (values) => {
        const r = rank(
          values.map((v, i) => ({ id: String(i), value: String(v), breaks: [] })),
          { ...rule, resolution: null },
        );
        for (const x of r) expect(x.place).toBe(values.filter((v) => v > values[Number(x.id)]!).length + 1);
      }),
    ));
});

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

describe("grades", () => {
  const scheme: SchemeDefinition = {
    decimals: 1,
    components: [
      { key: "r", name: "Review", weight: "50", source: { kind: "entered" } },
      { key: "p", name: "Performance", weight: "30", source: { kind: "entered" } },
      { key: "m", name: "Drawing", weight: "20", source: { kind: "entered" } },
    ],
  };
  const scored = (share: string) => ({
    state: "scored" as const,
    share,
    working: makeWorking({ title: "", result: "", rule: "" }),
  });
  test("not due is not zero, missing is", () => {
    const known = new Map([
      ["r", scored("0.8")],
      ["p", scored("0.9")],
    ]);
    expect(gradeOf(scheme, known, new Map()).value.grade).toBe("83.8");
    expect(
      gradeOf(scheme, new Map<string, ComponentState>([...known, ["m", { state: "missing", note: "" }]]), new Map())
        .value.grade,
    ).toBe("67");
    expect(
      gradeOf(scheme, new Map<string, ComponentState>([...known, ["m", { state: "excused", note: "" }]]), new Map())
        .value.grade,
    ).toBe("83.8");
  });
  test("an override stands beside the computed value", () => {
    const g = gradeOf(
      scheme,
      new Map([["r", scored("0.5")]]),
      new Map([["r", { share: "0.75", reason: "ill on the day", by: "M. Okonedo" }]]),
    );
    expect(g.value.components[0]).toMatchObject({ percent: "75", overridden: "50" });
    expect(g.value.grade).toBe("75");
  });
  test("rounding is half up, once", () =>
    expect(gradeOf({ ...scheme, decimals: 0 }, new Map([["r", scored("0.845")]]), new Map()).value.grade).toBe("85"));
});

describe("draws and teams", () => {
  test("an order is a permutation, the same for the same seed", () =>
    fc.assert(
      fc.property(fc.array(fc.string(), { maxLength: 20 }), fc.string(), (items, seed) => {
        expect(drawOrder(items, seed)).toEqual(drawOrder(items, seed));
        expect([...drawOrder(items, seed)].sort()).toEqual([...items].sort());
      }),
    ));
  test("sizes lie between the limits and add up, or there is none", () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 0, max: 4 }),
        (people, min, spread) => {
          const sizes = teamSizes(people, min, min + spread);
          if (!sizes) return expect(Math.ceil(people / (min + spread)) > Math.floor(people / min)).toBe(true);
          expect(sizes.reduce((a, b) => a + b, 0)).toBe(people);
          for (const s of sizes) expect(s >= min && s <= min + spread).toBe(true);
        },
      ),
    ));
  test("every place is about as likely for everybody", () => {
    const first = [0, 0, 0, 0];
    for (let seed = 0; seed < 4000; seed++) first[drawOrder([0, 1, 2, 3], String(seed))[0]!]!++;
    for (const n of first) expect(Math.abs(n - 1000)).toBeLessThan(130);
  });
  test("teams hold everybody once", () =>
    expect(drawTeams(["a", "b", "c", "d", "e", "f", "g"], 3, 4, "x")!.flat().sort().join("")).toBe("abcdefg"));
});

describe("session calendar", () => {
  test("days off leave out a session, extra sessions add one", () => {
    const s = classSessions({
      pattern: { kind: "weekdays", days: [1, 2, 4] },
      from: "2027-01-18",
      to: "2027-03-26",
      daysOff: new Set(["2027-02-15"]),
      extra: ["2027-03-27", "2027-03-20"],
    });
    expect(s.length).toBe(30);
    expect(s.at(-1)).toEqual({ number: 30, date: "2027-03-25" });
  });
  test("a rotating cycle moves on by school days only", () =>
    expect(
      classSessions({
        pattern: { kind: "cycle", length: 2, meets: [1], startsOn: "2027-01-18" },
        from: "2027-01-20",
        to: "2027-01-29",
        daysOff: new Set(["2027-01-21"]),
      }).map((s) => s.date),
    ).toEqual(["2027-01-20", "2027-01-25", "2027-01-27", "2027-01-29"]));
  test("planned stages fill the sessions", () =>
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 120 }), (n) =>
        expect(Object.values(planStages(n)).reduce((a, b) => a + b, 0)).toBe(n),
      ),
    ));
});

describe("core log", () => {
  test("a week without a record after the first build is a gap; weeks before it are not", () => {
    const weeks = [1, 2, 3, 4, 5].map((number) => ({ number, monday: "" }));
    const cells = coreLog(
      {
        from: "2027-01-18",
        today: "2027-02-11",
        weeks,
        teams: [{ id: "a" }],
        builds: [{ team: "a", date: "2027-01-26", label: "G1" }],
        runs: [],
        reviews: [],
        checks: [],
      },
      "more",
    ).get("a")!;
    expect(cells.map((c) => c.gap)).toEqual([false, false, true, true, false]);
  });
});

describe("roster", () => {
  test("row errors are named, nothing is guessed", () => {
    const r = readRoster(
      [
        ["First name", "Last name", "Class"],
        ["Ada", "Quill", "3"],
        ["Ben", "", "9"],
        ["Ada", "Quill", "3"],
        ["", "", ""],
      ],
      ["3", "5"],
    );
    expect(r.rows).toHaveLength(1);
    expect(r.problems).toEqual([
      { line: 3, message: "There is no section “9”. Sections: 3, 5." },
      { line: 4, message: "Ada Quill stands already in line 2." },
    ]);
  });
  test("10,000 rows are refused with the limit named", () =>
    expect(
      readRoster([["name"], ...Array.from({ length: 10_000 }, (_, i) => [`S ${i}`])], ["3"]).problems[0]!.message,
    ).toContain("at most 2000"));
});

describe("access", () => {
  const student: Actor = {
    kind: "person",
    id: "s",
    name: "S",
    instructor: false,
    admin: false,
    projects: { p: { role: "student", team: "a" } },
  };
  test("a student writes own team's records only", () => {
    expect(can(student, "run.record", { project: "p", team: "a" })).toBe(true);
    expect(can(student, "run.record", { project: "p", team: "b" })).toBe(false);
    expect(can(student, "run.record", { project: "q", team: "a" })).toBe(false);
    expect(can(student, "grade.readOwn", { project: "p", person: "s" })).toBe(true);
    expect(can(student, "grade.readOwn", { project: "p", person: "t" })).toBe(false);
  });
  test("a guest sees its scope only", () =>
    expect(
      can({ kind: "guest", id: "g", name: "", role: "scorer", project: "p" }, "contest.score", { project: "q" }),
    ).toBe(false));
});
