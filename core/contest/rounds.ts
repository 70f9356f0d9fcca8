import { seededRandom } from "../draw/draw";
import type { Slot } from "./bracket";

/** The slot of two seeds in a round of a table. */
export const slotOf = (round: number, number: number, a: number, b: number): Slot => ({
  key: `R${round}-${number}`,
  side: "table",
  round,
  number,
  a: { kind: "entry", seed: a },
  b: { kind: "entry", seed: b },
});

/**
 * A round robin by the circle method: everybody meets everybody once, at most one bye a round. n entries take
 * n(n − 1)/2 matches in n − 1 rounds, or n rounds where n is odd.
 * @param n entries, 2 to 64; throws a RangeError outside
 * @example roundRobin(3).map((s) => s.key) // => ["R1-1", "R2-1", "R3-1"]
 */
export function roundRobin(n: number): Slot[] {
  if (!Number.isInteger(n) || n < 2 || n > 64) throw new RangeError(`A round robin has 2 to 64 entries, not ${n}`);
  const even = n + (n % 2);
  const circle = Array.from({ length: even - 1 }, (_, i) => i + 2);
  const out: Slot[] = [];
  for (let round = 1; round < even; round++) {
    const line = [1, ...circle];
    let number = 0;
    for (let i = 0; i < even / 2; i++) {
      const [one, other] = [line[i]!, line[even - 1 - i]!];
      if (one > n || other > n) continue;
      number++;
      // Who stands first changes from round to round, so that nobody is always on the same side.
      out.push((round + i) % 2 ? slotOf(round, number, one, other) : slotOf(round, number, other, one));
    }
    circle.unshift(circle.pop()!);
  }
  return out;
}

/** Somebody to be paired: what it has won so far and whom it has met. */
export interface Paired {
  readonly seed: number;
  readonly points: number;
  /** Seeds. */
  readonly met: readonly number[];
  readonly hadBye: boolean;
}

/**
 * The next round of equal records: those who stand alike meet, nobody anybody twice, nobody a second bye. The bye goes
 * to the last who has had none. Within equal points the order is drawn with the seed. null where no such round exists
 * any more.
 * @returns pairs of seeds and who has the bye
 * @example
 * pairRound([1, 2, 3, 4].map((seed) => ({ seed, points: seed < 3 ? 1 : 0, met: [], hadBye: false })), 2, "7")
 *   ?.pairs.map((p) => [...p].sort())
 * // => [[1, 2], [3, 4]]
 */
export function pairRound(
  entries: readonly Paired[],
  round: number,
  seed: string,
): { pairs: [number, number][]; bye: number | null } | null {
  const random = seededRandom(`${seed} round ${round}`);
  const lot = new Map([...entries].sort((a, b) => a.seed - b.seed).map((e) => [e.seed, random()]));
  const order = [...entries].sort((a, b) => b.points - a.points || lot.get(a.seed)! - lot.get(b.seed)!);
  const byes = order.length % 2 ? [...order].reverse().filter((e) => !e.hadBye) : [null];
  for (const bye of byes) {
    const pairs = match(order.filter((e) => e !== bye));
    if (pairs) return { pairs, bye: bye?.seed ?? null };
  }
  return null;
}

/** Pairs from the top, each with the nearest in the order whom it has not met; who is left over is fitted in. */
function match(order: readonly Paired[]): [number, number][] | null {
  if (!order.length) return [];
  const met = order.map((e) => new Set(e.met));
  const partner = order.map(() => -1);
  const may = (i: number, k: number) => i !== k && !met[i]!.has(order[k]!.seed);
  // Greedy from the top; whoever is left over is fitted in along a chain of changed pairs, the shortest that there is.
  for (let i = 0; i < order.length; i++) {
    if (partner[i] !== -1) continue;
    const free = order.findIndex((_, k) => k > i && partner[k] === -1 && may(i, k));
    if (free === -1) continue;
    partner[i] = free;
    partner[free] = i;
  }
  for (let i = 0; i < order.length; i++) if (partner[i] === -1 && !fitIn(i, partner, may)) return null;
  return order.flatMap((e, i) => (partner[i]! > i ? [[e.seed, order[partner[i]!]!.seed] as [number, number]] : []));
}

/**
 * Fits somebody without a partner in: a shortest chain of pairs that are dissolved and made anew and ends at another
 * without one. Odd circles of the graph are shrunk on the way (Edmonds, Paths, trees, and flowers, 1965), so that a
 * chain is found whenever there is one.
 */
function fitIn(root: number, partner: number[], may: (i: number, k: number) => boolean): boolean {
  const n = partner.length;
  const parent = Array<number>(n).fill(-1);
  const base = Array.from({ length: n }, (_, i) => i);
  const reached = Array<boolean>(n).fill(false);
  reached[root] = true;
  const queue = [root];
  const common = (a: number, b: number): number => {
    const seen = new Set<number>();
    for (let x = a; ; x = parent[partner[x]!]!) {
      x = base[x]!;
      seen.add(x);
      if (partner[x] === -1) break;
    }
    for (let y = b; ; y = parent[partner[y]!]!) {
      y = base[y]!;
      if (seen.has(y)) return y;
    }
  };
  const shrink = (from: number, to: number, top: number, inside: Set<number>) => {
    for (let x = from, child = to; base[x] !== top; x = parent[partner[x]!]!) {
      inside.add(base[x]!).add(base[partner[x]!]!);
      parent[x] = child;
      child = partner[x]!;
    }
  };
  for (let at = 0; at < queue.length; at++) {
    const x = queue[at]!;
    for (let y = 0; y < n; y++) {
      if (!may(x, y) || base[x] === base[y] || partner[x] === y) continue;
      if (y === root || (partner[y] !== -1 && parent[partner[y]!] !== -1)) {
        const top = common(x, y);
        const inside = new Set<number>();
        shrink(x, y, top, inside);
        shrink(y, x, top, inside);
        for (let i = 0; i < n; i++) {
          if (!inside.has(base[i]!)) continue;
          base[i] = top;
          if (!reached[i]) {
            reached[i] = true;
            queue.push(i);
          }
        }
      } else if (parent[y] === -1) {
        parent[y] = x;
        if (partner[y] === -1) {
          for (let end = y; end !== -1; ) {
            const before = parent[end]!;
            const next = partner[before]!;
            partner[end] = before;
            partner[before] = end;
            end = next;
          }
          return true;
        }
        reached[partner[y]!] = true;
        queue.push(partner[y]!);
      }
    }
  }
  return false;
}
