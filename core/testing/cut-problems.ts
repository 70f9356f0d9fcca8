// Small problems of cutting, and what proves their optimum: a mixed-integer program for bars and for pieces that lie
// freely on sheets, all divisions from edge to edge by exhaustion for the others.
import type { CutProblem } from "@/core/cutting/problem";
import { seededRandom } from "@/core/draw/draw";
import type { CutWay } from "@/core/vocabulary/shop";

const mm = 1e6;

/**
 * A problem of so many pieces with whole millimetres, drawn by its seed.
 * @example cutProblem({ seed: "s", kind: "bars", pieces: 3 }).pieces.length // => 3
 */
export function cutProblem({
  seed,
  kind,
  way = "free",
  pieces,
  blanks = 1,
  big = 0.6,
}: {
  seed: string;
  kind: CutProblem["kind"];
  way?: CutWay;
  pieces: number;
  blanks?: number;
  /** The largest side of a piece as a share of the blank's. */
  big?: number;
}): CutProblem {
  const random = seededRandom(seed);
  const between = (from: number, to: number) => Math.round(from + (to - from) * random()) * mm;
  const sizes = Array.from({ length: blanks }, (_, k) => ({
    id: `B${k}`,
    length: (600 - 170 * k) * mm,
    width: (kind === "bars" ? 40 : 400 - 110 * k) * mm,
    count: null,
  }));
  return {
    kind,
    way,
    kerf: kind === "bars" ? 3 * mm : mm,
    border: 5 * mm,
    blanks: sizes,
    pieces: Array.from({ length: pieces }, (_, i) => ({
      id: `P${i}`,
      length: between(60, 580 * big),
      width: kind === "bars" ? 40 * mm : between(50, 380 * big),
      count: 1,
      turns: random() < 0.8,
    })),
  };
}

const size = (p: CutProblem, b: { length: number; width: number }) =>
  p.kind === "bars" ? b.length / 1e9 : (b.length / 1e9) * (b.width / 1e9);

/**
 * The program of bars, or of pieces lying freely on sheets, as text for a solver: the least that is used.
 * @example cutProgram(cutProblem({ seed: "s", kind: "bars", pieces: 3 }), 2).split("\n")[0] // => "Minimize"
 */
export function cutProgram(p: CutProblem, most: number): string {
  const n = p.pieces.length;
  const blanks = p.blanks.flatMap((b, t) => Array.from({ length: most }, (_, k) => ({ b, name: `z${t}_${k}` })));
  const rows: string[] = [];
  const binary: string[] = blanks.map((x) => x.name);
  const bounds: string[] = [];
  const place = (i: number, j: number) => `s${i}_${j}`;
  for (const [i] of p.pieces.entries()) {
    rows.push(`${blanks.map((_, j) => place(i, j)).join(" + ")} = 1`);
    for (const [j, { name }] of blanks.entries()) rows.push(`${place(i, j)} - ${name} <= 0`);
    binary.push(...blanks.map((_, j) => place(i, j)));
  }
  for (const [j, { b, name }] of blanks.entries()) {
    const room = (x: number) => (x - 2 * p.border + p.kerf) / mm;
    const area = p.pieces.map((w, i) => {
      const one = p.kind === "bars" ? (w.length + p.kerf) / mm : ((w.length + p.kerf) / mm) * ((w.width + p.kerf) / mm);
      return `${one} ${place(i, j)}`;
    });
    const all = p.kind === "bars" ? room(b.length) : room(b.length) * room(b.width);
    rows.push(`${area.join(" + ")} - ${all} ${name} <= 0`);
    if (j % most) rows.push(`${blanks[j - 1]!.name} - ${name} >= 0`);
  }
  if (p.kind === "sheets") {
    const far = Math.max(...p.blanks.flatMap((b) => [b.length, b.width])) / mm + 10;
    const sides = p.pieces.map((w) => [(w.length + p.kerf) / mm, (w.width + p.kerf) / mm] as const);
    for (const [i, [l, h]] of sides.entries()) {
      bounds.push(`x${i} >= 0`, `y${i} >= 0`);
      binary.push(`r${i}`);
      if (!p.pieces[i]!.turns) rows.push(`r${i} = 0`);
      // x + l + (h − l) r <= the room of the sheet that it lies on.
      const sheet = (side: "length" | "width") =>
        blanks.map(({ b }, j) => `- ${(b[side] - 2 * p.border + p.kerf) / mm} ${place(i, j)}`).join(" ");
      rows.push(
        `x${i} + ${h - l} r${i} ${sheet("length")} <= ${-l}`,
        `y${i} + ${l - h} r${i} ${sheet("width")} <= ${-h}`,
      );
      for (let k = i + 1; k < n; k++) {
        const [m, g] = sides[k]!;
        const [a, b, c, d] = ["a", "b", "c", "d"].map((s) => `${s}${i}_${k}`);
        binary.push(a!, b!, c!, d!);
        for (const [j] of blanks.entries())
          rows.push(`${a} + ${b} + ${c} + ${d} - ${place(i, j)} - ${place(k, j)} >= -1`);
        rows.push(
          `x${i} - x${k} + ${h - l} r${i} + ${far} ${a} <= ${far - l}`,
          `x${k} - x${i} + ${g - m} r${k} + ${far} ${b} <= ${far - m}`,
          `y${i} - y${k} + ${l - h} r${i} + ${far} ${c} <= ${far - h}`,
          `y${k} - y${i} + ${m - g} r${k} + ${far} ${d} <= ${far - g}`,
        );
      }
    }
  }
  const plain = (row: string) => row.replaceAll("+ -", "- ");
  const cost = blanks.map(({ b, name }) => `${size(p, b)} ${name}`).join(" + ");
  return [
    "Minimize",
    ` obj: ${cost}`,
    "Subject To",
    ...rows.map((r, i) => ` c${i}: ${plain(r)}`),
    "Bounds",
    ...bounds.map((b) => ` ${b}`),
    "Binary",
    ` ${binary.join(" ")}`,
    "End",
  ].join("\n");
}

/**
 * The least area of sheets for at most ten pieces, each cut from edge to edge, by looking at all divisions.
 * @example leastByEdges(cutProblem({ seed: "s", kind: "sheets", way: "edge", pieces: 1 })) // => 0.24
 */
export function leastByEdges(p: CutProblem): number {
  const n = p.pieces.length;
  type Rect = readonly [length: number, width: number];
  const front = (list: readonly Rect[]) => {
    const sorted = [...list].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
    let low = Infinity;
    return sorted.filter(([, w]) => {
      const smallest = w < low;
      low = Math.min(low, w);
      return smallest;
    });
  };
  // The smallest rectangles that each set of pieces can be cut from.
  const rects: (readonly Rect[])[] = [];
  for (let set = 1; set < 1 << n; set++) {
    if ((set & (set - 1)) === 0) {
      const w = p.pieces[31 - Math.clz32(set)]!;
      const [l, h] = [w.length + p.kerf, w.width + p.kerf];
      rects[set] = front(
        w.turns
          ? [
              [l, h],
              [h, l],
            ]
          : [[l, h]],
      );
      continue;
    }
    const made: Rect[] = [];
    for (let part = (set - 1) & set; part > 0; part = (part - 1) & set)
      if (part > (set ^ part))
        for (const a of rects[part]!)
          for (const b of rects[set ^ part]!)
            made.push([a[0] + b[0], Math.max(a[1], b[1])], [Math.max(a[0], b[0]), a[1] + b[1]]);
    rects[set] = front(made);
  }
  const cost = rects.map((list) =>
    Math.min(
      ...p.blanks
        .filter((b) =>
          list.some(([l, h]) => l <= b.length - 2 * p.border + p.kerf && h <= b.width - 2 * p.border + p.kerf),
        )
        .map((b) => size(p, b)),
    ),
  );
  const least = [0];
  for (let set = 1; set < 1 << n; set++) {
    const first = set & -set;
    least[set] = Infinity;
    for (let part = set; part > 0; part = (part - 1) & set)
      if (part & first) least[set] = Math.min(least[set]!, cost[part]! + least[set ^ part]!);
  }
  return least[(1 << n) - 1]!;
}
