import { type TeamRecord, teamFlags } from "./flags";

describe("flags", () => {
  const team = (more: Partial<TeamRecord>): TeamRecord => ({
    id: "a",
    name: "A",
    sinceBuild: 2,
    mustsUntested: 0,
    results: [],
    overdueActions: 0,
    staleMusts: 0,
    overLimits: [],
    overdueMilestones: [],
    ...more,
  });
  const reasons = (t: TeamRecord, left = 20) =>
    teamFlags([t, team({ id: "b" }), team({ id: "c" })], left, "more")
      .filter((f) => f.team === "a")
      .map((f) => f.reason);
  test.each([
    [{}, []],
    [{ sinceBuild: null }, ["no build yet, others have built"]],
    [{ results: [5, 6, 6, 5, 4] }, ["the best result has not improved for three builds"]],
    [{ results: [5, 6, 7, 6] }, []],
    [{ staleMusts: 1 }, ["1 must rests on stale evidence"]],
    [{ overLimits: ["mass is 0.3 kg over its limit"] }, ["mass is 0.3 kg over its limit"]],
    [{ overdueMilestones: ["Drawing"] }, ["Drawing is overdue"]],
  ])("%j gives %j", (more, wanted) => expect(reasons(team(more as Partial<TeamRecord>))).toEqual(wanted));
  test("an untested must matters as the event comes near", () =>
    expect([reasons(team({ mustsUntested: 1 }), 10), reasons(team({ mustsUntested: 1 }), 4)]).toEqual([
      [],
      ["1 must untested with 4 sessions left"],
    ]));
});
