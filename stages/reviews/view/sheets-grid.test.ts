// The class grid of sheets: what counts as a level while it is typed, and whose sheets stand in it.
import { aReview } from "@/stages/testing/rows";
import { isLevel, sheetsGrid, typedLevel } from "./sheets-grid";

const levels = ["0", "1", "2.5", "10"].map((points) => ({ points }));

test.each([
  ["", "empty"],
  ["0", "level"],
  ["1", "begun"],
  ["10", "level"],
  ["2", "begun"],
  ["2,5", "level"],
  ["3", "wrong"],
  ["x", "wrong"],
] as const)("“%s” is %s", (typed, is) => expect(typedLevel(typed, levels)).toBe(is));

test("what is left is a level where it is one, also where it could have gone on", () =>
  expect(["1", "2", "", "2,5"].map((t) => isLevel(t, levels))).toEqual([true, false, false, true]));

test("the reviewer's own sheets of the undecided teams, under one version of the rubric", () => {
  const own = {
    raterPerson: "mara",
    version: 2,
    comment: "calm",
    marks: [{ criterion: "fit", points: "4", comment: "neat" }],
  };
  const grid = sheetsGrid(
    [
      aReview("Alder", { rubricVersionId: "v1", sheets: [own, { raterPerson: "tomas", marks: [] }] } as never),
      aReview("Birch", { rubricVersionId: "v1" } as never),
      aReview("Cedar", { rubricVersionId: "v2" } as never),
      aReview("Dill", { rubricVersionId: "v1", verdict: "go on" } as never),
      aReview("Elm", { rubricVersionId: "v1", title: "Another" } as never),
    ],
    "First review",
    "mara",
  );
  expect(grid.rows.map((r) => [r.team, r.version, r.comment, r.marks.fit?.points])).toEqual([
    ["Alder", 2, "calm", "4"],
    ["Birch", 0, "", undefined],
  ]);
  expect([grid.apart, grid.criteria.map((c) => c.key)]).toEqual([["Cedar"], ["fit"]]);
  expect(sheetsGrid([], "First review", "mara")).toEqual({ criteria: [], rows: [], apart: [] });
});
