// The solver against a mixed-integer program that proves its optimum, and what must hold for every problem.
import fc from "fast-check";
import { broken } from "@/core/testing/linear-program";
import { teamProblem } from "@/core/testing/team-problems";
import { type Assignment, costOf } from "./cost";
import { findArrangement, smallestClash } from "./feasible";
import { compileTeams, hardConstraints, type TeamProblem, usualWeights } from "./problem";
import { reportTeams } from "./report";
import { solveAtOnce, solveTeams } from "./solver";

test("a class of 150 in 40 teams with 600 wishes keeps every constraint, and gets better than chance by far", () => {
  const p = teamProblem({ seed: "large", people: 150, teams: 40, wishes: 600, sections: 2, hard: 30 });
  const chance = findArrangement(compileTeams(p), "any").found!;
  const random: Assignment = Object.fromEntries(
    p.people.map((x, i) => [x.id, `t${chance[compileTeams(p).blockOf[i]!]}`]),
  );
  const s = solveAtOnce(p, { seed: "1", moves: 200_000, starts: 1 });
  expect(s.ok && broken(p, s.assignment)).toEqual([]);
  expect(s.ok && s.cost.all).toBeLessThan(costOf(p, random).all * 0.75);
});

test("the same seed gives the same teams; progress rises to one and never gets worse", () => {
  const p = teamProblem({ seed: "same", people: 24, teams: 6, wishes: 30 });
  const seen = [...solveTeams(p, { seed: "9", moves: 80_000, starts: 2 })];
  expect(solveAtOnce(p, { seed: "9", moves: 80_000, starts: 2 })).toEqual(
    solveAtOnce(p, { seed: "9", moves: 80_000, starts: 2 }),
  );
  expect(seen.at(-1)!.share).toBe(1);
  for (const [i, s] of seen.entries()) {
    if (i) expect(s.cost).toBeLessThanOrEqual(seen[i - 1]!.cost);
    expect(broken(p, s.best)).toEqual([]);
  }
});

test("hard constraints hold for every problem that has an answer", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 1e6 }),
      fc.integer({ min: 4, max: 26 }),
      fc.integer({ min: 2, max: 6 }),
      fc.integer({ min: 0, max: 12 }),
      (seed, people, teams, hard) => {
        const p = teamProblem({ seed: String(seed), people: Math.max(people, teams), teams, wishes: people, hard });
        const s = solveAtOnce(p, { seed: "1", moves: 3000, starts: 1 });
        expect(s.ok && broken(p, s.assignment)).toEqual([]);
        expect(s.ok && Object.keys(s.assignment).length).toBe(p.people.length);
      },
    ),
    { numRuns: 60 },
  );
});

describe("what cannot be", () => {
  const people = ["Ada", "Ben", "Cai", "Dee"].map((name) => ({
    id: name,
    name,
    section: null,
    skills: [],
    groups: [],
    ideas: [],
    wishes: [],
    last: [],
  }));
  const teams = ["s", "t"].map((id) => ({ id, name: id.toUpperCase(), min: 2, max: 2, section: null, idea: null }));
  const base: TeamProblem = {
    people,
    teams,
    skills: [],
    apart: [],
    together: [],
    locks: [],
    forbidden: [],
    weights: usualWeights,
  };
  const says = (p: Partial<TeamProblem>) => {
    const s = solveAtOnce({ ...base, ...p }, { seed: "1", moves: 100 });
    return s.ok ? "ok" : s.clash.map((c) => c.text);
  };
  test("is said with the smallest clash", () => {
    expect(says({ apart: [["Ada", "Ben", "Cai"]] })).toEqual(["Ada and Ben and Cai are kept apart"]);
    expect(
      says({
        together: [
          ["Ada", "Ben", "Cai"],
          ["Ada", "Dee"],
        ],
      }),
    ).toEqual(["no team has more than 2", "Ada and Ben and Cai are kept together"]);
    expect(
      says({
        locks: [
          { person: "Ada", team: "s" },
          { person: "Ben", team: "s" },
          { person: "Cai", team: "s" },
        ],
      }),
    ).toEqual([
      "no team has more than 2",
      "Ada has a locked seat in S",
      "Ben has a locked seat in S",
      "Cai has a locked seat in S",
    ]);
    expect(
      says({
        locks: [{ person: "Ada", team: "s" }],
        forbidden: [{ person: "Ada", team: "s" }],
        apart: [["Ben", "Cai"]],
      }),
    ).toEqual(["Ada has a locked seat in S", "Ada is not in S"]);
    expect(says({ teams: teams.map((t) => ({ ...t, min: 3, max: 4 })) })).toEqual(["every team has at least 3"]);
  });
  test("every proper part of a clash can hold", () => {
    for (const p of [
      { ...base, apart: [["Ada", "Ben", "Cai"]] },
      { ...base, together: [["Ada", "Ben", "Cai"]] },
      {
        ...base,
        locks: [
          { person: "Ada", team: "s" },
          { person: "Ben", team: "t" },
        ],
        together: [["Ada", "Ben"]],
      },
    ]) {
      const clash = smallestClash(p);
      expect(clash.length).toBeGreaterThan(0);
      expect(findArrangement(compileTeams(p, clash), "1").found).toBeNull();
      for (const c of clash)
        expect(
          findArrangement(
            compileTeams(
              p,
              clash.filter((x) => x !== c),
            ),
            "1",
          ).found,
        ).not.toBeNull();
    }
    expect(hardConstraints(base).map((c) => c.kind)).toEqual(["min", "max"]);
  });
});

test("a student is told why not more was possible", () => {
  const person = (id: string, more: object = {}) => ({
    id,
    name: id,
    section: null,
    skills: [],
    groups: [],
    ideas: [],
    wishes: [],
    last: [],
    ...more,
  });
  const p: TeamProblem = {
    people: [
      person("Ada", { ideas: ["x", "y"], wishes: ["Ben"] }),
      person("Ben", { ideas: ["x"] }),
      person("Cai", { ideas: ["x"] }),
      person("Dee", { ideas: ["y"] }),
    ],
    teams: ["x", "y"].map((id) => ({ id, name: id.toUpperCase(), min: 2, max: 2, section: null, idea: id })),
    skills: [],
    apart: [["Ada", "Cai"]],
    together: [],
    locks: [{ person: "Ben", team: "x" }],
    forbidden: [],
    weights: usualWeights,
  };
  const s = solveAtOnce(p, { seed: "1", moves: 2000 });
  expect(s.ok).toBe(true);
  const r = reportTeams(p, { Ada: "y", Ben: "x", Cai: "x", Dee: "y" });
  expect(r.students[0]!.notes).toEqual([
    "second choice",
    "is kept apart from Cai of X",
    "not with Ben: is kept apart from Cai of X",
  ]);
  expect(r.soft.find((x) => x.kind === "idea")!.text).toBe("3 of 4 got their first idea, 1 their second");
});
