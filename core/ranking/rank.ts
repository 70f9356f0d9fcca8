import Decimal from "decimal.js";
import type { PlaceNumbering } from "../vocabulary/contest";
import type { Better } from "../vocabulary/runs";

export interface Candidate {
  readonly id: string;
  /** Exact decimal text in the measure's unit; null when there is nothing to rank. */
  readonly value: string | null;
  /** Values of the tie-break chain, in its order. */
  readonly breaks: readonly (string | null)[];
}

export interface TieBreak {
  readonly label: string;
  readonly better: Better;
}

export interface RankRule {
  readonly better: Better;
  readonly school: PlaceNumbering;
  /** Values on the same multiple of this are tied; null orders by the recorded digits. */
  readonly resolution: string | null;
  readonly tieBreaks: readonly TieBreak[];
}

export interface Ranked {
  readonly id: string;
  /** null for candidates without a value. */
  readonly place: number | null;
  /** The places that it fills with those it is tied with, whatever the way of numbering: the first, and how many. */
  readonly first: number | null;
  readonly sharing: number;
  readonly shared: boolean;
  /** Which tie-break decided between this one and its neighbours, in words. */
  readonly decidedBy: string | null;
}

/**
 * A value on its instrument's grid, half up; itself without a resolution.
 * @example atResolution("8.95", "0.1").toString() // => "9"
 */
export const atResolution = (value: string, resolution: string | null): Decimal =>
  resolution === null
    ? new Decimal(value)
    : new Decimal(value).div(resolution).toDecimalPlaces(0, Decimal.ROUND_HALF_UP).times(resolution);

function compare(a: Decimal | null, b: Decimal | null, better: Better): number {
  if (a === null || b === null) return a === b ? 0 : a === null ? 1 : -1;
  return better === "more" ? b.cmp(a) : a.cmp(b);
}

/**
 * Values to places. Values that agree at the instrument's resolution are tied, then the tie-break chain decides in
 * order; an unbroken tie is shared.
 * Candidates without a value come last and have no place. Ties are transitive because values are first rounded to the
 * resolution's grid.
 * @example
 * rank(
 *   [
 *     { id: "a", value: "9.4", breaks: [] },
 *     { id: "b", value: "8.91", breaks: [] },
 *     { id: "c", value: "8.94", breaks: [] },
 *     { id: "d", value: "7", breaks: [] },
 *   ],
 *   { better: "more", school: "competition", resolution: "0.1", tieBreaks: [] },
 * ).map((r) => r.place)
 * // => [1, 2, 2, 4]
 */
export function rank(candidates: readonly Candidate[], rule: RankRule): Ranked[] {
  const prepared = candidates
    .filter((c) => c.value !== null)
    .map((c) => ({
      id: c.id,
      main: atResolution(c.value!, rule.resolution),
      breaks: rule.tieBreaks.map((_, i) => (c.breaks[i] == null ? null : new Decimal(c.breaks[i]!))),
    }));
  const decide = (a: (typeof prepared)[number], b: (typeof prepared)[number]): [number, number] => {
    const main = compare(a.main, b.main, rule.better);
    if (main !== 0) return [main, -1];
    for (let i = 0; i < rule.tieBreaks.length; i++) {
      const c = compare(a.breaks[i]!, b.breaks[i]!, rule.tieBreaks[i]!.better);
      if (c !== 0) return [c, i];
    }
    return [0, -1];
  };
  prepared.sort((a, b) => decide(a, b)[0]);
  const groups: (typeof prepared)[] = [];
  for (const item of prepared) {
    const group = groups.at(-1);
    if (group && decide(group[0]!, item)[0] === 0) group.push(item);
    else groups.push([item]);
  }
  const out: Ranked[] = [];
  let before = 0;
  groups.forEach((group, g) => {
    const place =
      rule.school === "dense" ? g + 1 : rule.school === "shared" ? before + (group.length + 1) / 2 : before + 1;
    const neighbours = [groups[g - 1], groups[g + 1]].flatMap((n) => (n ? [decide(n[0]!, group[0]!)[1]] : []));
    const broke = neighbours.filter((i) => i >= 0);
    for (const item of group)
      out.push({
        id: item.id,
        place,
        first: before + 1,
        sharing: group.length,
        shared: group.length > 1,
        decidedBy: broke.length ? rule.tieBreaks[Math.max(...broke)]!.label : null,
      });
    before += group.length;
  });
  for (const c of candidates)
    if (c.value === null) out.push({ id: c.id, place: null, first: null, sharing: 1, shared: false, decidedBy: null });
  return out;
}
