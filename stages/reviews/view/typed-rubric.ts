import type { Criterion } from "@/core/sheet/sheet";

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

/** A key that no criterion has: marks of sheets are kept by it, so that none is given twice. */
export function freeKey(criteria: readonly { key: string }[]): string {
  let n = criteria.length + 1;
  while (criteria.some((c) => c.key === `c${n}`)) n++;
  return `c${n}`;
}
