import type { Component } from "@/core/grades/scheme";
import type { Student } from "@/stages/people/queries/students";
import { definition } from "@/stages/testing/definition";
import { aBuild, aMilestone, aProtocol, aRequirement, aReview, aState, aTeam } from "@/stages/testing/rows";
import { bestOfClass } from "./scored";
import { inSection, lastPublished, personal, publishedFor, stateOf } from "./states";

const student = { id: "ada", name: "Ada", teamId: "Alder", sectionId: "three" } as unknown as Student;
const alone = { ...student, teamId: null } as unknown as Student;
const kept = (counted: number, shown: string) => ({ counted, shown });
const protocol = aProtocol(definition);
const summaries: Record<string, ReturnType<typeof kept>> = {
  "Alder G1": kept(7.1, "7.1"),
  "Alder G2": kept(8.25, "8.3"),
  "Birch G1": kept(9.9, "9.9"),
};
const state = {
  ...aState({
    teams: [aTeam("Alder"), aTeam("Birch")],
    builds: [aBuild("Alder", 1), aBuild("Alder", 2), aBuild("Alder", 3), aBuild("Birch", 1)],
    protocols: [protocol],
  }),
  summary: (b: string) => (summaries[b] ?? null) as never,
};
/** Class on Mondays and Wednesdays: 1, 3, 8, 10, 15, 17 February. */
const sessions = ["01", "03", "08", "10", "15", "17"].map((d, i) => ({ date: `2027-02-${d}`, number: i + 1 }));
const world = {
  state,
  facts: null,
  reviews: [],
  milestones: [],
  events: [],
  overall: new Map(),
  calendars: new Map([["three", sessions]]),
  notebooks: new Map(),
  extensions: new Map(),
  peers: new Map(),
  units: { mass: "kg", cost: "Kr" },
  today: "2027-02-10",
};
const of = (source: object, more: object = {}, who = student) =>
  stateOf({ key: "c", name: "Component", weight: "10", source } as Component, who, { ...world, ...more } as never);
const line = {
  kind: "line",
  anchors: [
    { at: "4", points: "0" },
    { at: "9", points: "100" },
  ],
};
const lift = { kind: "points", rule: line, full: "100", measure: { protocol: "lift", channel: "Q" } };

test("what is entered by hand waits for it; without a team there is nothing to score", () => {
  expect(of({ kind: "entered" })).toEqual({ state: "not due", note: "no mark is entered yet" });
  expect(of(lift, {}, alone)).toEqual({ state: "not due", note: "the student has no team" });
});

describe("a review", () => {
  const rubric = { kind: "rubric", review: "First review" };
  const sheet = { raterName: "Ruta", marks: [{ criterion: "fit", points: "3", comment: "" }] };
  test("counts by its complete sheets, for the own team", () => {
    const reviews = [
      aReview("Birch", { sheets: [sheet] as never }),
      aReview("Alder", { sheets: [sheet, sheet] as never }),
    ];
    expect(of(rubric, { reviews })).toMatchObject({ state: "scored", share: "0.75" });
    expect(JSON.stringify(of(rubric, { reviews }))).not.toContain("Ruta");
  });
  test("that is not planned, or has no complete sheet, is not due", () => {
    expect(of(rubric, { reviews: [aReview("Birch")] })).toMatchObject({
      state: "not due",
      note: "no review “First review” is planned for the team",
    });
    expect(of(rubric, { reviews: [aReview("Alder")] })).toMatchObject({
      state: "not due",
      note: "the review on 2027-02-10 has no complete sheet yet",
    });
  });
});

describe("a milestone", () => {
  const source = { kind: "milestone", milestone: "Drawing" };
  const check = (more: object) => ({ teamId: null, personId: null, doneOn: "2027-02-08", checkedBy: "Mara", ...more });
  const drawing = (more: object = {}) => ({ milestones: [aMilestone("Drawing", "2027-02-10", more)] });
  test("passed by the team is full marks for each of it; late is said by the section's own date", () => {
    const passed = of(source, drawing({ checks: [check({ teamId: "Alder" })] }));
    expect(passed).toMatchObject({ state: "scored", share: "1" });
    const warnings = (dates: object) => {
      const s = of(source, drawing({ dates, checks: [check({ teamId: "Alder" })] }));
      return s.state === "scored" ? s.working.warnings : null;
    };
    expect([warnings({}), warnings({ three: "2027-02-07" }), warnings({ three: "2027-02-08" })]).toEqual([
      [],
      ["It was passed after its date."],
      [],
    ]);
  });
  test("of persons counts each one's own, with or without a team", () => {
    const own = drawing({ scope: "person", checks: [check({ personId: "ada", teamId: "Alder" })] });
    expect([of(source, own).state, of(source, own, alone).state]).toEqual(["scored", "scored"]);
    expect(of(source, drawing({ checks: [check({ personId: "ada" })] }), alone).state).toBe("not due");
  });
  test("is missing the day after it was due, not on the day", () => {
    const on = (today: string, dates = {}) => of(source, { ...drawing({ dates }), today });
    expect(on("2027-02-10")).toEqual({ state: "not due", note: "Drawing is due 2027-02-10" });
    expect(on("2027-02-11")).toEqual({ state: "missing", note: "Drawing was due 2027-02-10" });
    expect(on("2027-02-11", { three: "2027-02-11" }).state).toBe("not due");
  });
  test("that is gone is not due", () =>
    expect(of(source)).toMatchObject({ state: "not due", note: "the milestone is not in the plan (any more)" }));
});

describe("performance on the bench", () => {
  test("is that of the newest build that has a run that counts, put into the rule unrounded", () => {
    const s = of(lift);
    expect(s).toMatchObject({ state: "scored", share: "0.85" });
    expect(s.state === "scored" && s.working.steps.at(-1)).toBe("of 100 points: 85 ÷ 100 × 100 = 85 %");
    expect(s.state === "scored" && s.working.steps[0]).toMatch(/^G2:/);
  });
  test("full marks may be other than a hundred points", () =>
    expect(of({ ...lift, full: "50" })).toMatchObject({ state: "scored", share: "1.7" }));
  test("a ratio is to the best of the class", () => {
    const ratio = { ...lift, rule: { kind: "ratio", points: "100", better: "more" } };
    const s = of(ratio);
    expect(s.state === "scored" && Number(s.share)).toBeCloseTo(8.25 / 9.9, 6);
    expect(bestOfClass(state, protocol, "Q")).toBe("9.9");
    expect(bestOfClass(state, aProtocol({ ...definition, better: "less" }), "Q")).toBe("7.1");
  });
  test("without a run, or with the protocol gone, it is not due", () => {
    const other = { ...student, teamId: "Cedar" } as unknown as Student;
    expect(of(lift, {}, other)).toMatchObject({ state: "not due", note: "no run of the team counts yet" });
    expect(of({ ...lift, measure: { protocol: "gone", channel: "Q" } }).state).toBe("not due");
    expect(of({ ...lift, measure: { protocol: "lift", channel: "zz" } }).state).toBe("not due");
  });
});

describe("a contest's result", () => {
  const event = (more: object = {}) => ({
    events: [
      {
        id: "race",
        name: "Race",
        definition: { unit: "L/min" },
        entries: [
          { id: "e1", teamId: "Birch" },
          { id: "e2", teamId: "Alder" },
        ],
        standings: [
          { id: "e1", counted: "9", place: 1, first: 1, sharing: 1, working: { steps: [], inputs: [], warnings: [] } },
          {
            id: "e2",
            counted: "8",
            place: 3,
            first: 2,
            sharing: 3,
            working: { steps: ["best"], inputs: [], warnings: [] },
            ...more,
          },
        ],
      },
    ],
  });
  const source = (rule: object) => ({ kind: "points", rule, full: "10", measure: { event: "race" } });
  test("by value, by ratio to the best, and by the places that a tie fills", () => {
    const place = { kind: "place", points: ["10", "8", "6", "5"] };
    expect(of(source(line), event())).toMatchObject({ share: "8" });
    expect(of(source({ kind: "ratio", points: "9", better: "more" }), event())).toMatchObject({ share: "0.8" });
    const s = of(source(place), event());
    expect(s.state === "scored" && Number(s.share)).toBeCloseTo((8 + 6 + 5) / 3 / 10, 10);
  });
  test("that is not there yet is not due", () => {
    expect(of(source(line), event({ counted: null }))).toMatchObject({ note: "Race has no result for the team yet" });
    expect(of(source(line))).toMatchObject({ note: "the event is not in the plan (any more)" });
  });
});

describe("publications of a section", () => {
  const line = (personId: string, grade: string | null, section = "3") => ({ personId, grade, section });
  test("what a student has read last is the newest publication that holds them", () => {
    const read = lastPublished([
      { number: 2, ledger: [line("ada", "80")] },
      { number: 1, ledger: [line("ada", "70"), line("ben", null)] },
      { number: 3, ledger: [line("cai", "60", "4")] },
    ]);
    expect([...read].sort()).toEqual([
      ["ada", "80"],
      ["ben", null],
      ["cai", "60"],
    ]);
  });
  test("which sections it holds is said where it is not all of them", () => {
    const sections = [{ name: "3" }, { name: "4" }, { name: "5" }];
    expect(publishedFor([line("a", "1", "3"), line("b", "1", "5")], sections)).toBe("section 3, section 5");
    expect(
      publishedFor(
        sections.map((s) => line("a", "1", s.name)),
        sections,
      ),
    ).toBe("");
  });
  test("rows are kept by section, all where none is named", () => {
    const rows = [{ student: { sectionId: "a" } }, { student: { sectionId: "b" } }];
    expect([rows.filter(inSection("b")), rows.filter(inSection(null))]).toEqual([[rows[1]], rows]);
  });
});

describe("late by class sessions", () => {
  const source = { kind: "milestone", milestone: "Drawing" };
  const passed = (doneOn: string) => ({
    milestones: [
      aMilestone("Drawing", "2027-02-03", { checks: [{ teamId: "Alder", personId: null, doneOn, checkedBy: "Mara" }] }),
    ],
  });
  const extended = (sessions: number) => new Map([["ada c", { sessions, reason: "was ill" }]]);
  test("what is passed after its date is late by the class sessions held since, not by days", () => {
    expect(of(source, passed("2027-02-03"))).toMatchObject({ share: "1", late: 0 });
    // Between two class sessions nobody could hand anything in.
    expect(of(source, passed("2027-02-05"))).toMatchObject({ late: 0 });
    expect(of(source, passed("2027-02-10"))).toMatchObject({ late: 2 });
  });
  test("an extension takes sessions off, for this student and component", () => {
    const { working, ...state } = of(source, { ...passed("2027-02-10"), extensions: extended(1) }) as never as {
      working: { steps: string[]; warnings: string[] };
    };
    expect(state).toMatchObject({ late: 1 });
    expect(working.steps[0]).toBe("Drawing: due 2027-02-03, with 1 class session more, passed 2027-02-10");
    const in_time = of(source, { ...passed("2027-02-10"), extensions: extended(2) });
    expect(in_time).toMatchObject({ late: 0, working: { warnings: [] } });
  });
  test("with an extension or a grace it is missing only after them", () => {
    const open = { milestones: [aMilestone("Drawing", "2027-02-03")] };
    expect(of(source, open)).toMatchObject({ state: "missing", note: "Drawing was due 2027-02-03" });
    expect(of(source, { ...open, extensions: extended(2) })).toMatchObject({ state: "not due" });
    expect(of(source, { ...open, extensions: extended(1) })).toMatchObject({ state: "missing" });
    const late = { perSession: "10", grace: 2, floor: "0" };
    const component = { key: "c", name: "C", weight: "10", source, late } as Component;
    expect(stateOf(component, student, { ...world, ...open } as never)).toMatchObject({ state: "not due" });
  });
});

describe("the notebook", () => {
  const source = { kind: "notebook", every: 2 };
  const days = (...d: string[]) => ({ notebooks: new Map([["ada", d.map((x) => `2027-02-${x}`)]]) });
  test("is the share of the entries that were asked; an entry belongs to the class session before it", () => {
    // Four class sessions were held: two entries are asked, one for 1 and 3, one for 8 and 10 February.
    expect(of(source, days("02", "03"))).toMatchObject({ share: "0.5", working: { steps: ["1 ÷ 2 × 100 = 50 %"] } });
    expect(of(source, days("02", "09"))).toMatchObject({ share: "1" });
    expect(of(source)).toMatchObject({ share: "0" });
    // What was written before the first class session, or too often, counts no more.
    expect(of(source, { notebooks: new Map([["ada", ["2027-01-30"]]]) })).toMatchObject({ share: "0" });
  });
  test("without as many class sessions nothing is asked", () =>
    expect(of(source, { today: "2027-02-01" })).toEqual({ state: "not due", note: "no notebook entry is asked yet" }));
});

describe("what stands at the build", () => {
  const mass = (rule: object) => ({ kind: "points", rule, full: "50", measure: { recorded: "mass" } });
  const light = {
    kind: "bands",
    better: "less",
    bands: [
      { at: "5", points: "50" },
      { at: "6", points: "25" },
    ],
    otherwise: "0",
  };
  const with_ = (...builds: ReturnType<typeof aBuild>[]) => ({
    state: { ...aState({ teams: [aTeam("Alder")], builds, protocols: [protocol] }), summary: () => null },
  });
  test("mass by a rule, of the newest build that is no mock-up", () => {
    const state = of(mass(light), with_(aBuild("Alder", 1, { mass: "4.8" }), aBuild("Alder", 2, { mass: "5.5" })));
    expect(state).toMatchObject({ state: "scored", share: "0.5", measured: { value: "5.5", unit: "kg" } });
    const mockUp = of(
      mass(light),
      with_(aBuild("Alder", 1, { mass: "4.8" }), aBuild("Alder", 2, { mass: "1", stage: "mock-up" })),
    );
    expect(mockUp).toMatchObject({ share: "1" });
    expect(of(mass(light), with_(aBuild("Alder", 1)))).toMatchObject({
      note: "no build of the team has its mass on record yet",
    });
  });
  test("the share of musts that the newest build meets", () => {
    const must = (code: string) => aRequirement(code, { priority: "must" } as never);
    const requirements = [
      must("R-01"),
      must("R-02"),
      must("R-03"),
      aRequirement("R-04", { priority: "could" } as never),
    ];
    const state = {
      ...aState({
        teams: [aTeam("Alder")],
        builds: [aBuild("Alder", 1), aBuild("Alder", 2)],
        protocols: [],
        requirements,
      }),
      verdict: (r: string, b: string) => (b === "Alder G2" && r !== "R-03" ? "met" : "untested"),
    };
    expect(of({ kind: "coverage" }, { state })).toMatchObject({ working: { steps: ["G2: 2 ÷ 3 × 100 = 66.67 %"] } });
    expect(of({ kind: "coverage" }, { state: { ...state, requirements: [] } })).toMatchObject({ state: "not due" });
    expect(of({ kind: "coverage" }, with_())).toMatchObject({ note: "the team has no build yet" });
  });
});

test("the best build is the one that earns most, whatever is better", () => {
  const best = { ...lift, measure: { protocol: "lift", channel: "Q", build: "best" } };
  const falling = {
    ...best,
    rule: {
      kind: "line",
      anchors: [
        { at: "4", points: "100" },
        { at: "9", points: "0" },
      ],
    },
  };
  expect(of(best)).toMatchObject({ measured: { value: "8.25" } });
  expect(of(falling)).toMatchObject({ measured: { value: "7.1" } });
});

test("a place in the contest is shared as places are", () => {
  const source = {
    kind: "points",
    full: "10",
    rule: { kind: "place", points: ["10", "8", "6"] },
    measure: { overall: true },
  };
  const place = (p: object) => ({
    overall: new Map([["Alder", { working: { steps: [], inputs: [], warnings: [] }, ...p }]]),
  });
  const named = { ...student, team: "Alder" } as unknown as Student;
  expect(of(source, place({ place: 2, sharing: 2 }), named)).toMatchObject({ share: "0.7" });
  expect(of(source, {}, named)).toMatchObject({ note: "the contest has no place for the team yet" });
});

test("a withdrawn version is read by nobody", () => {
  const line = (grade: string) => [{ personId: "ada", grade }];
  const versions = [
    { number: 2, withdrawnAt: "2027-03-02", ledger: line("90") },
    { number: 1, withdrawnAt: null, ledger: line("80") },
  ];
  expect(lastPublished(versions).get("ada")).toBe("80");
});

test("what is a student's own is not taken from a team-mate", () => {
  const c = (source: object) => ({ key: "c", name: "C", weight: "1", source }) as Component;
  const w = { milestones: [aMilestone("Drawing", "2027-02-03")], extensions: new Map() } as never;
  expect(personal(c({ kind: "notebook", every: 1 }), w, student)).toBe(true);
  expect(personal(c({ kind: "milestone", milestone: "Drawing" }), w, student)).toBe(false);
  expect(personal(c({ kind: "coverage" }), w, alone)).toBe(true);
  const extended = { milestones: [], extensions: new Map([["ada c", { sessions: 1, reason: "ill" }]]) } as never;
  expect(personal(c({ kind: "milestone", milestone: "Drawing" }), extended, student)).toBe(true);
});
