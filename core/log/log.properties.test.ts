import { staysAside, type TeamRecord, teamFlags } from "./flags";

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
  test("a flag stays aside until it is about something else, or there is more of it", () => {
    const flags = (t: Partial<TeamRecord>) => teamFlags([team(t), team({ id: "b" })], 20, "more");
    const left = (before: Partial<TeamRecord>, after: Partial<TeamRecord>) => {
      const aside = flags(before);
      expect(flags(before).filter((f) => !staysAside(f, aside))).toEqual([]);
      return flags(after)
        .filter((f) => !staysAside(f, aside))
        .map((f) => f.kind);
    };
    expect(left({ staleMusts: 2 }, { staleMusts: 1 })).toEqual([]);
    expect(left({ staleMusts: 2 }, { staleMusts: 3 })).toEqual(["stale"]);
    expect(left({ overdueActions: 1, passedOver: 1 }, { overdueActions: 2, passedOver: 2 })).toEqual([
      "action",
      "failure",
    ]);
    expect(left({ overdueMilestones: ["Drawing"] }, { overdueMilestones: ["Drawing", "Model"] })).toEqual([
      "milestone",
    ]);
    expect(left({ results: [5, 5, 5, 5] }, { results: [5, 5, 5, 5, 5] })).toEqual(["flat"]);
    expect(left({ sinceBuild: 9, results: [1] }, { sinceBuild: 12, results: [1] })).toEqual([]);
    expect(left({ sinceBuild: 9, results: [1] }, { sinceBuild: 9, results: [1, 2] })).toEqual(["idle"]);
    expect(left({ decided: ["a"], trends: ["x"], overLimits: ["y"] }, { decided: ["b"], trends: ["x"] })).toEqual([
      "decided",
    ]);
    expect(staysAside(flags({ staleMusts: 1 })[0]!, [{ team: "b", kind: "stale", about: "", size: 1 }])).toBe(false);
  });
});
