// A few pieces, each cut from edge to edge: all the ways in which a sheet can be divided are looked at.
import type { Filled } from "./search";
import type { Flat, Laid } from "./sheets";

/** A rectangle that some pieces can be cut from, and how. */
interface Rect {
  readonly length: number;
  readonly width: number;
  readonly of:
    | { readonly piece: number; readonly turned: boolean }
    | { readonly along: boolean; readonly parts: [Rect, Rect] };
}

/** How many pieces are few: bars are divided in one direction only. */
export const fewPieces = { bars: 10, sheets: 8 };

/** Those that no other is at most as long and at most as wide as. */
function smallest(list: readonly Rect[]): Rect[] {
  let low = Infinity;
  return [...list]
    .sort((a, b) => a.length - b.length || a.width - b.width)
    .filter((r) => {
      const narrower = r.width < low;
      low = Math.min(low, r.width);
      return narrower;
    });
}

const joined = (a: Rect, b: Rect): Rect[] => [
  { length: a.length + b.length, width: Math.max(a.width, b.width), of: { along: true, parts: [a, b] } },
  { length: Math.max(a.length, b.length), width: a.width + b.width, of: { along: false, parts: [a, b] } },
];

/** The smallest rectangles that each set of the pieces can be cut from, by the set's bits. */
function rectangles(flats: readonly Flat[]): Rect[][] {
  const rects: Rect[][] = [[]];
  for (let set = 1; set < 1 << flats.length; set++) {
    const made: Rect[] = [];
    if ((set & (set - 1)) === 0) {
      const piece = 31 - Math.clz32(set);
      const { length, width, turns } = flats[piece]!;
      made.push({ length, width, of: { piece, turned: false } });
      if (turns) made.push({ length: width, width: length, of: { piece, turned: true } });
    }
    for (let part = (set - 1) & set; part > (set ^ part); part = (part - 1) & set)
      for (const a of rects[part]!) for (const b of rects[set ^ part]!) made.push(...joined(a, b));
    rects.push(smallest(made));
  }
  return rects;
}

/** Where the pieces of a rectangle lie, from its corner. */
function placesOf({ of, length, width }: Rect, x: number, y: number): (Laid & { piece: number })[] {
  if ("piece" in of) return [{ ...of, x, y, length, width }];
  const [a, b] = of.parts;
  return [...placesOf(a, x, y), ...placesOf(b, of.along ? x + a.length : x, of.along ? y : y + a.width)];
}

/**
 * The sheets that cost least for a few pieces cut from edge to edge (bars are sheets of width one), proven by looking
 * at all divisions; null where it would need more of a kind than there are.
 * @example
 * divideSheets(
 *   [{ length: 3, width: 2, turns: true }, { length: 2, width: 3, turns: true }],
 *   [{ length: 4, width: 3, cost: 12, count: 9 }],
 * ).cost
 * // => 12
 */
export function divideSheets(
  flats: readonly Flat[],
  kinds: readonly { readonly length: number; readonly width: number; readonly cost: number; readonly count: number }[],
): { filled: Filled<readonly Laid[]>[]; cost: number } | null {
  const all = (1 << flats.length) - 1;
  const order = kinds.map((k, i) => ({ ...k, i })).sort((a, b) => a.cost - b.cost);
  const cheapest = rectangles(flats).map((list) => {
    for (const k of order) {
      const rect = list.find((r) => r.length <= k.length && r.width <= k.width);
      if (rect) return { rect, kind: k.i, cost: k.cost };
    }
    return null;
  });
  const best: { cost: number; part: number }[] = [{ cost: 0, part: 0 }];
  for (let set = 1; set <= all; set++) {
    best.push({ cost: Infinity, part: 0 });
    for (let part = set; part > 0; part = (part - 1) & set) {
      const one = part & set & -set ? cheapest[part] : null;
      const cost = one ? one.cost + best[set ^ part]!.cost : Infinity;
      if (cost < best[set]!.cost) best[set] = { cost, part };
    }
  }
  const filled: Filled<readonly Laid[]>[] = [];
  for (let set = all; set > 0; set ^= best[set]!.part) {
    const { rect, kind } = cheapest[best[set]!.part] ?? {};
    if (!rect || kind === undefined) return null;
    const places = placesOf(rect, 0, 0);
    filled.push({ stock: kind, items: places.map((p) => p.piece), layout: places });
  }
  const overdrawn = kinds.some((k, i) => filled.filter((f) => f.stock === i).length > k.count);
  return overdrawn ? null : { filled, cost: best[all]!.cost };
}
