// The solver against a mixed-integer program that proves its optimum, and what must hold for every problem.
import fc from "fast-check";
import { teamProblem } from "@/core/testing/team-problems";
import { type Assignment, costOf } from "./cost";
import { findArrangement, smallestClash } from "./feasible";
import { compileTeams, hardConstraints, type TeamProblem, usualWeights } from "./problem";
import { reportTeams } from "./report";
import { solveAtOnce, solveTeams } from "./solver";

const broken = (p: TeamProblem, a: Assignment) =>
  reportTeams(p, a)
    .constraints.filter((c) => !c.held)
    .map((c) => c.text);

/** The same problem as a linear program in whole numbers. */
function program(p: TeamProblem): string {
  const [obj, rows, general]: [string[], string[], Set<string>] = [[], [], new Set()];
  const x = (i: number, t: number) => {
    const v = `x_${i}_${t}`;
    general.add(v);
    return v;
  };
  const term = (c: number, v: string) => {
    if (c) obj.push(`${c < 0 ? "-" : "+"} ${Math.abs(c)} ${v}`);
  };
  const at = new Map(p.people.map((q, i) => [q.id, i]));
  const w = p.weights;
  const T = p.teams.length;
  const sum = (l: string[]) => l.join(" + ");
  p.people.forEach((q, i) => {
    rows.push(`${sum(p.teams.map((_, t) => x(i, t)))} = 1`);
    p.teams.forEach((t, k) => {
      const place =
        q.ideas.length && t.idea !== null
          ? Math.min(4, q.ideas.includes(t.idea) ? q.ideas.indexOf(t.idea) : q.ideas.length)
          : 0;
      term(w.idea * place, x(i, k));
      if (t.section !== null && t.section !== q.section) rows.push(`${x(i, k)} = 0`);
    });
  });
  p.teams.forEach((t, k) => {
    const all = sum(p.people.map((_, i) => x(i, k)));
    rows.push(`${all} >= ${t.min}`, `${all} <= ${t.max}`);
  });
  for (const g of p.apart)
    for (let a = 0; a < g.length; a++)
      for (let b = a + 1; b < g.length; b++)
        p.teams.forEach((_, k) => rows.push(`${x(at.get(g[a]!)!, k)} + ${x(at.get(g[b]!)!, k)} <= 1`));
  for (const g of p.together)
    for (const o of g.slice(1))
      p.teams.forEach((_, k) => rows.push(`${x(at.get(g[0]!)!, k)} - ${x(at.get(o)!, k)} = 0`));
  for (const l of p.locks)
    rows.push(
      `${x(
        at.get(l.person)!,
        p.teams.findIndex((t) => t.id === l.team),
      )} = 1`,
    );
  for (const l of p.forbidden)
    rows.push(
      `${x(
        at.get(l.person)!,
        p.teams.findIndex((t) => t.id === l.team),
      )} = 0`,
    );
  let constant = 0;
  const bounded: string[] = [];
  // A wish met earns its weight back; a pair together is at most either one's seat.
  p.people.forEach((q, i) => {
    for (const o of new Set(q.wishes)) {
      const j = at.get(o)!;
      constant += w.wish;
      for (let k = 0; k < T; k++) {
        const y = `y_${i}_${j}_${k}`;
        bounded.push(`0 <= ${y} <= 1`);
        term(-w.wish, y);
        rows.push(`${y} - ${x(i, k)} <= 0`, `${y} - ${x(j, k)} <= 0`);
      }
    }
  });
  const pairs = new Set(
    p.people.flatMap((q, i) =>
      q.last.flatMap((o) => {
        const j = at.get(o)!;
        return i === j ? [] : [`${Math.min(i, j)}_${Math.max(i, j)}`];
      }),
    ),
  );
  for (const pair of pairs) {
    const [i, j] = pair.split("_").map(Number) as [number, number];
    for (let k = 0; k < T; k++) {
      const r = `r_${pair}_${k}`;
      bounded.push(`0 <= ${r} <= 1`);
      term(w.repeat, r);
      rows.push(`${x(i, k)} + ${x(j, k)} - ${r} <= 1`);
    }
  }
  const mean = (s: string | null) => {
    const m = p.people.filter((q) => q.section === s);
    return m.reduce((t, q) => t + q.skills[0]!, 0) / m.length;
  };
  p.teams.forEach((_, k) => {
    const off = p.people
      .map((q, i) => {
        const c = q.skills[0]! - mean(q.section);
        return `${c < 0 ? "-" : "+"} ${Math.abs(c).toFixed(9)} ${x(i, k)}`;
      })
      .join(" ");
    const minus = p.people
      .map((q, i) => {
        const c = mean(q.section) - q.skills[0]!;
        return `${c < 0 ? "-" : "+"} ${Math.abs(c).toFixed(9)} ${x(i, k)}`;
      })
      .join(" ");
    term(w.skill, `d_${k}`);
    rows.push(`${off} - d_${k} <= 0`, `${minus} - d_${k} <= 0`);
    // Exactly one of the marked group: count = 0·none + 1·lone + (at least 2)·more.
    const marked = p.people.flatMap((q, i) => (q.groups.includes("marked") ? [x(i, k)] : []));
    if (marked.length) {
      for (const v of [`none_${k}`, `lone_${k}`, `more_${k}`]) general.add(v);
      term(w.lone, `lone_${k}`);
      rows.push(
        `none_${k} + lone_${k} + more_${k} = 1`,
        `${sum(marked)} - lone_${k} - 2 more_${k} >= 0`,
        `${sum(marked)} - lone_${k} - ${marked.length} more_${k} <= 0`,
      );
    }
  });
  return (
    `Minimize\n obj: ${obj.join(" ")} + ${constant} one\nSubject To\n` +
    `${rows.map((r, i) => ` c${i}: ${r}`).join("\n")}\nBounds\n one = 1\n` +
    `${bounded.map((b) => ` ${b}`).join("\n")}\nBinary\n ${[...general].join(" ")}\nEnd\n`
  );
}

describe("against the proven optimum of a mixed-integer program", () => {
  const sizes = [
    [8, 3, 8],
    [9, 3, 12],
    [10, 3, 10],
    [12, 4, 12],
    [12, 3, 18],
    [14, 4, 14],
    [15, 5, 12],
    [16, 4, 16],
    [18, 5, 14],
    [18, 6, 18],
    [20, 5, 16],
    [20, 6, 20],
    [21, 7, 16],
    [22, 6, 16],
    [24, 8, 18],
    [24, 6, 14],
    [26, 8, 16],
    [28, 8, 14],
    [30, 8, 14],
    [30, 10, 16],
    [10, 4, 20],
    [16, 5, 24],
  ] as const;
  let highs: { solve(lp: string, options?: object): { Status: string; ObjectiveValue: number } };
  beforeAll(async () => {
    highs = await require("highs")();
  });
  test.each(sizes.map((s, i) => [i, ...s] as const))(
    "instance %i: %i people, %i teams, %i wishes",
    (i, people, teams, wishes) => {
      const p = teamProblem({
        seed: `proven ${i}`,
        people,
        teams,
        wishes,
        sections: i % 5 === 4 && teams % 2 === 0 ? 2 : 1,
        hard: 3 + (i % 4),
      });
      const proof = highs.solve(program(p), { mip_rel_gap: 0.0005 });
      expect(proof.Status).toBe("Optimal");
      const s = solveAtOnce(p, { seed: "1" });
      expect(s.ok).toBe(true);
      if (!s.ok) return;
      expect(broken(p, s.assignment)).toEqual([]);
      expect(s.cost.all).toBeGreaterThanOrEqual(proof.ObjectiveValue * 0.9994 - 1e-6);
      expect(s.cost.all).toBeLessThanOrEqual(proof.ObjectiveValue * 1.01 + 1e-6);
    },
    120_000,
  );
});

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
