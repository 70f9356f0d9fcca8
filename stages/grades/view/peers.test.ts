// What a rating came to, for instructors; and what a student has to hand in.
import type { Student } from "@/stages/people/queries/students";
import { peersView, toRate } from "./peers";

const student = (id: string, team: string | null) =>
  ({ id, name: id.toUpperCase(), team, teamId: team }) as never as Student;
const class_ = [
  student("a", "Alder"),
  student("b", "Alder"),
  student("c", "Alder"),
  student("d", "Birch"),
  student("e", null),
];
const given = (rater: string, ...to: [string, string][]) =>
  to.map(([ratee, value]) => ({ rater, ratee, value, comment: ratee === "c" ? "drew it all" : "" }) as never);
const round = { id: "r", method: "ratings" } as never;
const ratings = [given("a", ["b", "3"], ["c", "5"]), given("b", ["a", "4"], ["c", "5"])].flat();

test("factors, who gave what, what is missing; who is alone in a team is not asked", () => {
  const view = peersView(class_, round, ratings, { round: "r", low: "0.85", high: "1.10" });
  expect([view.asked, view.missing]).toEqual([3, ["C"]]);
  const [alder, birch] = view.teams;
  expect(alder!.members.map((m) => [m.name, m.handedIn, m.gave])).toEqual([
    ["A", true, [null, "3", "5"]],
    ["B", true, ["4", null, "5"]],
    ["C", false, [null, null, null]],
  ]);
  // Only C was rated by two: 5 over the mean of 4, 3 and 5.
  expect(alder!.members.map((m) => [m.factor, m.capped])).toEqual([
    [null, null],
    [null, null],
    ["1.250", "1.100"],
  ]);
  expect(alder!.members[0]!.comments).toEqual([{ about: "C", text: "drew it all" }]);
  expect(birch!.members.map((m) => m.factor)).toEqual([null]);
});

test("caps are those of a scheme that takes its factor from here", () =>
  expect(
    peersView(class_, round, ratings, { round: "other", low: "0.85", high: "1.10" }).teams[0]!.members[2]!.capped,
  ).toBeNull());

test("a student rates the others of the own team, with what was given before", () => {
  expect(toRate(class_, "a", [{ ratee: "c", value: "5", comment: "x" }] as never)).toEqual([
    { id: "b", name: "B", value: "", comment: "" },
    { id: "c", name: "C", value: "5", comment: "x" },
  ]);
  expect([toRate(class_, "d", []), toRate(class_, "e", [])]).toEqual([[], []]);
});
