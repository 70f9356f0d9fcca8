import type { BookletFacts } from "./booklet-queries";
import { bookletGenerations, opening } from "./booklet-view";
import type { teamView } from "./view";

const facts = {
  brief: "",
  builds: [
    { id: "b1", teamId: "t", number: 1, why: "cheap", learned: "Corks jam", good: "light", notGood: "", picture: null },
    { id: "b2", teamId: "t", number: 2, why: "", learned: "", good: "", notGood: "drips", picture: "f" },
  ],
  failures: [
    { id: "f1", mode: "valve stuck", cause: "friction", teamId: "t", build: 1, answeredBy: 2 },
    { id: "f2", mode: "foot cracked", cause: "", teamId: "t", build: 2, answeredBy: null },
    { id: "f3", mode: "of another", cause: "", teamId: "u", build: 1, answeredBy: null },
  ],
  decisions: [],
  honours: [],
} as unknown as BookletFacts;
const generation = (id: string, number: number) => ({ id, number, stage: "prototype", counted: null, mass: null });
const view = { generations: [generation("b2", 2), generation("b1", 1)] } as unknown as ReturnType<typeof teamView>;

test("a team's generations in the order in which they were built, with its own failures and lessons", () => {
  const [first, second] = bookletGenerations("t", view, facts);
  expect([first!.number, second!.number]).toEqual([1, 2]);
  expect(first!.failures.map((f) => f.says)).toEqual(["valve stuck (friction), answered by G2"]);
  expect(first!.lessons).toEqual(["Corks jam", "Good: light"]);
  expect(second!.failures.map((f) => f.says)).toEqual(["foot cracked, not answered"]);
  expect(second!.lessons).toEqual(["Not good: drips"]);
  expect(second!.picture).toBe("f");
});

test("a booklet opens with the need and the rules, and leaves out what is empty", () => {
  const brief = "## Need\n\nWater.\n\n## Client\n\nO. Brandt\n\n## Rules\n\n- 5 kg\n\n## Rules of the day\n";
  expect(opening(brief).map((s) => s.title)).toEqual(["Need", "Rules"]);
});
