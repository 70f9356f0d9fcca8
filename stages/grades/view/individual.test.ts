import type { Component } from "@/core/grades/scheme";
import type { Student } from "@/stages/people/queries/students";
import { aReview } from "@/stages/testing/rows";
import { personal, stateOf } from "./states";

const levels = ["0", "4"].map((points) => ({ points, descriptor: "" }));
const criterion = (key: string, more: object = {}) => ({ key, name: key, weight: "1", levels, ...more });
const definition = { criteria: [criterion("fit"), criterion("say", { individual: true })] };
const ada = { id: "ada", teamId: "Alder", sectionId: "three" } as unknown as Student;
const ben = { ...ada, id: "ben" } as Student;
const sheet = (persons: object[]) => ({
  raterName: "Ruta",
  marks: [{ criterion: "fit", points: "4", comment: "" }],
  persons,
});
const mark = (person: string, points: string) => ({ criterion: "say", person, points });
const component = { key: "c", name: "Own part", weight: "10", source: { kind: "individual", review: "First review" } };
const of = (who: Student, reviews: unknown[]) =>
  stateOf(component as Component, who, { reviews, extensions: new Map() } as never);
const review = (sheets: unknown[], more: object = {}) => aReview("Alder", { definition, sheets, ...more } as never);

test("each member has the mean of the reviewers who marked that member", () => {
  const reviews = [review([sheet([mark("ada", "4"), mark("ben", "0")]), sheet([mark("ada", "0")])])];
  expect(of(ada, reviews)).toMatchObject({ state: "scored", share: "0.5", working: { title: "Own part" } });
  expect(of(ben, reviews)).toMatchObject({ state: "scored", share: "0" });
  expect(JSON.stringify(of(ada, reviews))).not.toContain("Ruta");
});

test("nobody is marked zero where nobody was marked", () => {
  expect(of(ben, [review([sheet([mark("ada", "4")])])])).toMatchObject({ state: "not due" });
  expect(of(ada, [review([], { definition: { criteria: [criterion("fit")] } })])).toMatchObject({
    note: "the rubric of “First review” marks nobody alone",
  });
  expect(of(ada, [])).toMatchObject({ note: "no review “First review” is planned for the team" });
});

test("the team's score leaves the individual criteria out", () => {
  const team = { ...component, source: { kind: "rubric", review: "First review" } } as Component;
  const world = { reviews: [review([sheet([mark("ada", "0")])])] } as never;
  expect(stateOf(team, ada, world)).toMatchObject({ state: "scored", share: "1" });
});

test("it is the student's own, and not all the team's", () => {
  const world = { milestones: [], extensions: new Map() } as never;
  expect(personal(component as Component, world, ada)).toBe(true);
  expect(personal({ ...component, source: { kind: "rubric", review: "x" } } as Component, world, ada)).toBe(false);
});
