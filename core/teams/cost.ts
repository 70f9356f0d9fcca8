import type { SolverWeights, TeamProblem } from "./problem";

/** What an arrangement costs, in all and by kind; lower is better, 0 is everything that anybody wished. */
export type Cost = Readonly<Record<keyof SolverWeights | "all", number>>;

export type Assignment = Readonly<Record<string, string>>;

/** How far down the list of wishes an idea stands; 4 at the most, 0 where nobody named any. */
export const steps = (ideas: readonly string[], idea: string | null) =>
  idea === null || ideas.length === 0 ? 0 : Math.min(4, ideas.includes(idea) ? ideas.indexOf(idea) : ideas.length);

/**
 * Everything that the costs of a team are computed from, in arrays.
 * @example prepare({ people: [], teams: [], skills: [] }).n // => 0
 */
export function prepare(p: TeamProblem) {
  const at = new Map(p.people.map((x, i) => [x.id, i]));
  const n = p.people.length;
  const K = p.skills.length;
  const groups = [...new Set(p.people.flatMap((x) => x.groups))];
  const means = new Map<string | null, number[]>();
  for (const s of new Set(p.people.map((x) => x.section))) {
    const mine = p.people.filter((x) => x.section === s);
    means.set(
      s,
      p.skills.map((_, k) => mine.reduce((sum, x) => sum + (x.skills[k] ?? 0), 0) / mine.length),
    );
  }
  const off = new Float64Array(n * K);
  p.people.forEach((x, i) => {
    for (let k = 0; k < K; k++) off[i * K + k] = (x.skills[k] ?? 0) - means.get(x.section)![k]!;
  });
  const last = new Uint8Array(n * n);
  p.people.forEach((x, i) => {
    for (const o of x.last) {
      const j = at.get(o);
      if (j !== undefined && j !== i) {
        last[i * n + j] = 1;
        last[j * n + i] = 1;
      }
    }
  });
  return {
    n,
    K,
    off,
    last,
    groups: groups.length,
    member: p.people.map((x) => groups.flatMap((g, k) => (x.groups.includes(g) ? [k] : []))),
    wishes: p.people.map((x) =>
      Int32Array.from([...new Set(x.wishes)].flatMap((w) => (w === x.id ? [] : (at.get(w) ?? [])))),
    ),
    idea: p.people.map((x) => Float64Array.from(p.teams, (t) => steps(x.ideas, t.idea))),
  };
}

type Prepared = ReturnType<typeof prepare>;

/**
 * The cost of one team with these members under the weights; added up by kind in `into`.
 * @example
 * teamCost(
 *   prepare({
 *     people: [{ id: "a", section: null, skills: [], groups: [], ideas: ["y", "x"], wishes: [], last: [] }],
 *     teams: [{ id: "t", idea: "x" }],
 *     skills: [],
 *   }),
 *   [0],
 *   0,
 *   new Int32Array([0]),
 *   { idea: 3, wish: 1, skill: 1, lone: 1, repeat: 1 },
 * )
 * // => 3
 */
export function teamCost(
  d: Prepared,
  members: readonly number[],
  t: number,
  teamOf: Int32Array,
  w: SolverWeights,
  into?: Record<keyof SolverWeights, number>,
): number {
  let [idea, wish, skill, lone, repeat] = [0, 0, 0, 0, 0];
  for (let a = 0; a < members.length; a++) {
    const i = members[a]!;
    idea += d.idea[i]![t]!;
    const ws = d.wishes[i]!;
    for (let k = 0; k < ws.length; k++) if (teamOf[ws[k]!] !== t) wish++;
    for (let b = a + 1; b < members.length; b++) repeat += d.last[i * d.n + members[b]!]!;
  }
  for (let k = 0; k < d.K; k++) {
    let s = 0;
    for (const i of members) s += d.off[i * d.K + k]!;
    skill += Math.abs(s);
  }
  if (d.groups) {
    for (let g = 0; g < d.groups; g++) {
      let count = 0;
      for (const i of members) if (d.member[i]!.includes(g)) count++;
      if (count === 1) lone++;
    }
  }
  if (into) {
    into.idea += idea * w.idea;
    into.wish += wish * w.wish;
    into.skill += skill * w.skill;
    into.lone += lone * w.lone;
    into.repeat += repeat * w.repeat;
  }
  return idea * w.idea + wish * w.wish + skill * w.skill + lone * w.lone + repeat * w.repeat;
}

/**
 * What an arrangement costs under a problem's weights, by kind.
 * @example
 * costOf(
 *   {
 *     people: [
 *       { id: "a", name: "Ada", section: null, skills: [], groups: [], ideas: ["x", "y"], wishes: [], last: [] },
 *     ],
 *     teams: [{ id: "t", name: "T", min: 1, max: 1, section: null, idea: "y" }],
 *     skills: [],
 *     apart: [],
 *     together: [],
 *     locks: [],
 *     forbidden: [],
 *     weights: usualWeights,
 *   },
 *   { a: "t" },
 * ).all
 * // => 3
 */
export function costOf(p: TeamProblem, assignment: Assignment): Cost {
  const d = prepare(p);
  const teamOf = Int32Array.from(p.people, (x) => p.teams.findIndex((t) => t.id === assignment[x.id]));
  const parts = { idea: 0, wish: 0, skill: 0, lone: 0, repeat: 0 };
  const all = p.teams.reduce(
    (s, _, t) =>
      s +
      teamCost(
        d,
        p.people.flatMap((__, i) => (teamOf[i] === t ? [i] : [])),
        t,
        teamOf,
        p.weights,
        parts,
      ),
    0,
  );
  return { ...parts, all };
}
