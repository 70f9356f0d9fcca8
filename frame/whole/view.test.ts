import { unitsOf } from "@/core/quantity/systems";
import { definition } from "@/stages/testing/definition";
import { aBuild, aMilestone, aProtocol, aRequirement, aState, sessionsOn } from "@/stages/testing/rows";
import { notebookView, teamView } from "./view";

const state = aState(
  {
    builds: [
      aBuild("Alder", 1, { mass: "1.25", cost: "12.5" }),
      aBuild("Alder", 2, { builtOn: "2027-02-08" }),
      aBuild("Birch", 1),
    ],
    requirements: [aRequirement("R-01"), aRequirement("R-02"), aRequirement("R-03", { priority: "could" })],
    protocols: [aProtocol(definition)],
  },
  { "R-01 Alder G1": "met", "R-01 Alder G2": "met", "R-02 Alder G2": "met", "R-03 Alder G2": "not met" },
  { "Alder G1": 6.1 },
);
const alder = { id: "Alder", sectionId: "section" };
const view = (milestones = [] as ReturnType<typeof aMilestone>[]) =>
  teamView(alder, state, milestones, unitsOf("metric"));

test("a team's generations stand newest first, with what each weighs, costs, reached and met", () => {
  expect(view().generations).toMatchObject([
    { number: 2, mass: null, cost: null, counted: null, met: 2 },
    { number: 1, mass: "1.25", cost: "12.50", counted: { value: 6.1 }, met: 1 },
  ]);
});

test("verdicts are of the newest generation, and musts alone are counted", () => {
  const v = view();
  expect(v.verdicts.map((x) => `${x.code} ${x.verdict}`)).toEqual(["R-01 met", "R-02 met", "R-03 not met"]);
  expect([v.verified, v.musts]).toEqual([2, 2]);
  const none = teamView({ id: "Cedar", sectionId: null }, state, [], unitsOf("metric"));
  expect([none.verified, none.generations, none.newest]).toEqual([0, [], undefined]);
});

test("milestones of teams stand by the section's own day, with the day on which the team passed", () => {
  const v = view([
    aMilestone("Model", "2027-02-20", { dates: { section: "2027-02-05" } }),
    aMilestone("Sketch", "2027-02-03", { scope: "person" }),
    aMilestone("Drawing", "2027-02-10", {
      checks: [
        { teamId: "Birch", personId: null, doneOn: "2027-02-08", checkedBy: "M" },
        { teamId: "Alder", personId: null, doneOn: "2027-02-09", checkedBy: "M" },
      ],
    }),
  ]);
  expect(v.milestones.map((m) => [m.title, m.dueOn, m.doneOn])).toEqual([
    ["Model", "2027-02-05", null],
    ["Drawing", "2027-02-10", "2027-02-09"],
  ]);
});

test("a notebook is held against the classes that the student attended, the running one not yet", () => {
  const days = sessionsOn("2027-02-01", "2027-02-02", "2027-02-04", "2027-02-04", "2027-02-08", "2027-02-09");
  const of = (entries: string[], missed: string[] = [], today = "2027-02-09") =>
    notebookView(days, entries, missed, today);
  expect(of([])).toEqual({ attended: 4, written: 0, longest: 4 });
  expect(of(["2027-02-02", "2027-02-03"])).toEqual({ attended: 4, written: 1, longest: 2 });
  expect(of(["2027-02-02"], ["2027-02-04"])).toEqual({ attended: 3, written: 1, longest: 1 });
  expect(of(["2027-02-09"], [], "2027-02-10")).toEqual({ attended: 5, written: 1, longest: 4 });
  expect(notebookView([], ["2027-02-01"], [], "2027-02-09")).toEqual({ attended: 0, written: 0, longest: 0 });
});
