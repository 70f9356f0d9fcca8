import { drawOrder } from "../draw/draw";
import { type Compiled, compileTeams, type HardConstraint, hardConstraints, type TeamProblem } from "./problem";

/** An arrangement (team of each block), a proof that there is none, or neither within the steps allowed. */
export type Feasibility = { found: Int32Array } | { found: null; proven: boolean };

/**
 * Looks for an arrangement that keeps every hard constraint: depth first, the block with the fewest places next, with
 * counts of seats and people as bounds.
 * @example
 * findArrangement(
 *   compileTeams({
 *     people: [],
 *     teams: [],
 *     skills: [],
 *     apart: [],
 *     together: [],
 *     locks: [],
 *     forbidden: [],
 *     weights: usualWeights,
 *   }),
 *   "1",
 * ).found?.length
 * // => 0
 */
export function findArrangement(c: Compiled, seed: string, steps = 60_000): Feasibility {
  if (c.impossible) return { found: null, proven: true };
  const { blocks, teams: T, allowed, apart, min, max } = c;
  const B = blocks.length;
  const team = new Int32Array(B).fill(-1);
  const size = new Int32Array(T);
  const members: number[][] = Array.from({ length: T }, () => []);
  // Teams that nothing tells apart while they are empty: only the first of them is tried.
  const twin = Array.from({ length: T }, (_, t) => {
    const mine = (u: number) => `${min[u]}/${max[u]}/${blocks.map((__, b) => allowed[b * T + u]).join("")}`;
    const key = mine(t);
    for (let u = 0; u < t; u++) if (mine(u) === key) return u;
    return t;
  });
  const sections = [...new Set(c.teamSection)].filter((s) => s !== null);
  const order = drawOrder(
    Array.from({ length: T }, (_, t) => t),
    seed,
  );
  const anywhere = c.sectionOf.filter((x) => x === null).length;
  let left = c.n;
  const leftIn = new Map(sections.map((s) => [s, c.sectionOf.filter((x) => x === s).length]));
  let used = 0;
  const may = (b: number, t: number) =>
    allowed[b * T + t] === 1 &&
    size[t]! + blocks[b]!.length <= max[t]! &&
    members[t]!.every((o) => apart[b * B + o] === 0);
  const bounds = () => {
    let [need, room] = [0, 0];
    for (let t = 0; t < T; t++) {
      need += Math.max(0, min[t]! - size[t]!);
      room += max[t]! - size[t]!;
    }
    if (need > left || room < left) return false;
    for (const s of sections) {
      let [n2, r2] = [0, 0];
      for (let t = 0; t < T; t++) {
        if (c.teamSection[t] === s) n2 += Math.max(0, min[t]! - size[t]!);
        if (c.teamSection[t] === s || c.teamSection[t] === null) r2 += max[t]! - size[t]!;
      }
      if (n2 > leftIn.get(s)! + anywhere || r2 < leftIn.get(s)!) return false;
    }
    return true;
  };
  const place = (b: number, t: number, sign: 1 | -1) => {
    size[t]! += sign * blocks[b]!.length;
    left -= sign * blocks[b]!.length;
    for (const i of blocks[b]!) {
      const s = c.sectionOf[i];
      if (s != null && leftIn.has(s)) leftIn.set(s, leftIn.get(s)! - sign);
    }
    if (sign === 1) {
      team[b] = t;
      members[t]!.push(b);
    } else {
      team[b] = -1;
      members[t]!.pop();
    }
  };
  const search = (placed: number): boolean | null => {
    if (placed === B) return bounds();
    if (++used > steps) return null;
    if (!bounds()) return false;
    let [next, fewest, big] = [-1, Number.POSITIVE_INFINITY, 0];
    for (let b = 0; b < B; b++) {
      if (team[b] !== -1) continue;
      let k = 0;
      for (let t = 0; t < T; t++) if (may(b, t)) k++;
      if (k < fewest || (k === fewest && blocks[b]!.length > big)) [next, fewest, big] = [b, k, blocks[b]!.length];
      if (fewest === 0) return false;
    }
    const tried = new Set<number>();
    // Teams that still lack members come first.
    const choice = order
      .filter((t) => may(next, t))
      .sort((x, y) => Number(size[x]! >= min[x]!) - Number(size[y]! >= min[y]!) || size[y]! - size[x]!);
    for (const t of choice) {
      if (size[t] === 0) {
        if (tried.has(twin[t]!)) continue;
        tried.add(twin[t]!);
      }
      place(next, t, 1);
      const r = search(placed + 1);
      if (r !== false) return r;
      place(next, t, -1);
    }
    return false;
  };
  const r = search(0);
  return r === true ? { found: team } : { found: null, proven: r === false };
}

/**
 * A smallest set found of hard constraints that cannot hold together, in words: none of it can be left out, and where
 * few enough are tried no smaller one exists. Empty when they can, or when that was not settled within the steps.
 * One constraint after another is left out while the rest still clashes; then smaller sets are tried one by one.
 * @example
 * smallestClash({
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
 *   teams: [{ id: "t", name: "T", min: 1, max: 2, section: null, idea: null }],
 *   skills: [],
 *   apart: [["a", "b"]],
 *   together: [["a", "b"]],
 *   locks: [],
 *   forbidden: [],
 *   weights: usualWeights,
 * }).map((c) => c.text)
 * // => ["a and b are kept apart"]
 */
export function smallestClash(p: TeamProblem, steps = 20_000): HardConstraint[] {
  const all = hardConstraints(p);
  const clash = (list: readonly HardConstraint[]) => {
    const f = findArrangement(compileTeams(p, list), "clash", steps);
    return f.found === null && f.proven;
  };
  if (!clash(all)) return [];
  let best = all;
  for (const order of [all, [...all].reverse()]) {
    let kept = order;
    for (const x of order) {
      const without = kept.filter((y) => y !== x);
      if (clash(without)) kept = without;
    }
    if (kept.length < best.length) best = kept;
  }
  // Nothing smaller may be found by leaving out alone: small sets are tried in full.
  const trySize = (size: number, from: number, chosen: HardConstraint[]): HardConstraint[] | null => {
    if (chosen.length === size) return clash(chosen) ? chosen : null;
    for (let i = from; i < all.length; i++) {
      const r = trySize(size, i + 1, [...chosen, all[i]!]);
      if (r) return r;
    }
    return null;
  };
  const ways = (k: number) =>
    k === 1
      ? all.length
      : k === 2
        ? (all.length * (all.length - 1)) / 2
        : (all.length * (all.length - 1) * (all.length - 2)) / 6;
  for (let k = 1; k < Math.min(best.length, 4) && ways(k) <= 2500; k++) {
    const r = trySize(k, 0, []);
    if (r) {
      best = r;
      break;
    }
  }
  return all.filter((c) => best.includes(c));
}
