import { aReview } from "@/stages/testing/rows";
import { reviewsView, reviewView } from "./reviews";

const sheet = (points: string, raterName = "Ruta") => ({
  raterName,
  marks: [{ criterion: "fit", points, comment: "" }],
});
const action = (id: string, dueOn: string, closedAt: string | null = null) => ({ id, what: id, dueOn, closedAt });
const of = (team: string, more: object) => aReview(team, more as Parameters<typeof aReview>[1]);
const reviews = [
  of("Alder", {
    sheets: [sheet("4"), sheet("2", "Odile")],
    verdict: "go on",
    actions: [action("glue", "2027-02-12"), action("tape", "2027-02-11", "2027-02-10T10:00:00Z")],
  }),
  of("Birch", { sheets: [sheet("1")], actions: [action("sand", "2027-02-08")] }),
  of("Alder", { id: "second", title: "Second review", heldOn: "2027-03-01" }),
];
const staff = { staff: true, team: null };
const view = (reader = staff as Parameters<typeof reviewsView>[2], today = "2027-02-11") =>
  reviewsView(reviews, today, reader);

test("the newest title stands first, with its day and rubric", () => {
  expect(view().groups.map((g) => [g.title, g.heldOn, g.rubric, g.lines.length])).toEqual([
    ["Second review", "2027-03-01", "Design", 1],
    ["First review", "2027-02-10", "Design", 2],
  ]);
});

test("a score is the mean of the sheets in percent; none without a sheet", () => {
  expect(view().groups[1]!.lines.map((l) => l.score?.percent)).toEqual([75, 25]);
  expect(view().groups[0]!.lines[0]!.score).toBeNull();
});

test("a student sees the score of the own team alone", () => {
  const [, first] = view({ staff: false, team: "Birch" }).groups;
  expect(first!.lines.map((l) => l.score?.percent ?? null)).toEqual([null, 25]);
});

test("a review is decided, to come or open", () => {
  expect(view().groups.flatMap((g) => g.lines.map((l) => l.state))).toEqual(["to come", "decided", "open"]);
  expect(view(staff as never, "2027-03-01").groups[0]!.lines[0]!.state).toBe("open");
  expect(view().decided).toBe(1);
});

test("actions are counted as closed and overdue; one that is due today is not overdue", () => {
  const [alder, birch] = view().groups[1]!.lines;
  expect([alder!.closed, alder!.overdue, birch!.closed, birch!.overdue]).toEqual([1, 0, 0, 1]);
  expect(view(staff as never, "2027-02-12").groups[1]!.lines[0]!.overdue).toBe(0);
  expect(view(staff as never, "2027-02-13").groups[1]!.lines[0]!.overdue).toBe(1);
});

test("open actions stand by their day, closed ones do not", () => {
  expect(view().open.map((o) => [o.action.what, o.review.team])).toEqual([
    ["sand", "Birch"],
    ["glue", "Alder"],
  ]);
});

describe("one review", () => {
  const ruta = { id: "1", raterPerson: null, comment: "Well done.", ...sheet("4") };
  const mara = { id: "2", raterPerson: "mara", comment: "", raterName: "Mara", marks: [] };
  const one = of("Alder", { sheets: [ruta, mara] });
  const read = (staff: boolean, person = "mara") => reviewView(one, { staff, person });

  test("criteria have every sheet's points, and the comments that there are", () => {
    const commented = { ...ruta, marks: [{ criterion: "fit", points: "2", comment: "loose" }] };
    const [fit] = reviewView(of("Alder", { sheets: [commented, mara] }), { staff: true, person: "" }).criteria;
    expect(fit).toMatchObject({ name: "Fit", points: ["2", null], comments: ["loose"] });
  });

  test("an incomplete sheet has no score, and the review's is that of the others", () => {
    expect(read(true).sheets.map((s) => s.score.value)).toEqual(["1", null]);
    expect(read(true).score.value).toBe("1");
    expect(read(true).score.working.warnings.join()).toContain("Mara's sheet is not complete");
  });

  test("instructors read who rated; a student reads numbers, in the workings too", () => {
    expect(read(true).sheets.map((s) => s.rater)).toEqual(["Ruta", "Mara"]);
    expect(read(false).sheets.map((s) => s.rater)).toEqual(["Reviewer 1", "Reviewer 2"]);
    expect(JSON.stringify(read(false))).not.toMatch(/Ruta|Mara's/);
    const line = reviewsView([one], "2027-02-11", { staff: false, team: "Alder" }).groups[0]!.lines[0]!;
    expect(JSON.stringify(line.score)).not.toMatch(/Ruta|Mara/);
  });

  test("the own sheet is found by its person", () => {
    expect([read(true).mine?.id, read(true, "tomas").mine]).toEqual(["2", null]);
  });
});
