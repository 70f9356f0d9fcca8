// What the team solver is asked: people, teams, what must hold and what is wished.

export interface SolverPerson {
  readonly id: string;
  readonly name: string;
  readonly section: string | null;
  /** One number a skill, in the order of the problem's skills. */
  readonly skills: readonly number[];
  /** Groups that the instructor marked. */
  readonly groups: readonly string[];
  /** Ideas in the order in which this person would like to work on them. */
  readonly ideas: readonly string[];
  /** People whom this person wishes in the team. */
  readonly wishes: readonly string[];
  /** Teammates of the last project. */
  readonly last: readonly string[];
}

export interface SolverTeam {
  readonly id: string;
  readonly name: string;
  readonly min: number;
  readonly max: number;
  /** Only people of this section; null takes everybody. */
  readonly section: string | null;
  readonly idea: string | null;
}

export interface SolverWeights {
  /**
   * For each step down a person's list of ideas; an idea outside the list counts one more step than its end, at most 4.
   */
  readonly idea: number;
  /** For each wish that is not met. */
  readonly wish: number;
  /** For each point by which a team's sum of a skill lies off its fair share. */
  readonly skill: number;
  /** For each team that holds exactly one member of a marked group. */
  readonly lone: number;
  /** For each pair of last project's teammates together again. */
  readonly repeat: number;
}

export const usualWeights: SolverWeights = { idea: 3, wish: 2, skill: 0.5, lone: 20, repeat: 1 };

export interface TeamProblem {
  readonly people: readonly SolverPerson[];
  readonly teams: readonly SolverTeam[];
  readonly skills: readonly string[];
  readonly apart: readonly (readonly string[])[];
  readonly together: readonly (readonly string[])[];
  readonly locks: readonly { person: string; team: string }[];
  readonly forbidden: readonly { person: string; team: string }[];
  readonly weights: SolverWeights;
}

/** One hard constraint with its words, as reports and clashes name it. */
export interface HardConstraint {
  readonly kind: "min" | "max" | "section" | "apart" | "together" | "lock" | "forbidden";
  readonly index: number;
  readonly text: string;
}

/**
 * The hard constraints of a problem, each in words.
 * @example
 * hardConstraints({
 *   people: [
 *     { id: "a", name: "Ada", section: null, skills: [], groups: [], ideas: [], wishes: [], last: [] },
 *     { id: "b", name: "Ben", section: null, skills: [], groups: [], ideas: [], wishes: [], last: [] },
 *   ],
 *   teams: [{ id: "t", name: "T", min: 1, max: 3, section: null, idea: null }],
 *   skills: [],
 *   apart: [["a", "b"]],
 *   together: [],
 *   locks: [],
 *   forbidden: [],
 *   weights: usualWeights,
 * }).map((c) => c.text)
 * // => ["every team has at least 1", "no team has more than 3", "Ada and Ben are kept apart"]
 */
export function hardConstraints(p: TeamProblem): HardConstraint[] {
  const person = new Map(p.people.map((x) => [x.id, x.name]));
  const team = new Map(p.teams.map((x) => [x.id, x.name]));
  const names = (ids: readonly string[]) => ids.map((i) => person.get(i) ?? "?").join(" and ");
  const span = (k: "min" | "max") => {
    const v = p.teams.map((t) => t[k]);
    const [a, b] = [Math.min(...v), Math.max(...v)];
    return a === b ? `${a}` : `${a} to ${b}`;
  };
  return [
    { kind: "min", index: 0, text: `every team has at least ${span("min")}` },
    { kind: "max", index: 0, text: `no team has more than ${span("max")}` },
    ...(p.teams.some((t) => t.section !== null)
      ? [{ kind: "section" as const, index: 0, text: "a team's members are of its section" }]
      : []),
    ...p.apart.map((g, index) => ({ kind: "apart" as const, index, text: `${names(g)} are kept apart` })),
    ...p.together.map((g, index) => ({ kind: "together" as const, index, text: `${names(g)} are kept together` })),
    ...p.locks.map((l, index) => ({
      kind: "lock" as const,
      index,
      text: `${person.get(l.person)} has a locked seat in ${team.get(l.team)}`,
    })),
    ...p.forbidden.map((l, index) => ({
      kind: "forbidden" as const,
      index,
      text: `${person.get(l.person)} is not in ${team.get(l.team)}`,
    })),
  ];
}

/** A problem in arrays: people joined to blocks that move as one, and where each block may sit. */
export interface Compiled {
  readonly n: number;
  readonly teams: number;
  readonly min: Int32Array;
  readonly max: Int32Array;
  readonly blocks: readonly (readonly number[])[];
  readonly blockOf: Int32Array;
  /** Block by team: 1 where it may sit. */
  readonly allowed: Uint8Array;
  /** Block by block: 1 where they are kept apart. */
  readonly apart: Uint8Array;
  /** A block holds two people who are kept apart, or is locked twice. */
  readonly impossible: boolean;
  readonly sectionOf: readonly (string | null)[];
  readonly teamSection: readonly (string | null)[];
}

/**
 * A problem compiled to arrays under some of its hard constraints, all of them by default.
 * @example
 * compileTeams({
 *   people: ["a", "b"].map((id) => ({
 *     id,
 *     name: id,
 *     section: null,
 *     skills: [],
 *     groups: [],
 *     ideas: [],
 *     wishes: [],
 *     last: [],
 *   })),
 *   teams: [{ id: "t", name: "T", min: 1, max: 3, section: null, idea: null }],
 *   skills: [],
 *   apart: [],
 *   together: [["a", "b"]],
 *   locks: [],
 *   forbidden: [],
 *   weights: usualWeights,
 * }).blocks
 * // => [[0, 1]]
 */
export function compileTeams(p: TeamProblem, active: readonly HardConstraint[] = hardConstraints(p)): Compiled {
  const n = p.people.length;
  const at = new Map(p.people.map((x, i) => [x.id, i]));
  const teamAt = new Map(p.teams.map((x, i) => [x.id, i]));
  const on = (kind: HardConstraint["kind"], index = 0) => active.some((c) => c.kind === kind && c.index === index);
  const ids = (g: readonly string[]) => g.flatMap((x) => at.get(x) ?? []);
  const root = Array.from({ length: n }, (_, i) => i);
  const find = (i: number): number => (root[i] === i ? i : find(root[i]!));
  p.together.forEach((g, i) => {
    if (on("together", i)) {
      const [first, ...rest] = ids(g);
      for (const r of rest) root[find(r)] = find(first!);
    }
  });
  const byRoot = new Map<number, number[]>();
  for (let i = 0; i < n; i++) byRoot.set(find(i), [...(byRoot.get(find(i)) ?? []), i]);
  const blocks = [...byRoot.values()];
  const blockOf = new Int32Array(n);
  blocks.forEach((b, k) => {
    for (const i of b) blockOf[i] = k;
  });
  const [B, T] = [blocks.length, p.teams.length];
  const allowed = new Uint8Array(B * T).fill(1);
  const section = on("section");
  blocks.forEach((b, k) => {
    for (let t = 0; t < T; t++)
      if (section && p.teams[t]!.section !== null && b.some((i) => p.people[i]!.section !== p.teams[t]!.section))
        allowed[k * T + t] = 0;
  });
  p.locks.forEach((l, i) => {
    const [a, t] = [at.get(l.person), teamAt.get(l.team)];
    if (on("lock", i) && a !== undefined && t !== undefined)
      for (let u = 0; u < T; u++) if (u !== t) allowed[blockOf[a]! * T + u] = 0;
  });
  p.forbidden.forEach((l, i) => {
    const [a, t] = [at.get(l.person), teamAt.get(l.team)];
    if (on("forbidden", i) && a !== undefined && t !== undefined) allowed[blockOf[a]! * T + t] = 0;
  });
  const apart = new Uint8Array(B * B);
  let impossible = false;
  p.apart.forEach((g, i) => {
    if (!on("apart", i)) return;
    const list = ids(g);
    for (const x of list)
      for (const y of list)
        if (x !== y) {
          const [a, b] = [blockOf[x]!, blockOf[y]!];
          if (a === b) impossible = true;
          apart[a * B + b] = 1;
          apart[b * B + a] = 1;
        }
  });
  return {
    n,
    teams: T,
    blocks,
    blockOf,
    allowed,
    apart,
    impossible,
    min: Int32Array.from(p.teams, (t) => (on("min") ? t.min : 0)),
    max: Int32Array.from(p.teams, (t) => (on("max") ? t.max : n)),
    sectionOf: p.people.map((x) => (section ? x.section : null)),
    teamSection: p.teams.map((t) => (section ? t.section : null)),
  };
}
