// What bars and sheets have in common: blanks are filled one after another, then a few of them are emptied and filled
// anew, again and again, and what is better is kept.

/** A kind of blank as the search sees it. */
export interface Stock {
  /** What one of them costs in material; what must be bought costs more than everything that is there. */
  readonly cost: number;
  /** What it holds, in the measure of the pieces. */
  readonly capacity: number;
  readonly count: number;
}

/** A blank with what is cut from it. */
export interface Filled<Layout> {
  readonly stock: number;
  readonly items: readonly number[];
  readonly layout: Layout;
}

/** How one blank is filled: with which of these pieces, and where they lie; null where none of them fits. */
export interface Packer<Layout> {
  readonly stocks: readonly Stock[];
  /** The measure of each piece. */
  readonly sizes: readonly number[];
  fill(stock: number, items: readonly number[], random: () => number): Filled<Layout> | null;
}

export interface Found<Layout> {
  readonly filled: readonly Filled<Layout>[];
  readonly cost: number;
}

const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);

/** Fills blanks until all the pieces lie somewhere: each time the kind that costs least for what it holds. */
function fillAll<L>(
  packer: Packer<L>,
  items: readonly number[],
  there: readonly number[],
  random: () => number,
): Filled<L>[] | null {
  const left = [...there];
  // Now and then a kind that costs more is taken: what follows may be better for it.
  const daring = [0, 0.05, 0.5][Math.floor(random() * 3)]!;
  let rest = [...items];
  const done: Filled<L>[] = [];
  while (rest.length) {
    let best: { of: Filled<L>; rate: number } | null = null;
    for (const [k, stock] of packer.stocks.entries()) {
      if (!left[k]) continue;
      const of = packer.fill(k, rest, random);
      if (!of) continue;
      const rate = (stock.cost / sum(of.items.map((i) => packer.sizes[i]!))) * (1 + daring * random());
      if (!best || rate < best.rate) best = { of, rate };
    }
    if (!best) return null;
    left[best.of.stock] = left[best.of.stock]! - 1;
    const taken = new Set(best.of.items);
    rest = rest.filter((i) => !taken.has(i));
    done.push(best.of);
  }
  return done;
}

/** A blank that holds the same for less, where there is one. */
function smaller<L>(packer: Packer<L>, of: Filled<L>, left: readonly number[], random: () => number): Filled<L> {
  const size = sum(of.items.map((i) => packer.sizes[i]!));
  const kinds = packer.stocks
    .map((s, k) => ({ ...s, k }))
    .filter((s) => left[s.k] && s.capacity >= size && s.cost < packer.stocks[of.stock]!.cost)
    .sort((a, b) => a.cost - b.cost);
  for (const { k } of kinds)
    for (let i = 0; i < 4; i++) {
      const other = packer.fill(k, of.items, random);
      if (other?.items.length === of.items.length) return other;
    }
  return of;
}

const costOf = <L>(packer: Packer<L>, filled: readonly Filled<L>[]) =>
  sum(filled.map((f) => packer.stocks[f.stock]!.cost));

/** The emptier one blank and the fuller the others, the nearer is the day when one is not needed. */
const packed = <L>(packer: Packer<L>, filled: readonly Filled<L>[]) =>
  sum(filled.map((f) => (sum(f.items.map((i) => packer.sizes[i]!)) / packer.stocks[f.stock]!.capacity) ** 2));

/** A few blanks, an emptier one sooner. */
function someOf<L>(packer: Packer<L>, filled: readonly Filled<L>[], random: () => number): Set<number> {
  const few = Math.min(filled.length, 2 + Math.floor(random() * 3));
  const order = filled
    .map((f, i) => ({
      i,
      at: random() * (0.3 + sum(f.items.map((x) => packer.sizes[x]!)) / packer.stocks[f.stock]!.capacity),
    }))
    .sort((a, b) => a.at - b.at);
  return new Set(order.slice(0, few).map((x) => x.i));
}

/**
 * Looks for the filling that costs least, until it costs what the least one must or the rounds are over. It tells after
 * each step how far it is, and gives what it found; null where the pieces cannot all be placed.
 */
export function* searchCuts<L>(
  packer: Packer<L>,
  { least, starts, rounds, random }: { least: number; starts: number; rounds: number; random: () => number },
): Generator<number, Found<L> | null> {
  const all = packer.sizes.map((_, i) => i);
  const there = packer.stocks.map((s) => s.count);
  const leftOf = (filled: readonly Filled<L>[]) => {
    const left = [...there];
    for (const f of filled) left[f.stock] = left[f.stock]! - 1;
    return left;
  };
  let best: Filled<L>[] | null = null;
  let [cost, fit] = [Infinity, 0];
  const better = (filled: Filled<L>[]) => {
    const c = costOf(packer, filled);
    const p = packed(packer, filled);
    if (c > cost || (c === cost && p < fit)) return;
    [best, cost, fit] = [filled, c, p];
  };
  for (let i = 0; i < starts && cost > least; i++) {
    const filled = fillAll(packer, all, there, random);
    if (filled) {
      const left = leftOf(filled);
      better(
        filled.map((f) => {
          const other = smaller(packer, f, left, random);
          if (other !== f) {
            left[f.stock] = left[f.stock]! + 1;
            left[other.stock] = left[other.stock]! - 1;
          }
          return other;
        }),
      );
    }
    yield (0.3 * (i + 1)) / starts;
  }
  if (!best) return null;
  for (let i = 0; i < rounds && cost > least; i++) {
    const now: Filled<L>[] = best;
    const opened = someOf(packer, now, random);
    const kept = now.filter((_, k) => !opened.has(k));
    const loose = now.filter((_, k) => opened.has(k)).flatMap((f) => f.items);
    const again = fillAll(packer, loose, leftOf(kept), random);
    if (again) better([...kept, ...again]);
    if (i % 16 === 15) yield 0.3 + (0.7 * (i + 1)) / rounds;
  }
  return { filled: best, cost };
}

/**
 * The least that blanks can cost which hold so much together and are at least so many.
 * @example leastCost([{ cost: 3, capacity: 3, count: 9 }, { cost: 2, capacity: 2, count: 9 }], 4, 1) // => 4
 */
export function leastCost(stocks: readonly Stock[], need: number, number: number): number {
  const kinds = [...stocks].sort((a, b) => a.cost / a.capacity - b.cost / b.capacity);
  // What must at least be paid where the rest is bought by the measure.
  const byMeasure = (from: number, rest: number) => {
    let [cost, open] = [0, rest];
    for (let k = from; k < kinds.length && open > 0; k++) {
      const { capacity, count, cost: one } = kinds[k]!;
      const part = Math.min(open, capacity * count);
      cost += (part / capacity) * one;
      open -= part;
    }
    return open > 0 ? Infinity : cost;
  };
  let best = Infinity;
  let looks = 0;
  const look = (k: number, rest: number, few: number, paid: number) => {
    if (rest <= 0 && few <= 0) {
      best = Math.min(best, paid);
      return;
    }
    if (k === kinds.length || ++looks > 200_000 || paid + byMeasure(k, rest) >= best) return;
    const { capacity, count, cost } = kinds[k]!;
    const enough = Math.min(count, Math.max(0, Math.ceil(rest / capacity), few));
    for (let n = enough; n >= 0; n--) look(k + 1, rest - n * capacity, few - n, paid + n * cost);
  };
  look(0, need, number, 0);
  return looks > 200_000 ? Math.min(best, byMeasure(0, need)) : best;
}
