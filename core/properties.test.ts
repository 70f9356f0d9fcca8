// Properties of the core: what must hold for every input, not only for the worked ones.
import Decimal from "decimal.js";
import fc from "fast-check";
import { can, type Actor, type GuestRole, type ProjectRole } from "./access/can";
import { standings, type EntryRecord, type EventDefinition } from "./contest/standings";
import { staleReasons } from "./evidence/evidence";
import { checkFormula, evaluateFormula } from "./formula/formula";
import { gradeOf, type ComponentState, type SchemeDefinition } from "./grades/scheme";
import { teamFlags, type TeamRecord } from "./log/flags";
import { type Limit, marginOf, nextCode, statusOf, vagueWordsIn } from "./needs/requirement";
import { type Attempt, attemptSchools, type AttemptSchool, countAttempts } from "./points/attempts";
import { applyRule, type PointsRule } from "./points/rule";
import { multiplyDimensions, raiseDimension, sameDimension } from "./quantity/dimension";
import { compareEnvelope } from "./quantity/envelope";
import { fromSi, parseQuantity, toSi } from "./quantity/quantity";
import { parseUnit } from "./quantity/units";
import { rank } from "./ranking/rank";
import { assessRun } from "./run/assess";
import { checkProtocol, type ProtocolDefinition } from "./run/protocol";
import { addDays, daysBetween, isDate, mondayOf, weekday } from "./sessions/date";
import { classSessions, projectWeeks, sessionsHeld, weekOf } from "./sessions/sessions";
import { checkRubric, combineSheets, scoreSheet, type RubricDefinition } from "./sheet/sheet";
import { compareMeans, runsPerSide } from "./stats/compare";
import { describe as describeValues, mean, median } from "./stats/describe";
import { makeWorking } from "./working/working";

const date = fc.integer({ min: 0, max: 3000 }).map((n) => addDays("2026-01-01", n));
const decimal = (min: number, max: number) =>
  fc.integer({ min: min * 100, max: max * 100 }).map((n) => (n / 100).toString());

describe("quantities", () => {
  const units = [
    "mm",
    "in",
    "ft",
    "kg",
    "lb",
    "g",
    "L",
    "mL",
    "L/min",
    "N",
    "kPa",
    "°C",
    "°F",
    "%",
    "strokes/min",
    "m/s",
  ];
  test("to SI and back is the same number", () =>
    fc.assert(
      fc.property(decimal(-500, 500), fc.constantFrom(...units), (v, u) =>
        expect(fromSi(toSi(v, u), u).toDecimalPlaces(8).toString()).toBe(new Decimal(v).toString()),
      ),
    ));
  test("a bare number takes the field's unit", () =>
    fc.assert(
      fc.property(decimal(0, 500), fc.constantFrom(...units), (v, u) => {
        const [bare, written] = [parseQuantity(v, u), parseQuantity(`${v} ${u}`, u)];
        expect(bare.ok && written.ok && bare.quantity.si === written.quantity.si).toBe(true);
      }),
    ));
  test("feet and inches add up", () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 0, max: 11 }), (ft, inch) => {
        const r = parseQuantity(`${ft} ft ${inch} in`, "m");
        expect(r.ok && new Decimal(r.quantity.si).eq(new Decimal(ft * 12 + inch).times("0.0254"))).toBe(true);
      }),
    ));
  test("whatever is typed is understood or refused with words, never thrown", () =>
    fc.assert(
      fc.property(fc.string(), fc.constantFrom(...units), (text, u) => {
        const r = parseQuantity(text, u);
        expect(r.ok ? Number.isFinite(Number(r.quantity.si)) : r.message.length > 10).toBe(true);
      }),
    ));
  test("a product of units has the product of their dimensions", () =>
    fc.assert(
      fc.property(fc.constantFrom("m", "kg", "s", "N", "L"), fc.constantFrom("m", "s", "min", "kg"), (a, b) => {
        const whole = parseUnit(`${a}/${b}`)!;
        expect(
          sameDimension(
            whole.dimension,
            multiplyDimensions(parseUnit(a)!.dimension, raiseDimension(parseUnit(b)!.dimension, -1)),
          ),
        ).toBe(true);
      }),
    ));
  test("turning a body over changes nothing unless the orientation is fixed", () =>
    fc.assert(
      fc.property(fc.shuffledSubarray(["0.6", "0.39", "0.2"], { minLength: 3 }), (sides) => {
        expect(compareEnvelope(sides, ["0.6", "0.4", "0.4"])).toEqual(
          compareEnvelope(["0.2", "0.39", "0.6"], ["0.6", "0.4", "0.4"]),
        );
      }),
    ));
});

describe("formulas", () => {
  const known = new Map([
    ["a", { L: 1 }],
    ["b", { L: 1 }],
    ["t", { T: 1 }],
  ]);
  test.each([
    ["a + b", true],
    ["a / t", true],
    ["sqrt(a * b)", true],
    ["a + t", false],
    ["a ^ b", false],
    ["sin(a)", false],
    ["min(a, t)", false],
    ["c", false],
    ["a;b", false],
    ["[a]", false],
    ["f(x)=x", false],
    ["a.b", false],
    ["import('x')", false],
    ["'a'", false],
  ])("%s is %s", (text, fine) => expect(checkFormula(text, known).ok).toBe(fine));
  test("an uncertainty never shrinks when an input's grows", () =>
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 1, noNaN: true }), fc.double({ min: 1, max: 3, noNaN: true }), (u, k) => {
        const at = (x: number) =>
          evaluateFormula("a * b / t", { a: { value: 3, u: x }, b: { value: 2, u: 0.1 }, t: { value: 4, u: 0.1 } }).u;
        expect(at(u * k)).toBeGreaterThanOrEqual(at(u) - 1e-12);
      }),
    ));
  test("where an input bends the result at a kink, the slope is taken by differences", () => {
    const r = evaluateFormula("max(a, b)", { a: { value: 3, u: 0.1 }, b: { value: 2, u: 0.5 } });
    expect(r.u).toBeCloseTo(0.1, 6);
  });
});

describe("requirements", () => {
  const limit = (comparator: Limit["comparator"], target: string, second: string | null = null): Limit => ({
    comparator,
    target,
    second,
    sides: null,
    unit: "1",
  });
  test("without uncertainty a measured requirement is never marginal, and its margin has the verdict's sign", () =>
    fc.assert(
      fc.property(decimal(0, 20), decimal(0, 20), fc.constantFrom("≤" as const, "≥" as const), (x, t, c) => {
        const { value } = statusOf(limit(c, t), { kind: "value", value: x, U: 0 }, []);
        expect(value).toBe(marginOf(limit(c, t), x)!.gte(0) ? "met" : "not met");
      }),
    ));
  test("a larger uncertainty can only make a verdict less certain", () =>
    fc.assert(
      fc.property(decimal(0, 20), decimal(0, 20), fc.double({ min: 0, max: 3, noNaN: true }), (x, t, U) => {
        const [sure, unsure] = [
          statusOf(limit("≥", t), { kind: "value", value: x, U }, []).value,
          statusOf(limit("≥", t), { kind: "value", value: x, U: U + 1 }, []).value,
        ];
        expect(unsure === sure || unsure === "marginal").toBe(true);
      }),
    ));
  test("stale beats every measured verdict, but not what does not apply", () => {
    for (const outcome of ["met", "not met"] as const)
      expect(statusOf(limit("yes", "0"), { kind: "finding", outcome, note: "" }, ["x"]).value).toBe("stale");
    expect(statusOf(limit("yes", "0"), { kind: "finding", outcome: "not applicable", note: "" }, ["x"]).value).toBe(
      "not applicable",
    );
  });
  test("evidence is fresh exactly when every version it leaned on is current", () =>
    fc.assert(
      fc.property(fc.nat(3), fc.nat(3), fc.nat(3), fc.nat(3), (a, b, c, d) =>
        expect(
          staleReasons({ requirement: a, build: b, protocol: null }, { requirement: c, build: d, protocol: 9 }).length,
        ).toBe(Number(a !== c) + Number(b !== d)),
      ),
    ));
  test("codes go on after the highest, and vague words are found only where no number stands", () => {
    expect(nextCode([])).toBe("R-01");
    expect(nextCode(["R-09", "R-100"])).toBe("R-101");
    expect(vagueWordsIn("Sturdy and easy to clean")).toEqual(["sturdy", "easy"]);
  });
});

describe("points", () => {
  const rules: [string, PointsRule, 1 | -1][] = [
    [
      "line",
      {
        kind: "line",
        anchors: [
          { at: "2", points: "0" },
          { at: "6", points: "70" },
          { at: "9", points: "100" },
        ],
      },
      1,
    ],
    [
      "bands",
      {
        kind: "bands",
        better: "more",
        bands: [
          { at: "4", points: "50" },
          { at: "8", points: "90" },
        ],
        otherwise: "10",
      },
      1,
    ],
    [
      "bands, less",
      {
        kind: "bands",
        better: "less",
        bands: [
          { at: "4", points: "90" },
          { at: "8", points: "50" },
        ],
        otherwise: "10",
      },
      -1,
    ],
    ["ratio", { kind: "ratio", points: "100", better: "more" }, 1],
  ];
  test.each(rules)("%s never rewards the worse value", (_, rule, sign) =>
    fc.assert(
      fc.property(decimal(1, 12), decimal(1, 12), (a, b) => {
        const [pa, pb] = [a, b].map((x) => new Decimal(applyRule(rule, x, "u", { best: "12" }).value!));
        if (new Decimal(a).gt(b)) expect(pa!.minus(pb!).times(sign).gte(0)).toBe(true);
      }),
    ),
  );
  test("complete steps cost at most what proportional ones cost, started ones at least", () =>
    fc.assert(
      fc.property(decimal(0, 4), (x) => {
        const by = (school: "complete" | "proportional" | "started") =>
          new Decimal(
            applyRule(
              { kind: "target", target: "2", points: "100", perStep: "1", step: "0.03", school, floor: "0" },
              x,
              "L",
            ).value!,
          );
        expect(by("complete").gte(by("proportional")) && by("proportional").gte(by("started"))).toBe(true);
      }),
    ));
  const attempts = fc.array(
    fc.record({
      value: decimal(0, 20),
      state: fc.constantFrom("valid" as const, "foul" as const, "no_finish" as const, "void" as const),
    }),
    { maxLength: 6 },
  );
  test("every school's value lies between the worst and the best counted, the sum aside", () =>
    fc.assert(
      fc.property(
        attempts,
        fc.constantFrom(...(Object.keys(attemptSchools) as AttemptSchool[]).filter((s) => s !== "sum")),
        (list, school) => {
          const r = countAttempts(list as Attempt[], { school, n: 6, k: 2, foul: "out" }, "more");
          const valid = list.filter((a) => a.state === "valid").map((a) => Number(a.value));
          if (!valid.length) return expect(r.value).toBeNull();
          expect(Number(r.value)).toBeGreaterThanOrEqual(Math.min(...valid) - 1e-9);
          expect(Number(r.value)).toBeLessThanOrEqual(Math.max(...valid) + 1e-9);
        },
      ),
    ));
  test("a void attempt changes nothing", () =>
    fc.assert(
      fc.property(attempts, (list) => {
        const policy = { school: "mean" as const, n: 20, foul: "zero" as const };
        expect(countAttempts([...list, { value: "99", state: "void" }] as Attempt[], policy, "more")).toEqual(
          countAttempts(list as Attempt[], policy, "more"),
        );
      }),
    ));
});

describe("ranking and standings", () => {
  const rule = { better: "more" as const, school: "competition" as const, resolution: "0.1", tieBreaks: [] };
  test("places do not depend on the order in which the candidates come", () =>
    fc.assert(
      fc.property(
        fc.array(decimal(0, 5), { minLength: 1, maxLength: 9 }),
        fc.infiniteStream(fc.nat()),
        (values, shuffle) => {
          const items = values.map((value, i) => ({ id: String(i), value, breaks: [] as string[] }));
          const mixed = items
            .map((x) => ({ x, k: shuffle.next().value as number }))
            .sort((a, b) => a.k - b.k)
            .map((y) => y.x);
          const places = (list: typeof items) => Object.fromEntries(rank(list, rule).map((r) => [r.id, r.place]));
          expect(places(mixed)).toEqual(places(items));
        },
      ),
    ));
  test("shared places add up to 1 + 2 + … + n", () =>
    fc.assert(
      fc.property(fc.array(decimal(0, 2), { minLength: 1, maxLength: 9 }), (values) => {
        const sum = rank(
          values.map((value, i) => ({ id: String(i), value, breaks: [] })),
          { ...rule, school: "shared" },
        ).reduce((s, r) => s + r.place!, 0);
        expect(sum).toBe((values.length * (values.length + 1)) / 2);
      }),
    ));
  const event: EventDefinition = {
    channel: "Q",
    unit: "L/min",
    better: "more",
    policy: { school: "best", n: 3, foul: "out" },
    ranking: "competition",
    resolution: "0.1",
    tieBreaks: ["lighter"],
    points: null,
    seed: "1",
  };
  const entry = (id: string, more: Partial<EntryRecord>): EntryRecord => ({
    id,
    name: id,
    attempts: [{ value: "8", state: "valid" }],
    mass: "4",
    inspectedAt: null,
    out: false,
    ...more,
  });
  test("who was turned away has no place; an unbroken tie is shared and says with whom", () => {
    const s = standings(event, [entry("a", {}), entry("b", {}), entry("c", { out: true }), entry("d", { mass: null })]);
    expect(s.map((x) => [x.id, x.place, x.shared])).toEqual([
      ["a", 1, true],
      ["b", 1, true],
      ["d", 3, false],
      ["c", null, false],
    ]);
    expect(s[0]!.working.warnings).toEqual(["Shares its place with b."]);
  });
});

describe("runs", () => {
  const p: ProtocolDefinition = {
    conditions: [{ key: "Tw", name: "Water", unit: "°C", target: "20", tolerance: "5" }],
    measures: [{ key: "x", name: "Way", unit: "mm", resolution: "1" }],
    constants: [],
    derived: [{ key: "v", name: "Speed", unit: "m/s", expression: "x / x0", decimals: 2, rule: "" }],
    primary: "x",
    better: "more",
    policy: { school: "best", n: 3, foul: "out" },
    safety: [],
  };
  test("a protocol's faults are all named", () => {
    expect(checkProtocol(p)).toEqual(["Speed: “x0” is not one of x, Tw."]);
    expect(
      checkProtocol({
        ...p,
        derived: [],
        primary: "z",
        measures: [{ ...p.measures[0]!, key: "1x", unit: "furlong", resolution: "0" }],
      }).length,
    ).toBe(4);
  });
  test("a condition in °C is compared in °C", () => {
    const run = (celsius: string) =>
      assessRun(
        { ...p, derived: [] },
        {
          id: "r",
          attempt: 1,
          state: "valid",
          reason: null,
          readings: { x: "0.1" },
          conditions: { Tw: toSi(celsius, "°C").toString() },
        },
      );
    expect([run("25").comparable, run("25.1").comparable]).toEqual([true, false]);
  });
  test("a division by zero is said, not shown as a number", () => {
    const q: ProtocolDefinition = {
      ...p,
      constants: [{ key: "z", name: "Zero", unit: "s", value: "0" }],
      derived: [{ ...p.derived[0]!, expression: "x / z" }],
    };
    expect(
      assessRun(q, { id: "r", attempt: 1, state: "valid", reason: null, readings: { x: "0.1" }, conditions: {} }).values
        .v,
    ).toMatchObject({ value: null, working: { warnings: [expect.stringContaining("division by zero")] } });
  });
});

describe("statistics", () => {
  const list = fc.array(fc.double({ min: -50, max: 50, noNaN: true }), { minLength: 2, maxLength: 12 });
  test("mean and median lie in the range, the interval around the mean", () =>
    fc.assert(
      fc.property(list, (v) => {
        const d = describeValues(v)!;
        for (const x of [mean(v), median(v)]) expect(x >= d.min - 1e-9 && x <= d.max + 1e-9).toBe(true);
        expect(d.interval![0] <= d.mean + 1e-9 && d.interval![1] >= d.mean - 1e-9).toBe(true);
      }),
    ));
  test("exchanging the sides turns the difference round", () =>
    fc.assert(
      fc.property(list, list, (a, b) => {
        const [x, y] = [
          compareMeans({ name: "a", values: a }, { name: "b", values: b }).value,
          compareMeans({ name: "b", values: b }, { name: "a", values: a }).value,
        ];
        if (x.kind !== "compared" || y.kind !== "compared") throw new Error("both have runs enough");
        expect(x.difference).toBeCloseTo(-y.difference, 9);
        expect(x.distinct).toBe(y.distinct);
      }),
    ));
  test("a smaller difference needs more runs", () => {
    const needed = [1, 0.8, 0.6, 0.4, 0.2].map((d) => runsPerSide(d, 0.5)!);
    expect([...needed].sort((a, b) => a - b)).toEqual(needed);
    expect(runsPerSide(0.0001, 1)).toBeNull();
  });
});

describe("calendar", () => {
  test("dates and weeks agree with each other", () =>
    fc.assert(
      fc.property(date, fc.nat(400), (d, n) => {
        expect(daysBetween(d, addDays(d, n))).toBe(n);
        expect(isDate(d) && weekday(mondayOf(d)) === 1).toBe(true);
        expect(weekOf(d, addDays(d, n))).toBe(projectWeeks(d, addDays(d, n)).length);
      }),
    ));
  test("every session is on a day of the pattern that is not off, numbered in order", () =>
    fc.assert(
      fc.property(
        date,
        fc.nat(120),
        fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1 }),
        fc.array(fc.nat(120)),
        (from, n, days, off) => {
          const daysOff = new Set(off.map((x) => addDays(from, x)));
          const s = classSessions({ pattern: { kind: "weekdays", days }, from, to: addDays(from, n), daysOff });
          s.forEach((x, i) =>
            expect(x.number === i + 1 && days.includes(weekday(x.date)) && !daysOff.has(x.date)).toBe(true),
          );
          expect(sessionsHeld(s, addDays(from, n))).toBe(s.length);
        },
      ),
    ));
});

describe("sheets and grades", () => {
  const rubric: RubricDefinition = {
    criteria: ["a", "b"].map((key, i) => ({
      key,
      name: key,
      weight: String(i + 1),
      levels: [0, 1, 2, 3].map((p) => ({ points: String(p), descriptor: "" })),
    })),
  };
  test("a sheet's share lies between nothing and everything; an incomplete one has none and is left out", () => {
    fc.assert(
      fc.property(fc.nat(3), fc.nat(3), (a, b) => {
        const share = Number(
          scoreSheet(rubric, {
            rater: "r",
            marks: [
              { criterion: "a", points: String(a) },
              { criterion: "b", points: String(b) },
            ],
          }).value,
        );
        expect(share).toBeCloseTo((a / 3 + (2 * b) / 3) / 3, 12);
      }),
    );
    const combined = combineSheets(rubric, [
      { rater: "r", marks: [{ criterion: "a", points: "3" }] },
      {
        rater: "s",
        marks: [
          { criterion: "a", points: "3" },
          { criterion: "b", points: "0" },
        ],
      },
    ]);
    expect([Number(combined.value).toFixed(3), combined.working.warnings[0]]).toEqual([
      "0.333",
      expect.stringContaining("r's sheet is not complete"),
    ]);
    expect(
      checkRubric({ criteria: [{ key: "a", name: "A", weight: "0", levels: [{ points: "x", descriptor: "" }] }] }),
    ).toEqual([
      "A: give at least two levels.",
      "A: the weight must be above zero.",
      "A: points are numbers from 0 up.",
    ]);
  });
  test("a grade lies between its lowest and highest counting component", () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 1, maxLength: 6 }), (percents) => {
        const scheme: SchemeDefinition = {
          decimals: 3,
          components: percents.map((_, i) => ({
            key: String(i),
            name: String(i),
            weight: String(i + 1),
            source: { kind: "entered" },
          })),
        };
        const states = new Map<string, ComponentState>(
          percents.map((p, i) => [
            String(i),
            { state: "scored", share: String(p / 100), working: makeWorking({ title: "", result: "", rule: "" }) },
          ]),
        );
        const grade = Number(gradeOf(scheme, states, new Map()).value.grade);
        expect(grade >= Math.min(...percents) - 0.001 && grade <= Math.max(...percents) + 0.001).toBe(true);
      }),
    ));
});

describe("flags", () => {
  const team = (more: Partial<TeamRecord>): TeamRecord => ({
    id: "a",
    name: "A",
    sinceBuild: 2,
    mustsUntested: 0,
    results: [],
    overdueActions: 0,
    staleMusts: 0,
    overLimits: [],
    overdueMilestones: [],
    ...more,
  });
  const reasons = (t: TeamRecord, left = 20) =>
    teamFlags([t, team({ id: "b" }), team({ id: "c" })], left, "more")
      .filter((f) => f.team === "a")
      .map((f) => f.reason);
  test.each([
    [{}, []],
    [{ sinceBuild: null }, ["no build yet, others have built"]],
    [{ results: [5, 6, 6, 5, 4] }, ["the best result has not improved for three builds"]],
    [{ results: [5, 6, 7, 6] }, []],
    [{ staleMusts: 1 }, ["1 must rests on stale evidence"]],
    [{ overLimits: ["mass is 0.3 kg over its limit"] }, ["mass is 0.3 kg over its limit"]],
    [{ overdueMilestones: ["Drawing"] }, ["Drawing is overdue"]],
  ])("%j gives %j", (more, wanted) => expect(reasons(team(more as Partial<TeamRecord>))).toEqual(wanted));
  test("an untested must matters as the event comes near", () =>
    expect([reasons(team({ mustsUntested: 1 }), 10), reasons(team({ mustsUntested: 1 }), 4)]).toEqual([
      [],
      ["1 must untested with 4 sessions left"],
    ]));
});

describe("access", () => {
  const person = (role: ProjectRole, team: string | null): Actor => ({
    kind: "person",
    id: "me",
    name: "",
    instructor: role !== "student",
    admin: false,
    projects: { p: { role, team } },
  });
  test("nobody may do anything, and no role of one project may do anything in another", () =>
    fc.assert(
      fc.property(
        fc.constantFrom<ProjectRole>("owner", "co", "student"),
        fc.constantFrom<GuestRole>("client", "reviewer", "judge", "scorer", "board"),
        (role, guest) => {
          for (const act of [
            "project.read",
            "project.edit",
            "run.record",
            "contest.score",
            "review.mark",
            "grade.readAll",
            "brief.read",
          ] as const) {
            expect(can({ kind: "nobody" }, act, { project: "p" })).toBe(false);
            expect(can(person(role, "t"), act, { project: "q", team: "t" })).toBe(false);
            expect(can({ kind: "guest", id: "g", name: "", role: guest, project: "p" }, act, { project: "q" })).toBe(
              false,
            );
          }
        },
      ),
    ));
  test("a student without a team writes no team's records, not even those that have none", () => {
    expect(can(person("student", null), "build.edit", { project: "p", team: null })).toBe(false);
    expect(can(person("student", null), "run.record", { project: "p" })).toBe(false);
  });
});
