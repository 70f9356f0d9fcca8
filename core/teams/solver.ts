import { seededRandom } from "../draw/draw";
import { findArrangement, smallestClash } from "./feasible";
import { compileTeams, type HardConstraint, hardConstraints, type SolverWeights, type TeamProblem } from "./problem";

/** What an arrangement costs, in all and by kind; lower is better, 0 is everything that anybody wished. */
export type Cost = Readonly<Record<keyof SolverWeights | "all", number>>;

export type Assignment = Readonly<Record<string, string>>;

const steps = (ideas: readonly string[], idea: string | null) =>
  idea === null || ideas.length === 0 ? 0 : Math.min(4, ideas.includes(idea) ? ideas.indexOf(idea) : ideas.length);

/** Everything that the costs of a team are computed from, in arrays. */
function prepare(p: TeamProblem) {
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

/** The cost of one team with these members, by kind. */
function teamCost(
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

export interface SolverProgress {
  /** 0 to 1. */
  readonly share: number;
  readonly cost: number;
  readonly best: Assignment;
}

export type Solution =
  | { ok: true; assignment: Assignment; cost: Cost }
  | {
      ok: false /** Proven to have no answer; otherwise none was found in the steps allowed. */;
      proven: boolean;
      clash: HardConstraint[];
    };

/**
 * Forms teams: hard constraints are kept always; what is wished is traded by its weights. Simulated annealing over
 * moves and swaps of blocks, from several starts, each followed by the steepest way down.
 * The same problem, seed and number of moves give the same teams. It yields its progress with the best arrangement so
 * far, so that a worker can show it and be stopped.
 * @example
 * [
 *   ...solveTeams(
 *     {
 *       people: ["a", "b", "c", "d"].map((id) => ({
 *         id,
 *         name: id,
 *         section: null,
 *         skills: [],
 *         groups: [],
 *         ideas: [],
 *         wishes: id === "a" ? ["d"] : [],
 *         last: [],
 *       })),
 *       teams: ["s", "t"].map((id) => ({ id, name: id, min: 2, max: 2, section: null, idea: null })),
 *       skills: [],
 *       apart: [],
 *       together: [],
 *       locks: [],
 *       forbidden: [],
 *       weights: usualWeights,
 *     },
 *     { seed: "1", moves: 500 },
 *   ),
 * ].at(-1).cost
 * // => 0
 */
export function* solveTeams(
  p: TeamProblem,
  {
    seed,
    moves = 1_200_000,
    starts = p.people.length <= 40 ? 16 : p.people.length <= 80 ? 6 : 2,
  }: { seed: string; moves?: number; starts?: number },
): Generator<SolverProgress, Solution> {
  const c = compileTeams(p);
  const d = prepare(p);
  const { blocks, teams: T, allowed, apart, min, max } = c;
  const B = blocks.length;
  const first = findArrangement(c, seed);
  if (first.found === null) return { ok: false, proven: first.proven, clash: first.proven ? smallestClash(p) : [] };
  const random = seededRandom(`${seed}:moves`);
  const pick = (n: number) => Math.floor(random() * n);
  const teamOf = new Int32Array(c.n);
  const blockTeam = new Int32Array(B);
  let people: number[][] = [];
  let inTeam: number[][] = [];
  let cost = new Float64Array(T);
  let total = 0;
  // A weight far above the others walls the search in: it is raised to its full height on the way.
  let w = p.weights;
  const recount = () => {
    cost = Float64Array.from(people, (m, t) => teamCost(d, m, t, teamOf, w));
    total = cost.reduce((s, x) => s + x, 0);
  };
  const load = (a: Int32Array) => {
    blockTeam.set(a);
    people = Array.from({ length: T }, () => []);
    inTeam = Array.from({ length: T }, () => []);
    blocks.forEach((b, k) => {
      for (const i of b) {
        teamOf[i] = a[k]!;
        people[a[k]!]!.push(i);
      }
      inTeam[a[k]!]!.push(k);
    });
    recount();
  };
  let best = first.found;
  let bestCost = Number.POSITIVE_INFINITY;
  const keep = () => {
    if (total < bestCost - 1e-9) {
      bestCost = total;
      best = Int32Array.from(blockTeam);
    }
  };
  const answer = (a: Int32Array): Assignment =>
    Object.fromEntries(p.people.map((x, i) => [x.id, p.teams[a[c.blockOf[i]!]!]!.id]));
  /** Whether block b may sit in team t once block `out` has left it. */
  const sits = (b: number, t: number, out: number) => {
    if (allowed[b * T + t] === 0) return false;
    for (const o of inTeam[t]!) if (o !== out && apart[b * B + o] === 1) return false;
    return true;
  };
  const shift = (b: number, t: number) => {
    for (const i of blocks[b]!) teamOf[i] = t;
  };
  /**
   * Tries block b in team t, block o (or none, −1) going back; takes it when `accept` says so of the change in cost.
   */
  const attempt = (b: number, t: number, o: number, accept: (change: number) => boolean): boolean => {
    const f = blockTeam[b]!;
    const [nb, no] = [blocks[b]!.length, o < 0 ? 0 : blocks[o]!.length];
    const [sf, st] = [people[f]!.length - nb + no, people[t]!.length + nb - no];
    if (st > max[t]! || sf > max[f]! || sf < min[f]! || st < min[t]! || !sits(b, t, o) || (o >= 0 && !sits(o, f, b)))
      return false;
    shift(b, t);
    if (o >= 0) shift(o, f);
    const goes = (m: readonly number[], out: number, into: number) => {
      const next = m.filter((i) => c.blockOf[i] !== out);
      if (into >= 0) next.push(...blocks[into]!);
      return next;
    };
    const [mf, mt] = [goes(people[f]!, b, o), goes(people[t]!, o, b)];
    const [cf, ct] = [teamCost(d, mf, f, teamOf, w), teamCost(d, mt, t, teamOf, w)];
    const change = cf + ct - cost[f]! - cost[t]!;
    if (!accept(change)) {
      shift(b, f);
      if (o >= 0) shift(o, t);
      return false;
    }
    [people[f], people[t], cost[f], cost[t]] = [mf, mt, cf, ct];
    total += change;
    blockTeam[b] = t;
    inTeam[f] = inTeam[f]!.filter((x) => x !== b);
    inTeam[t]!.push(b);
    if (o >= 0) {
      blockTeam[o] = f;
      inTeam[t] = inTeam[t]!.filter((x) => x !== o);
      inTeam[f]!.push(o);
    }
    return true;
  };
  const each = Math.max(1, Math.floor(moves / starts));
  const scale = Math.max(0.5, ...Object.values(p.weights).filter((x) => x < 10));
  for (let s = 0; s < starts && T > 1; s++) {
    const from = s === 0 ? first : findArrangement(c, `${seed}:${s}`);
    load(from.found ?? first.found);
    keep();
    const [hot, cold] = [scale, scale * 0.1];
    let heat = hot;
    for (let m = 0; m < each; m++) {
      if (m % 256 === 0) {
        heat = hot * (cold / hot) ** (m / each);
        const full = Math.min(1, 0.1 + m / each / 0.6);
        const lone = Math.max(p.weights.lone * full, Math.min(p.weights.lone, scale * 1.5));
        if (lone !== w.lone) {
          w = { ...p.weights, lone };
          recount();
        }
      }
      const b = pick(B);
      let t = pick(T);
      // Some moves go where somebody of the block wants to be.
      if (random() < 0.35) {
        const i = blocks[b]![pick(blocks[b]!.length)]!;
        const ws = d.wishes[i]!;
        if (ws.length) t = teamOf[ws[pick(ws.length)]!]!;
      }
      if (t === blockTeam[b]) continue;
      const k = inTeam[t]!.length;
      const o = k === 0 || random() < 0.15 ? -1 : inTeam[t]![pick(k)]!;
      attempt(b, t, o, (change) => change <= 0 || random() < Math.exp(-change / heat));
      if (w.lone === p.weights.lone) keep();
      if (m % 20_000 === 19_999) yield { share: (s + (m + 1) / each) / starts, cost: bestCost, best: answer(best) };
    }
    w = p.weights;
    load(best);
    for (let better = true; better; ) {
      better = false;
      for (let b = 0; b < B; b++)
        for (let t = 0; t < T; t++) {
          if (t === blockTeam[b]) continue;
          for (const o of [-1, ...inTeam[t]!])
            if (attempt(b, t, o, (change) => change < -1e-9)) {
              better = true;
              break;
            }
        }
    }
    keep();
    yield { share: (s + 1) / starts, cost: bestCost, best: answer(best) };
  }
  if (T <= 1) {
    load(first.found);
    keep();
  }
  const assignment = answer(best);
  return { ok: true, assignment, cost: costOf(p, assignment) };
}

/**
 * The solver's answer at once, without its progress.
 * @example
 * solveAtOnce(
 *   {
 *     people: [],
 *     teams: [],
 *     skills: [],
 *     apart: [],
 *     together: [],
 *     locks: [],
 *     forbidden: [],
 *     weights: usualWeights,
 *   },
 *   { seed: "1" },
 * ).ok
 * // => true
 */
export function solveAtOnce(p: TeamProblem, options: { seed: string; moves?: number; starts?: number }): Solution {
  const run = solveTeams(p, options);
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
  }
}

export interface SolverReport {
  readonly students: readonly {
    id: string;
    name: string;
    team: string /** 1 for the first choice; null where no idea was named, 0 for one that was not on the list. */;
    choice: number | null;
    wishes: number;
    met: number;
    notes: string[];
  }[];
  readonly constraints: readonly { text: string; held: boolean }[];
  readonly soft: readonly { kind: keyof SolverWeights; text: string; cost: number }[];
  readonly teams: readonly { id: string; name: string; size: number; skills: number[]; lone: string[] }[];
}

const ordinal = (n: number) => (n === 1 ? "first" : n === 2 ? "second" : n === 3 ? "third" : `${n}th`);

/**
 * An arrangement explained: for every student the choice got, wishes met and why not more; for every constraint whether
 * it holds; for every kind of wish what is left of it.
 * @example
 * reportTeams(
 *   {
 *     people: [
 *       { id: "a", name: "Ada", section: null, skills: [], groups: [], ideas: ["x"], wishes: [], last: [] },
 *     ],
 *     teams: [{ id: "t", name: "T", min: 1, max: 2, section: null, idea: "x" }],
 *     skills: [],
 *     apart: [],
 *     together: [],
 *     locks: [],
 *     forbidden: [],
 *     weights: usualWeights,
 *   },
 *   { a: "t" },
 * ).students[0].choice
 * // => 1
 */
export function reportTeams(p: TeamProblem, assignment: Assignment): SolverReport {
  const byId = new Map(p.people.map((x) => [x.id, x]));
  const teamById = new Map(p.teams.map((t) => [t.id, t]));
  const members = (t: string) => p.people.filter((x) => assignment[x.id] === t);
  const cost = costOf(p, assignment);
  const holds = (c: HardConstraint, a: Assignment): boolean => {
    const known = (g: readonly string[]) => g.filter((x) => byId.has(x));
    const teamsOf = (g: readonly string[]) => new Set(known(g).map((x) => a[x])).size;
    const size = (t: string) => p.people.reduce((n, x) => n + (a[x.id] === t ? 1 : 0), 0);
    switch (c.kind) {
      case "min":
        return p.teams.every((t) => size(t.id) >= t.min);
      case "max":
        return p.teams.every((t) => size(t.id) <= t.max);
      case "section":
        return p.people.every((x) => {
          const t = teamById.get(a[x.id]!);
          return !t || t.section === null || x.section === t.section;
        });
      case "apart":
        return teamsOf(p.apart[c.index]!) === known(p.apart[c.index]!).length;
      case "together":
        return teamsOf(p.together[c.index]!) <= 1;
      case "lock":
        return a[p.locks[c.index]!.person] === p.locks[c.index]!.team;
      case "forbidden":
        return a[p.forbidden[c.index]!.person] !== p.forbidden[c.index]!.team;
    }
  };
  const all = hardConstraints(p);
  const legal = (a: Assignment) => all.every((c) => holds(c, a));
  /** Why somebody does not sit in a team: what stands against it, or what the best exchange would cost the rest. */
  const why = (x: string, t: string): string => {
    const lock = p.locks.find((l) => l.person === x);
    if (lock) return "has a locked seat";
    const team = teamById.get(t)!;
    if (team.section !== null && byId.get(x)!.section !== team.section) return `${team.name} is of another section`;
    if (p.forbidden.some((l) => l.person === x && l.team === t)) return `is not to be in ${team.name}`;
    const foe = p.apart.find((g) => g.includes(x) && g.some((o) => o !== x && assignment[o] === t));
    if (foe)
      return `is kept apart from ${foe
        .filter((o) => o !== x && assignment[o] === t)
        .map((o) => byId.get(o)?.name)
        .join(" and ")} of ${team.name}`;
    let [least, partner]: [number, string | null] = [Number.POSITIVE_INFINITY, null];
    // Whoever is kept together with x comes along, in exchange for nobody or for as many of the other team.
    const along = [...new Set([x, ...p.together.filter((g) => g.includes(x)).flat()])].filter(
      (o) => assignment[o] === assignment[x],
    );
    const there = members(t).map((m) => m.id);
    const sets = (n: number, from: number): string[][] =>
      n === 0 ? [[]] : there.slice(from).flatMap((o, i) => sets(n - 1, from + i + 1).map((rest) => [o, ...rest]));
    for (const back of [[], ...sets(Math.min(along.length, 3), 0)]) {
      const tried = {
        ...assignment,
        ...Object.fromEntries(along.map((o) => [o, t])),
        ...Object.fromEntries(back.map((o) => [o, assignment[x]!])),
      };
      if (!legal(tried)) continue;
      const change = costOf(p, tried).all - cost.all;
      if (change < least) [least, partner] = [change, back.map((o) => byId.get(o)!.name).join(" and ") || null];
    }
    return least === Number.POSITIVE_INFINITY
      ? `no move or exchange with ${team.name} keeps every limit`
      : `the best way into ${team.name}${partner ? `, for ${partner},` : ""} would cost the others ` +
          `${least.toFixed(1)} more`;
  };
  const explain = p.people.length <= 60;
  const students = p.people.map((x) => {
    const team = teamById.get(assignment[x.id]!);
    const choice = x.ideas.length === 0 || !team || team.idea === null ? null : x.ideas.indexOf(team.idea) + 1;
    const wishes = [...new Set(x.wishes)].filter((w) => byId.has(w) && w !== x.id);
    const met = wishes.filter((w) => assignment[w] === assignment[x.id]);
    const notes: string[] = [];
    if (choice !== null && choice !== 1) {
      const wanted = p.teams.filter((t) => t.idea === x.ideas[0]);
      notes.push(choice ? `${ordinal(choice)} choice` : "an idea that was not on the list");
      if (explain && wanted.length) notes.push(wanted.map((t) => why(x.id, t.id))[0]!);
      else if (!wanted.length) notes.push("no team works on the first choice");
    }
    if (explain)
      for (const w of wishes)
        if (!met.includes(w)) notes.push(`not with ${byId.get(w)!.name}: ${why(x.id, assignment[w]!)}`);
    return { id: x.id, name: x.name, team: assignment[x.id]!, choice, wishes: wishes.length, met: met.length, notes };
  });
  const count = (k: "wishes" | "met") => students.reduce((s, x) => s + x[k], 0);
  const chosen = students.filter((s) => s.choice !== null);
  const lone = (t: string) =>
    [...new Set(p.people.flatMap((x) => x.groups))].filter(
      (g) => members(t).filter((x) => x.groups.includes(g)).length === 1,
    );
  const teams = p.teams.map((t) => ({
    id: t.id,
    name: t.name,
    size: members(t.id).length,
    skills: p.skills.map((_, k) => members(t.id).reduce((s, x) => s + (x.skills[k] ?? 0), 0)),
    lone: lone(t.id),
  }));
  const alone = teams.filter((t) => t.lone.length);
  const again = p.teams.reduce(
    (s, t) =>
      s +
      members(t.id).reduce(
        (n, x, i, list) => n + list.slice(i + 1).filter((y) => x.last.includes(y.id) || y.last.includes(x.id)).length,
        0,
      ),
    0,
  );
  return {
    students,
    teams,
    constraints: all.map((c) => ({ text: c.text, held: holds(c, assignment) })),
    soft: [
      {
        kind: "idea",
        text: chosen.length
          ? `${chosen.filter((s) => s.choice === 1).length} of ${chosen.length} got their first idea, ` +
            `${chosen.filter((s) => s.choice === 2).length} their second`
          : p.people.some((x) => x.ideas.length)
            ? "no team works on a named idea yet"
            : "nobody named an idea",
        cost: cost.idea,
      },
      { kind: "wish", text: `${count("met")} of ${count("wishes")} wishes are met`, cost: cost.wish },
      {
        kind: "skill",
        text: p.skills.length
          ? "sums of a skill lie between " +
            p.skills
              .map(
                (s, k) =>
                  `${Math.min(...teams.map((t) => t.skills[k]!))} and ` +
                  `${Math.max(...teams.map((t) => t.skills[k]!))} (${s})`,
              )
              .join(", ")
          : "no skill is given",
        cost: cost.skill,
      },
      {
        kind: "lone",
        text: alone.length
          ? `exactly one of a marked group in ${alone.map((t) => `${t.name} (${t.lone.join(", ")})`).join(", ")}`
          : "no team holds exactly one of a marked group",
        cost: cost.lone,
      },
      { kind: "repeat", text: `${again} pairs of last project's teammates are together again`, cost: cost.repeat },
    ],
  };
}
