// How reviewers compare: severity, agreement, what is odd, and what cannot be compared.
import { aReview } from "@/stages/testing/rows";
import { reviewersView } from "./reviewers";

const sheet = (raterName: string, points: string) =>
  ({ raterName, marks: points === "" ? [] : [{ criterion: "fit", points, comment: "" }] }) as never;
const review = (team: string, ...sheets: [string, string][]) =>
  aReview(team, { sheets: sheets.map(([r, p]) => sheet(r, p)) } as never);

test("a severe reviewer is told, and teams stand as the average reviewer would have marked them", () => {
  const view = reviewersView([
    review("Alder", ["Mara", "4"], ["Odile", "2"]),
    review("Birch", ["Mara", "3"], ["Odile", "1"]),
    // Only the severe one saw Cedar.
    review("Cedar", ["Odile", "2"]),
  ])!;
  expect(view.raters.map((r) => [r.name, r.sheets, Math.round(r.severity!)])).toEqual([
    ["Mara", 2, 25],
    ["Odile", 3, -25],
  ]);
  expect(view.teams.map((t) => [t.team, t.raw, Math.round(t.adjusted!)])).toEqual([
    ["Alder", 75, 75],
    ["Birch", 50, 50],
    ["Cedar", 50, 75],
  ]);
  expect([view.words, view.says]).toEqual(["Agreement is computed once two reviewers have marked every team.", []]);
});

test("agreement is of those who marked every team; a sheet that is not complete is left out", () => {
  const view = reviewersView([
    review("Alder", ["Mara", "4"], ["Odile", "3"], ["Sam", ""]),
    review("Birch", ["Mara", "2"], ["Odile", "1"], ["Sam", "2"]),
  ])!;
  expect(view.words).toBe(
    "Of the 2 reviewers who marked every team, W = 1.00: they agree well on the order (1 is full agreement, 0 none).",
  );
  expect(view.raters.map((r) => r.sheets)).toEqual([2, 2, 1]);
});

test("teams that no reviewer connects cannot be compared; of one reviewer there is nothing to compare", () => {
  const apart = reviewersView([review("Alder", ["Mara", "4"]), review("Birch", ["Odile", "1"])])!;
  expect(apart.says).toEqual(["No reviewer connects Alder with Birch: their adjusted marks cannot be compared."]);
  expect(reviewersView([review("Alder", ["Mara", "4"]), review("Birch", ["Mara", "1"])])).toBeNull();
});
