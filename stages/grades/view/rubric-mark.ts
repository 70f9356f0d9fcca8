import { type RubricDefinition, scoreSheet } from "@/core/sheet/sheet";

/** A rubric that a student's notebook can be marked by. */
export interface NotebookRubric {
  readonly id: string;
  readonly name: string;
  readonly definition: RubricDefinition;
}

/** The level of each criterion to begin with: the lowest, so that every point is given by somebody. */
export const lowest = (r: NotebookRubric): Record<string, string> =>
  Object.fromEntries(r.definition.criteria.map((c) => [c.key, c.levels.at(0)?.points ?? "0"]));

/** What a rubric's levels come to, as it is typed into the gradebook: the percent, and how it came. */
export function typedByRubric(r: NotebookRubric, points: Readonly<Record<string, string>>): string {
  const marks = r.definition.criteria.map((c) => ({ criterion: c.key, points: points[c.key] ?? "0" }));
  const { value } = scoreSheet(r.definition, { rater: r.name, marks });
  const how = r.definition.criteria.map((c) => `${c.name} ${points[c.key] ?? "0"}`).join(", ");
  const percent = (Number(value ?? 0) * 100).toFixed(1).replace(/\.0$/, "");
  return `${percent} % by ${r.name}: ${how}`.slice(0, 440);
}
