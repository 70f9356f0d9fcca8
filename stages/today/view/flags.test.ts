import { definition } from "@/stages/testing/definition";
import { aBuild, aMilestone, aProtocol, aRequirement, aState, aTeam, sessionsOn } from "@/stages/testing/rows";
import { flagsIn } from "./flags";

const days = ["2027-02-01", "2027-02-04", "2027-02-08", "2027-02-11", "2027-02-15", "2027-02-18", "2027-02-22"];
const calendars = new Map([["section", sessionsOn(...days)]]);
const around = {
  today: "2027-02-18",
  end: "2027-02-22",
  calendars,
  overdue: [] as string[],
  passedOver: [] as string[],
  decided: [] as { team: string; what: string }[],
  milestones: [] as ReturnType<typeof aMilestone>[],
};
const teams = [aTeam("Alder"), aTeam("Birch"), aTeam("Cedar")];
const builds = [
  aBuild("Alder", 1, { builtOn: "2027-02-01" }),
  aBuild("Birch", 1, { builtOn: "2027-02-15" }),
  aBuild("Cedar", 1, { builtOn: "2027-02-15" }),
];
const reasons = (state = aState({ teams, builds }), more: Partial<typeof around> = {}) =>
  flagsIn(state, { ...around, ...more }).map((f) => `${f.team}: ${f.reason}`);

test("sessions since the last build are counted in the team's own calendar", () => {
  expect(reasons()).toEqual(["Alder: 5 sessions since the last build, the class median is 1"]);
  const slow = new Map([...calendars, ["four", sessionsOn("2027-02-18")]]);
  const own = aState({ teams: [aTeam("Alder", { sectionId: "four" as never }), ...teams.slice(1)], builds });
  expect(reasons(own, { calendars: slow })).toEqual([]);
});

test("a team without a build is named when others have built", () => {
  expect(reasons(aState({ teams, builds: builds.slice(1) }))).toEqual(["Alder: no build yet, others have built"]);
});

test("untested musts count when few sessions are left", () => {
  const state = aState({ teams: [aTeam("Birch")], builds, requirements: [aRequirement("R-01")] });
  expect(reasons(state)).toEqual(["Birch: 1 must untested with 1 sessions left"]);
  expect(reasons(state, { today: "2027-02-01", end: "2027-02-22" })).toEqual([]);
});

test("stale musts count; what is no must does not", () => {
  const requirements = [aRequirement("R-01"), aRequirement("R-02", { priority: "could" })];
  const verdicts = { "R-01 Birch G1": "stale", "R-02 Birch G1": "stale" } as const;
  expect(reasons(aState({ teams: [aTeam("Birch")], builds, requirements }, verdicts))).toEqual([
    "Birch: 1 must rests on stale evidence",
  ]);
});

test("three builds that do not better the best are named, in the direction of the protocol", () => {
  const four = [1, 2, 3, 4].map((n) => aBuild("Birch", n, { builtOn: "2027-02-15" }));
  const stuck = (counts: number[], better: "more" | "less" = "more") =>
    reasons(
      aState(
        { teams: [aTeam("Birch")], builds: four, protocols: [aProtocol({ ...definition, better })] },
        {},
        Object.fromEntries(counts.map((c, i) => [`Birch G${i + 1}`, c])),
      ),
    );
  const said = ["Birch: the best result has not improved for three builds"];
  expect([stuck([7, 6, 6, 7]), stuck([7, 6, 6, 8])]).toEqual([said, []]);
  expect([stuck([5, 6, 6, 5], "less"), stuck([5, 6, 6, 4], "less")]).toEqual([said, []]);
});

test("overdue actions and milestones, by team; a milestone that is checked or of single students is not", () => {
  const state = aState({ teams: teams.slice(1), builds });
  const check = { teamId: "Cedar", personId: null, doneOn: "2027-02-01", checkedBy: "Mara" };
  const milestones = [
    aMilestone("Drawing", "2027-02-10", { checks: [check] }),
    aMilestone("Training", "2027-02-10", { scope: "person" }),
    aMilestone("Model", "2027-02-18"),
  ];
  expect(reasons(state, { overdue: ["Birch", "Birch"], milestones })).toEqual([
    "Birch: 2 actions overdue",
    "Birch: Drawing is overdue",
  ]);
});

test("a broken limit says by how much, in the limit's unit", () => {
  const requirements = [
    aRequirement("R-01", { priority: "should", measure: "mass", comparator: "≤", target: "6", unit: "kg" }),
    aRequirement("R-02", { priority: "should", measure: "cost", comparator: "≤", target: "80", unit: "1" }),
  ];
  const heavy = [aBuild("Birch", 1, { mass: "6.42", cost: "80", builtOn: "2027-02-15" })];
  expect(reasons(aState({ teams: [aTeam("Birch")], builds: heavy, requirements }))).toEqual([
    "Birch: mass is 0.42 kg over its limit (R-01)",
  ]);
});

test("a mass that another step like the last brings over its limit is said while it is inside", () => {
  const limit = aRequirement("R-01", {
    measure: "mass",
    comparator: "≤",
    target: "5",
    unit: "kg",
    priority: "should",
  });
  const going = (stage: "mock-up" | "prototype", ...masses: string[]) =>
    reasons(
      aState({
        teams: [aTeam("Birch")],
        requirements: [limit],
        builds: masses.map((mass, i) =>
          aBuild("Birch", i + 1, { mass, builtOn: days[2 + i]!, stage: i === 0 ? stage : "prototype" }),
        ),
      }),
    );
  expect(going("prototype", "4.2", "4.7")).toEqual([
    "Birch: another step like the last brings mass to 5.2 kg, the limit is 5 kg (R-01)",
  ]);
  // A mock-up is of other material, and what shrinks or stands still is going nowhere.
  expect([going("mock-up", "1.2", "4.7"), going("prototype", "4.7", "4.2"), going("prototype", "4.7")]).toEqual([
    [],
    [],
    [],
  ]);
});

test("failures that a later build did not answer are counted by team", () => {
  expect(reasons(aState({ teams: teams.slice(1), builds }), { passedOver: ["Birch", "Birch", "Cedar"] })).toEqual([
    "Birch: 2 failures not answered by the build that followed",
    "Cedar: 1 failure not answered by the build that followed",
  ]);
});

test("what a review decided and a later build does not carry is said in the words that decided it", () => {
  const decided = [
    { team: "Birch", what: "Lighter lever" },
    { team: "Elsewhere", what: "Another team's" },
  ];
  expect(reasons(aState({ teams: teams.slice(1), builds }), { decided })).toEqual([
    "Birch: decided in a review and not carried to the next build: “Lighter lever”",
  ]);
});
