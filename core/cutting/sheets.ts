import type { CutWay } from "@/core/vocabulary/shop";
import type { Filled, Packer, Stock } from "./search";

export interface Box {
  readonly x: number;
  readonly y: number;
  readonly length: number;
  readonly width: number;
}

export interface Laid extends Box {
  readonly turned: boolean;
}

export interface Flat {
  readonly length: number;
  readonly width: number;
  readonly turns: boolean;
}

type Fit = (room: Box, length: number, width: number) => number;

/** How well a piece lies in a room; the smallest wins. */
const fits: readonly Fit[] = [
  (r, l, w) => Math.min(r.length - l, r.width - w),
  (r, l, w) => r.length * r.width - l * w,
  (r, l, w) => Math.max(r.length - l, r.width - w),
  (r) => r.y * 1e3 + r.x,
  (r) => r.x * 1e3 + r.y,
];

type Split = (room: Box, length: number, width: number) => boolean;

/** Whether the first cut beside a piece goes along the room's length; else across. */
const splits: readonly Split[] = [
  (r, l, w) => r.length - l > r.width - w,
  (r, l, w) => r.length - l <= r.width - w,
  (r, l, w) => l * (r.width - w) > (r.length - l) * w,
  () => true,
  () => false,
];
const pick = <T>(list: readonly T[], random: () => number): T => list[Math.floor(random() * list.length)]!;

/** The two rooms that a piece in a corner leaves, after a cut from edge to edge beside it. */
function cutRoom(room: Box, length: number, width: number, along: boolean): Box[] {
  const beside = { x: room.x + length, y: room.y, length: room.length - length, width: along ? width : room.width };
  const above = { x: room.x, y: room.y + width, length: along ? room.length : length, width: room.width - width };
  return [beside, above].filter((r) => r.length > 0 && r.width > 0);
}

const meets = (a: Box, b: Box) =>
  a.x < b.x + b.length && b.x < a.x + a.length && a.y < b.y + b.width && b.y < a.y + a.width;
const holds = (a: Box, b: Box) =>
  a.x <= b.x && a.y <= b.y && a.x + a.length >= b.x + b.length && a.y + a.width >= b.y + b.width;

/** The largest rooms that are left when a piece lies somewhere among them. */
function around(rooms: readonly Box[], laid: Box): Box[] {
  const untouched = rooms.filter((r) => !meets(r, laid));
  const parts = rooms
    .filter((r) => meets(r, laid))
    .flatMap((r) =>
      [
        { ...r, length: laid.x - r.x },
        { ...r, x: laid.x + laid.length, length: r.x + r.length - laid.x - laid.length },
        { ...r, width: laid.y - r.y },
        { ...r, y: laid.y + laid.width, width: r.y + r.width - laid.y - laid.width },
      ].filter((p) => p.length > 0 && p.width > 0),
    );
  const fresh = parts.filter(
    (p, i) =>
      !parts.some((q, k) => k !== i && holds(q, p) && (k < i || !holds(p, q))) && !untouched.some((q) => holds(q, p)),
  );
  return [...untouched, ...fresh];
}

interface Choice {
  readonly room: number;
  readonly length: number;
  readonly width: number;
  readonly turned: boolean;
  readonly score: number;
}

/** Where a piece lies best among the rooms. */
function bestRoom(rooms: readonly Box[], piece: Flat, fit: Fit): Choice | null {
  let best: Choice | null = null;
  const lies = piece.turns && piece.length !== piece.width ? [false, true] : [false];
  for (const turned of lies) {
    const [length, width] = turned ? [piece.width, piece.length] : [piece.length, piece.width];
    for (const [k, room] of rooms.entries()) {
      if (length > room.length || width > room.width) continue;
      const score = fit(room, length, width);
      if (!best || score < best.score) best = { room: k, length, width, turned, score };
    }
  }
  return best;
}

const orders: readonly ((p: Flat) => number)[] = [
  (p) => p.length * p.width,
  (p) => Math.max(p.length, p.width),
  (p) => p.length + p.width,
  (p) => Math.min(p.length, p.width),
  (p) => p.length,
  (p) => p.width,
];

/** Lays pieces into one sheet in an order, by rules of fit and of cutting. */
function layIn(sheet: Box, flats: readonly Flat[], order: readonly number[], way: CutWay, rules: () => [Fit, Split]) {
  let rooms: Box[] = [sheet];
  const items: number[] = [];
  const layout: Laid[] = [];
  for (const i of order) {
    const [fit, split] = rules();
    const at = bestRoom(rooms, flats[i]!, fit);
    if (!at) continue;
    const room = rooms[at.room]!;
    const laid = { x: room.x, y: room.y, length: at.length, width: at.width, turned: at.turned };
    rooms =
      way === "free"
        ? around(rooms, laid)
        : [
            ...rooms.filter((_, k) => k !== at.room),
            ...cutRoom(room, at.length, at.width, split(room, at.length, at.width)),
          ];
    items.push(i);
    layout.push(laid);
    if (!rooms.length) break;
  }
  return { items, layout };
}

/**
 * Fills sheets: pieces that each have a cut beside them and above them, on sheets that are so large between their
 * borders; of several tries the fullest.
 * @example
 * sheetPacker(
 *   [{ length: 3, width: 2, turns: true }, { length: 9, width: 9, turns: false }],
 *   "edge",
 *   [{ cost: 1, capacity: 12, count: 1, length: 4, width: 3 }],
 * ).fill(0, [0, 1], () => 0.5).items
 * // => [0]
 */
export function sheetPacker(
  flats: readonly Flat[],
  way: CutWay,
  stocks: readonly (Stock & { readonly length: number; readonly width: number })[],
): Packer<readonly Laid[]> {
  const sizes = flats.map((f) => f.length * f.width);
  return {
    stocks,
    sizes,
    fill(stock, items, random): Filled<readonly Laid[]> | null {
      const { length, width } = stocks[stock]!;
      let best: { items: number[]; layout: Laid[]; full: number } | null = null;
      const total = items.reduce((s, i) => s + sizes[i]!, 0);
      const tries = items.length > 60 ? 2 : items.length > 20 ? 4 : 8;
      for (let t = 0; t < tries; t++) {
        const by = pick(orders, random);
        const blur = pick([0, 0.1, 0.4], random);
        const order = items
          .map((i) => ({ i, at: by(flats[i]!) * (1 + blur * random()) }))
          .sort((a, b) => b.at - a.at)
          .map((x) => x.i);
        // One rule for all of a sheet makes strips; one a piece finds what strips do not.
        const mixed = random() < 0.5;
        const [fit, split] = [pick(fits, random), pick(splits, random)];
        const laid = layIn({ x: 0, y: 0, length, width }, flats, order, way, () =>
          mixed ? [pick(fits, random), pick(splits, random)] : [fit, split],
        );
        const full = laid.items.reduce((s, i) => s + sizes[i]!, 0);
        if (laid.items.length && (!best || full > best.full)) best = { ...laid, full };
        if (best?.full === total) break;
      }
      return best && { stock, items: best.items, layout: best.layout };
    },
  };
}
