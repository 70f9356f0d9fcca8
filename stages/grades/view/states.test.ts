import type { Component } from "@/core/grades/scheme";
import type { Student } from "@/stages/people/queries/students";
import { definition } from "@/stages/testing/definition";
import { aBuild, aMilestone, aProtocol, aReview, aState, aTeam } from "@/stages/testing/rows";
import { bestOfClass, inSection, lastPublished, publishedFor, stateOf } from "./states";

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
const world = { state, facts: null, reviews: [], milestones: [], events: [], today: "2027-02-10" };
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
