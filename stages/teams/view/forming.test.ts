import { teamProblem } from "@/core/testing/team-problems";
import type { TeamPlan } from "../queries/forming";
import { freeConcepts, limitWords, planLine, seatsOf } from "./forming";

const concepts = [
  { id: "piston", title: "Piston", fate: "goes on" },
  { id: "bellows", title: "Bellows", fate: "goes on" },
  { id: "screw", title: "Screw", fate: "set aside" },
] as unknown as Parameters<typeof freeConcepts>[0];
const teams = [{ id: "alder", name: "Alder", conceptId: "piston" }] as unknown as Parameters<typeof seatsOf>[1];
const students = ["Ada", "Ben"].map((name) => ({ id: name.toLowerCase(), name }));

test("a concept is free when it goes on and no team works on it", () => {
  expect(freeConcepts(concepts, teams)).toEqual([{ value: "bellows", label: "Bellows" }]);
  expect(freeConcepts(concepts, []).map((o) => o.value)).toEqual(["piston", "bellows"]);
});

test("seats are the teams that are there and those that will be", () =>
  expect(seatsOf(concepts, teams).map((o) => o.label)).toEqual(["Alder", "Bellows"]));

test("a limit says whom it is of and where; who left and what is gone is said", () => {
  const words = (kind: string, people: string[], seat: string | null) =>
    Object.values(limitWords({ kind, people, seat } as never, students, seatsOf(concepts, teams), teams)).join(": ");
  expect([
    words("apart", ["ada", "ben"], null),
    words("together", ["ada", "zoe"], null),
    words("lock", ["ada"], "alder"),
    words("forbidden", ["ben"], "bellows"),
    words("lock", ["ben"], "piston"),
    words("lock", ["ben"], "gone"),
  ]).toEqual([
    "Ada, Ben: kept apart",
    "Ada, somebody who left: kept together",
    "Ada: locked seat in Alder",
    "Ben: not in Bellows",
    "Ben: locked seat in Alder",
    "Ben: locked seat in a team that is gone",
  ]);
});

test("a kept plan that does not seat everybody any more is not reported on", () => {
  const problem = teamProblem({ seed: "1", people: 6, teams: 2, wishes: 6 });
  const seat = Object.fromEntries(problem.people.map((x, i) => [x.id, problem.teams[i % 2]!.id]));
  const line = (assignment: Record<string, string>) => planLine({ assignment } as unknown as TeamPlan, problem);
  expect(line(seat).report!.students).toHaveLength(6);
  expect(line(seat).idea).toBe(line(seat).report!.soft.find((x) => x.kind === "idea")!.text);
  const { p0: _, ...short } = seat;
  for (const bad of [short, { ...seat, p0: "no such team" }])
    expect([line(bad).report, line(bad).idea, line(bad).wish]).toEqual([
      null,
      "the roster changed since",
      "the roster changed since",
    ]);
});
