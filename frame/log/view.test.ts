import { definition } from "@/stages/testing/definition";
import { aBuild, aMilestone, aProtocol, aRequirement, aReview, aState, aTeam, sessionsOn } from "@/stages/testing/rows";
import { inWeek, type LogFrame, logView } from "./view";

const project: LogFrame = {
  kind: "contest",
  startsOn: "2027-01-18",
  endsOn: "2027-02-14",
  eventOn: "2027-02-10",
  finishedAt: null,
  today: "2027-01-28",
  units: { mass: "kg", side: "mm" },
  sessions: sessionsOn("2027-01-18", "2027-01-25", "2027-02-01", "2027-02-08", "2027-02-12"),
};
const teams = [aTeam("Alder"), aTeam("Birch")];
const builds = [aBuild("Alder", 1, { builtOn: "2027-01-20", mass: "6.42" })];
const day = (date: string, best: number | null) => ({ date, n: 2, best });
const facts = {
  ...aState(
    { teams, builds, protocols: [aProtocol(definition)], requirements: [aRequirement("R-01")] },
    {
      "R-01 Alder G1": "met",
    },
  ),
  summary: () => ({ days: [day("2027-01-20", 4), day("2027-01-26", 8)], best: 8, bestRun: "run 8" }) as never,
};
const view = (
  more: Partial<LogFrame> = {},
  benchmark: number | null = null,
  reviews = [] as never[],
  marks = [] as never[],
) => logView({ ...project, ...more }, facts, reviews, marks, benchmark);

test("a week is the seven days from its Monday", () => {
  expect(["2027-01-17", "2027-01-18", "2027-01-24", "2027-01-25"].map((d) => inWeek(d, "2027-01-18"))).toEqual([
    false,
    true,
    true,
    false,
  ]);
});

test("weeks are over, running or ahead; of a finished project none is running", () => {
  expect(view().weeks.map((w) => [w.number, w.now, w.ahead])).toEqual([
    [1, false, false],
    [2, true, false],
    [3, false, true],
    [4, false, true],
  ]);
  expect(view({ finishedAt: "2027-02-15" }).weeks.some((w) => w.now)).toBe(false);
});

test("a layer is as dark as the best so far against the best of all, or last year's where that is higher", () => {
  const shades = (v: ReturnType<typeof view>) => v.weeks.slice(0, 3).map((w) => w.cells[0]!.shade);
  expect(shades(view())).toEqual([0.18 + 0.82 * 0.5, 1, 1]);
  expect(shades(view({}, 16))).toEqual([0.18 + 0.82 * 0.25, 0.18 + 0.82 * 0.5, 0.18 + 0.82 * 0.5]);
  expect(view().weeks[0]!.cells[1]!.shade).toBe(0.06);
  // Where less is better, the least is the best and the darkest.
  const less = { ...facts, protocols: [aProtocol({ ...definition, better: "less" })] };
  const v = (benchmark: number | null) => logView(project, less as typeof facts, [], [], benchmark);
  expect(shades(v(null))).toEqual([1, 1, 1]);
  expect(shades(v(2))).toEqual([0.18 + 0.82 * 0.5, 0.18 + 0.82 * 0.5, 0.18 + 0.82 * 0.5]);
});

test("a mass stands in the week in which it was built", () => {
  expect(view().weeks.map((w) => w.cells.map((c) => c.mass))).toEqual([
    ["6.42 kg", null],
    [null, null],
    [null, null],
    [null, null],
  ]);
});

test("what comes stands over its week; what is over does not; one line for all teams of a review", () => {
  const reviews = [
    aReview("Alder", { heldOn: "2027-01-20" }),
    aReview("Alder", { title: "Second", heldOn: "2027-02-02" }),
    aReview("Birch", { title: "Second", heldOn: "2027-02-02" }),
  ] as never[];
  const marks = [aMilestone("Drawing", "2027-02-03"), aMilestone("Model", "2027-01-28")] as never[];
  expect(view({}, null, reviews, marks).weeks.map((w) => w.bands.map((b) => `${b.text} ${b.on} ${b.event}`))).toEqual([
    [],
    [],
    ["Second 2027-02-02 false", "Drawing 2027-02-03 false"],
    ["Contest 2027-02-10 true"],
  ]);
  expect(view({ kind: "client" }).weeks[3]!.bands[0]!.text).toBe("Handover");
});

test("sessions left are those after today up to the event, or to the end where there is none", () => {
  const left = (more = {}) => view(more).left.map((s) => s.number);
  expect([left(), left({ eventOn: null }), left({ today: "2027-02-08" })]).toEqual([[3, 4], [3, 4, 5], []]);
});

test("musts verified are summed over the teams", () => {
  const v = view();
  expect([v.verified, v.musts, v.covered.map((c) => c.verified)]).toEqual([1, 2, [1, 0]]);
});

test("the best of all names the run that reached it", () => {
  expect(view().best).toEqual({ value: 8, run: "run 8", build: "Alder G1" });
});
