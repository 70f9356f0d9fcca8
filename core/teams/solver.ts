import { seededRandom } from "@/core/draw/draw";
import { type Assignment, type Cost, costOf, prepare, teamCost } from "./cost";
import { findArrangement, smallestClash } from "./feasible";
import { compileTeams, type HardConstraint, type TeamProblem } from "./problem";

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
