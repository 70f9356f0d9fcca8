import type { TrainerKind } from "@/core/vocabulary/handbook";
import type { RequirementRow } from "@/stages/needs/queries/requirements";
import { askedOf, nextKind, seenOf, skillsOf, trainerFactsOf } from "./trainer";

const build = (id: string, number: number, parents: string[], variables: Record<string, string>) => ({
  id,
  team: "Alder",
  number,
  parents,
  variables,
});
const builds = [
  build("1", 1, [], { stroke: "80 mm", valve: "flap", note: " " }),
  build("2", 2, ["1"], { stroke: "90 mm", valve: "flap", note: "" }),
  build("3", 3, ["2", "1"], { stroke: "95 mm", valve: "flap", note: "" }),
];
const requirement = (over: Partial<RequirementRow>) =>
  ({
    code: "R-01",
    statement: "s",
    measure: "mass",
    comparator: "≤",
    target: "5",
    unit: "kg",
    ...over,
  }) as RequirementRow;

test("pairs come from builds of one parent that changed something, variables from values that differ", () => {
  const facts = trainerFactsOf([requirement({}), requirement({ comparator: null })], builds, [], []);
  expect(facts.pairs.map((p) => p.name)).toEqual(["Alder G1 → G2"]);
  expect(facts.variables).toEqual([{ team: "Alder", name: "stroke", one: "80 mm", other: "95 mm" }]);
  expect([facts.limits.length, facts.measure, facts.conditions]).toEqual([1, null, []]);
});

test("the browser is sent what is asked and not what is right", () => {
  const e = {
    kind: "round" as const,
    question: "q",
    given: ["g"],
    answer: { kind: "rounded" as const, right: "8.6 ± 0.1", unit: "L" },
    working: { title: "", result: "", rule: "", steps: [], inputs: [], warnings: [] },
  };
  const asked = askedOf(e, "s");
  expect(JSON.stringify(asked)).not.toContain("8.6 ± 0.1");
  expect([asked.typed, asked.options, asked.seen]).toEqual([{ unit: "L", like: "8.62 ± 0.09" }, [], seenOf(e)]);
  const choice = askedOf({ ...e, answer: { kind: "choice", options: ["a", "b"], right: 1 } }, "s");
  expect([choice.typed, choice.options, "right" in choice]).toEqual([null, ["a", "b"], false]);
});

test("who answered three or more and less than two thirds right needs it; the next kind is the least answered", () => {
  const row = (personId: string, kind: TrainerKind, answers: number, right: number) => ({
    personId,
    kind,
    answers,
    right,
  });
  const rows = [row("a", "limit", 3, 1), row("a", "round", 3, 2), row("a", "grade", 2, 0), row("b", "pair", 9, 0)];
  expect(
    skillsOf(rows, "a")
      .filter((s) => s.text)
      .map((s) => [s.kind, s.text, s.needs]),
  ).toEqual([
    ["limit", "1 of 3", true],
    ["round", "2 of 3", false],
    ["grade", "0 of 2", false],
  ]);
  expect(nextKind(rows, "a", ["limit", "round", "grade", "pair"])).toBe("pair");
  expect(nextKind(rows, "a", ["round", "limit"])).toBe("limit");
  expect(nextKind(rows, "a", [])).toBeNull();
});
