import type { Filled, Packer, Stock } from "./search";

/** Where the pieces of a bar begin, in their order. */
export type BarLayout = readonly number[];

/**
 * How many bars of a capacity the pieces need at least: those that no two of which share one, and what does not go
 * beside them (the bound of Martello and Toth).
 * @example leastBars([6, 6, 6, 3], 10) // => 3
 */
export function leastBars(lengths: readonly number[], capacity: number): number {
  const half = lengths.filter((l) => l <= capacity / 2);
  let least = Math.ceil(lengths.reduce((a, b) => a + b, 0) / capacity);
  for (const small of [0, ...new Set(half)]) {
    const alone = lengths.filter((l) => l > capacity - small).length;
    const large = lengths.filter((l) => l <= capacity - small && l > capacity / 2);
    const beside = half.filter((l) => l >= small).reduce((a, b) => a + b, 0);
    const free = large.length * capacity - large.reduce((a, b) => a + b, 0);
    least = Math.max(least, alone + large.length + Math.max(0, Math.ceil((beside - free) / capacity)));
  }
  return least;
}

/** The choice of pieces that fills a bar best, the longest in it, found within so many looks. */
function bestFill(
  kinds: readonly { length: number; items: readonly number[] }[],
  capacity: number,
  looks: number,
): number[] {
  const after = kinds.map((_, k) => kinds.slice(k).reduce((s, x) => s + x.length * x.items.length, 0));
  const taken = kinds.map(() => 0);
  let best: { full: number; taken: number[] } = { full: 0, taken: [...taken] };
  let seen = 0;
  const look = (k: number, full: number) => {
    if (full > best.full) best = { full, taken: [...taken] };
    if (k === kinds.length || best.full === capacity || ++seen > looks || full + after[k]! <= best.full) return;
    const { length, items } = kinds[k]!;
    const most = Math.min(items.length, Math.floor((capacity - full) / length));
    for (let n = most; n >= (k === 0 && most ? 1 : 0); n--) {
      taken[k] = n;
      look(k + 1, full + n * length);
    }
    taken[k] = 0;
  };
  look(0, 0);
  return kinds.flatMap((x, k) => x.items.slice(0, best.taken[k]));
}

/**
 * Fills bars: pieces of these lengths, each with a cut behind it, on bars that are so long between their ends.
 * @example
 * barPacker([60, 50, 40], 1, [{ cost: 1, capacity: 104, count: 9 }]).fill(0, [0, 1, 2], () => 0.5)
 * // => { stock: 0, items: [0, 2], layout: [0, 61] }
 */
export function barPacker(lengths: readonly number[], kerf: number, stocks: readonly Stock[]): Packer<BarLayout> {
  const sizes = lengths.map((l) => l + kerf);
  return {
    stocks,
    sizes,
    fill(stock, items, random): Filled<BarLayout> | null {
      const { capacity } = stocks[stock]!;
      const kinds = new Map<number, number[]>();
      for (const i of items)
        if (sizes[i]! <= capacity) (kinds.get(sizes[i]!) ?? kinds.set(sizes[i]!, []).get(sizes[i]!)!).push(i);
      const sorted = [...kinds].map(([length, list]) => ({ length, items: list })).sort((a, b) => b.length - a.length);
      // Now and then some lengths stay for later, so that other bars come out.
      const some = sorted.filter((_, k) => k === 0 || random() > 0.15);
      const chosen = bestFill(some, capacity, 1500);
      if (!chosen.length) return null;
      let at = 0;
      const layout = chosen.map((i) => {
        const here = at;
        at += sizes[i]!;
        return here;
      });
      return { stock, items: chosen, layout };
    },
  };
}
