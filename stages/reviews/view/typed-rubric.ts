import type { Criterion } from "@/core/sheet/sheet";
import { linesOf } from "@/core/text/lines";

/** A criterion as it is typed: its levels a line each. */
export interface TypedCriterion {
  key: string;
  name: string;
  weight: string;
  levelText: string;
  individual: boolean;
}

/** The levels that a new criterion begins with. */
export const fourLevels = "0 not shown\n1 begun\n2 sound\n3 excellent";

/** Criteria in their form. */
export const typedCriteria = (criteria: readonly Criterion[]): TypedCriterion[] =>
  criteria.map((c) => ({
    key: c.key,
    name: c.name,
    weight: c.weight,
    individual: c.individual ?? false,
    levelText: c.levels.map((l) => `${l.points} ${l.descriptor}`.trim()).join("\n"),
  }));

/** The levels of a criterion as they are typed, one a line: points, then what it takes, however the two are parted. */
export const typedLevels = (text: string): { points: string; descriptor: string }[] =>
  linesOf(text).map((line) => {
    const [points = ""] = line.split(/[\s:–-]+/);
    return { points, descriptor: line.slice(points.length).replace(/^[\s:–-]+/, "") };
  });

/** A key that no criterion has: marks of sheets are kept by it, so that none is given twice. */
export function freeKey(criteria: readonly { key: string }[]): string {
  let n = criteria.length + 1;
  while (criteria.some((c) => c.key === `c${n}`)) n++;
  return `c${n}`;
}
