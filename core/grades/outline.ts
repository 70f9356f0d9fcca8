import { type Component, type Group, isGroup, type SchemeNode } from "./scheme";

/** A line of a scheme that is written as an outline: a component, or a group, whose parts follow one deeper. */
export type OutlineRow = { readonly depth: number } & (Component | Omit<Group, "parts">);

/**
 * The lines of a scheme's parts, each group before what lies in it.
 * @example
 * outlineOf([{ key: "g", name: "G", weight: "1", parts: [{ key: "a", name: "A", weight: "1", parts: [] }] }])
 *   .map((r) => [r.key, r.depth])
 * // => [["g", 0], ["a", 1]]
 */
export const outlineOf = (parts: readonly SchemeNode[], depth = 0): OutlineRow[] =>
  parts.flatMap((p): OutlineRow[] => {
    if (!isGroup(p)) return [{ ...p, depth }];
    const { parts: inner, ...group } = p;
    return [{ ...group, depth }, ...outlineOf(inner, depth + 1)];
  });

/** Lines from one on that lie at least so deep, and where they end. */
function partsFrom(rows: readonly OutlineRow[], from: number, depth: number): { parts: SchemeNode[]; end: number } {
  const parts: SchemeNode[] = [];
  let at = from;
  while (at < rows.length && rows[at]!.depth >= depth) {
    const { depth: own, ...row } = rows[at]!;
    if ("source" in row) {
      parts.push(row);
      at++;
    } else {
      const inner = partsFrom(rows, at + 1, own + 1);
      parts.push({ ...row, parts: inner.parts });
      at = inner.end;
    }
  }
  return { parts, end: at };
}

/**
 * The parts that an outline makes, or what is wrong with it in words: a line lies in the group above it, and at most
 * one deeper than that.
 * @example
 * treeOf([
 *   { key: "g", name: "G", weight: "1", depth: 0 },
 *   { key: "a", name: "A", weight: "1", depth: 1, source: { kind: "entered" } },
 * ])
 * // => {
 *   parts: [
 *     {
 *       key: "g",
 *       name: "G",
 *       weight: "1",
 *       parts: [{ key: "a", name: "A", weight: "1", source: { kind: "entered" } }],
 *     },
 *   ],
 * }
 * @example treeOf([{ key: "a", name: "A", weight: "1", depth: 1, source: { kind: "entered" } }])
 * // => { wrong: "A lies in no group." }
 */
export function treeOf(rows: readonly OutlineRow[]): { parts: SchemeNode[] } | { wrong: string } {
  for (const [i, row] of rows.entries()) {
    const above = rows[i - 1];
    const deepest = above === undefined ? 0 : above.depth + ("source" in above ? 0 : 1);
    if (row.depth > deepest) return { wrong: `${row.name} lies in no group.` };
  }
  return { parts: partsFrom(rows, 0, 0).parts };
}

/**
 * Where what lies in a line of an outline ends: the place of the next one that is no deeper.
 * @example endOf([{ depth: 0 }, { depth: 1 }, { depth: 0 }], 0) // => 2
 */
export function endOf(rows: readonly { readonly depth: number }[], at: number): number {
  const next = rows.findIndex((p, i) => i > at && p.depth <= rows[at]!.depth);
  return next < 0 ? rows.length : next;
}

/**
 * Percent of the whole that each line of an outline is; null where a weight can't be read.
 * @example
 * sharesOfWhole([{ depth: 0, weight: "60" }, { depth: 1, weight: "2" }, { depth: 1, weight: "1" }])
 * // => [60, 40, 20]
 */
export function sharesOfWhole(rows: readonly { readonly depth: number; readonly weight: string }[]): (number | null)[] {
  const weight = (p: { weight: string }) => Number(p.weight.trim().replace(",", "."));
  const out: (number | null)[] = [];
  for (const [i, p] of rows.entries()) {
    const above = rows.findLastIndex((x, j) => j < i && x.depth < p.depth);
    if (p.depth === 0 || above < 0) {
      out.push(weight(p) || null);
      continue;
    }
    const siblings = rows.filter((x, j) => j > above && j < endOf(rows, above) && x.depth === p.depth);
    const sum = siblings.reduce((s, x) => s + weight(x), 0);
    const whole = out[above]!;
    out.push(whole !== null && sum > 0 && weight(p) > 0 ? (whole * weight(p)) / sum : null);
  }
  return out;
}
