import { seededRandom } from "@/core/draw/draw";
import { settled } from "@/core/quantity/number";
import { barPacker, leastBars } from "./bars";
import { divideSheets, fewPieces } from "./divisions";
import type { Blank, CutBlank, CutPlace, CutPlan, CutProblem, CutRefusal, Wanted } from "./problem";
import { type Filled, leastCost, type Packer, type Stock, searchCuts } from "./search";
import { type Laid, sheetPacker } from "./sheets";

export type CutAnswer = ({ readonly ok: true } & CutPlan) | ({ readonly ok: false } & CutRefusal);

/** What a blank holds between its borders; a last cut may fall on the border. */
const room = (p: CutProblem, b: Blank) => ({
  length: b.length - 2 * p.border + p.kerf,
  width: p.kind === "bars" ? 1 : b.width - 2 * p.border + p.kerf,
});

const goesOn = (p: CutProblem, w: Wanted, b: Blank) => {
  const { length, width } = room(p, b);
  if (p.kind === "bars") return w.length + p.kerf <= length;
  const [l, h] = [w.length + p.kerf, w.width + p.kerf];
  return (l <= length && h <= width) || (w.turns && h <= length && l <= width);
};

const sizeOf = (p: CutProblem, x: { length: number; width: number }) =>
  p.kind === "bars" ? x.length / 1e9 : (x.length / 1e9) * (x.width / 1e9);

interface Kind extends Stock {
  readonly blank: Blank;
  readonly bought: boolean;
  readonly length: number;
  readonly width: number;
}

/** The blanks that there are, and those that may be bought beyond them, which cost more than all that is there. */
function kindsOf(p: CutProblem, number: number): Kind[] {
  const there = p.blanks.reduce((s, b) => s + sizeOf(p, b) * (b.count ?? 0), 0);
  return p.blanks.flatMap((blank) => {
    const { length, width } = room(p, blank);
    if (length <= 0 || width <= 0) return [];
    const size = sizeOf(p, blank);
    const one = { blank, length, width, capacity: length * width };
    if (blank.count === null) return [{ ...one, cost: size, count: number, bought: false }];
    return [
      { ...one, cost: size, count: Math.min(blank.count, number), bought: false },
      { ...one, cost: size + there, count: number, bought: true },
    ].filter((k) => k.count > 0);
  });
}

/** Sheets that are needed at least because no two of some pieces share one. */
function alone(p: CutProblem, pieces: readonly Wanted[], kinds: readonly Kind[]): number {
  const [length, width] = [Math.max(...kinds.map((k) => k.length)), Math.max(...kinds.map((k) => k.width))];
  const half = (l: number, w: number) => 2 * l > length && 2 * w > width;
  return pieces.filter((w) => {
    const [l, h] = [w.length + p.kerf, w.width + p.kerf];
    return half(l, h) && (!w.turns || half(h, l));
  }).length;
}

/**
 * Plans from which blanks pieces are cut and where they lie on them, so that little is used: it looks for better plans
 * until one uses the least that any plan must, or its rounds are over. It tells how far it is (0 to 1), and gives the
 * same plan for the same problem. Pieces that no blank holds are named instead.
 *
 * Lengths in nanometres, at most 500 pieces; the plan's used and least in metres (bars) or square metres (sheets).
 * Bars: first fit by best filling, then a few bars emptied and filled anew (ruin and recreate); the least by the bound
 * of Martello and Toth. Sheets: by rooms cut from edge to edge, or by largest rooms; the least by area and by pieces
 * that share no sheet.
 */
export function* planCuts(p: CutProblem): Generator<number, CutAnswer> {
  const stray = p.pieces.filter((w) => w.count > 0 && !p.blanks.some((b) => goesOn(p, w, b)));
  if (stray.length) return { ok: false, pieces: stray.map((w) => w.id) };
  const pieces = p.pieces.flatMap((w) => new Array<Wanted>(w.count).fill(w));
  const kinds = kindsOf(p, pieces.length);
  if (!pieces.length) return { ok: true, blanks: [], used: 0, least: 0, proven: true };
  const flats = pieces.map((w) => ({
    length: w.length + p.kerf,
    width: w.width + p.kerf,
    turns: w.turns,
  }));
  const need = flats.reduce((s, f) => s + (p.kind === "bars" ? f.length : f.length * f.width), 0);
  const number =
    p.kind === "bars"
      ? leastBars(
          flats.map((f) => f.length),
          Math.max(...kinds.map((k) => k.length)),
        )
      : alone(p, pieces, kinds);
  // Areas and lengths are compared after rounding: sums of decimals differ in their last digits.
  const least = leastCost(kinds, need * (1 - 1e-12), number) * (1 + 1e-9);
  const random = seededRandom("cuts");
  const effort = Math.min(1, 200 / pieces.length);
  const rounds = {
    least,
    starts: Math.round(30 * effort),
    rounds: Math.round((p.way === "free" ? 500 : 2000) * effort),
    random,
  };
  const lay = <L>(packer: Packer<L>, places: (f: Filled<L>) => CutPlace[]) => ({ packer, places });
  const bars = lay(
    barPacker(
      pieces.map((w) => w.length),
      p.kerf,
      kinds,
    ),
    (f) =>
      f.items.map((i, k) => ({
        piece: pieces[i]!.id,
        x: p.border + f.layout[k]!,
        y: 0,
        length: pieces[i]!.length,
        width: kinds[f.stock]!.blank.width,
        turned: false,
      })),
  );
  const sheets = lay<readonly Laid[]>(sheetPacker(flats, p.way, kinds), (f) =>
    f.items.map((i, k) => {
      const at = f.layout[k]!;
      return {
        piece: pieces[i]!.id,
        x: p.border + at.x,
        y: p.border + at.y,
        length: at.length - p.kerf,
        width: at.width - p.kerf,
        turned: at.turned,
      };
    }),
  );
  const answer = function* <L>({ packer, places }: { packer: Packer<L>; places: (f: Filled<L>) => CutPlace[] }) {
    const found = yield* searchCuts(packer, rounds);
    if (!found) return null;
    return laidOut(found.filled, found.cost, places);
  };
  const laidOut = <L>(filled: readonly Filled<L>[], cost: number, places: (f: Filled<L>) => CutPlace[]) => {
    const blanks = filled.map((f): CutBlank => {
      const { blank, bought } = kinds[f.stock]!;
      const laid = places(f);
      const full = laid.reduce((s, x) => s + sizeOf(p, x), 0);
      return { blank: blank.id, places: laid, left: 1 - full / sizeOf(p, blank), bought };
    });
    return { blanks, cost };
  };
  // Few pieces: all divisions by cuts from edge to edge, which prove the plan where every cut goes so.
  const bar = p.kind === "bars";
  const across = bar ? flats.map((f) => ({ length: f.length, width: 1, turns: false })) : flats;
  const divided = pieces.length <= fewPieces[p.kind] ? divideSheets(across, kinds) : null;
  const exact = divided && (bar || p.way === "edge" || divided.cost <= least);
  const searched = exact ? null : p.kind === "bars" ? yield* answer(bars) : yield* answer(sheets);
  const got =
    divided && (exact || !searched || divided.cost < searched.cost)
      ? bar
        ? laidOut(
            divided.filled.map((f) => ({ ...f, layout: f.layout.map((l) => l.x) })),
            divided.cost,
            bars.places,
          )
        : laidOut(divided.filled, divided.cost, sheets.places)
      : searched;
  if (!got) return { ok: false, pieces: p.pieces.map((w) => w.id) };
  const blankOf = new Map(p.blanks.map((b) => [b.id, b]));
  const used = settled(got.blanks.reduce((s, b) => s + sizeOf(p, blankOf.get(b.blank)!), 0));
  const proven = exact || got.cost <= least;
  const sorted = [...got.blanks].sort((a, b) => a.blank.localeCompare(b.blank) || a.left - b.left);
  // Where something must be bought, the bound on what is used says less than that on what is bought.
  return {
    ok: true,
    blanks: sorted,
    used,
    least: proven
      ? used
      : leastCost(
          kinds.map((k) => ({ ...k, cost: sizeOf(p, k.blank) })),
          need * (1 - 1e-12),
          number,
        ),
    proven,
  };
}

/**
 * The same at once.
 * @example
 * planCutsAtOnce({
 *   kind: "bars", way: "edge", kerf: 3e6, border: 0,
 *   blanks: [{ id: "pine", length: 2.4e9, width: 4.4e7, count: null }],
 *   pieces: [{ id: "leg", length: 7.9e8, width: 4.4e7, count: 6, turns: false }],
 * }).blanks.length
 * // => 2
 */
export function planCutsAtOnce(p: CutProblem): CutAnswer {
  const run = planCuts(p);
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
  }
}
