import Decimal from "decimal.js";
import { equation, joined } from "../working/equation";
import { type Computed, makeWorking } from "../working/working";

export interface Level {
  readonly points: string;
  readonly descriptor: string;
}

export interface Criterion {
  readonly key: string;
  readonly name: string;
  /** Share of the whole; the sheet divides by the sum of weights. */
  readonly weight: string;
  readonly levels: readonly Level[];
  /** Each member of the team is marked alone; it is no part of the team's score. */
  readonly individual?: boolean;
}

export interface RubricDefinition {
  readonly criteria: readonly Criterion[];
}

export interface Mark {
  readonly criterion: string;
  readonly points: string;
}

export interface FilledSheet {
  readonly rater: string;
  readonly marks: readonly Mark[];
}

/**
 * What of a rubric the team is marked by together.
 * @example
 * teamPart({ criteria: [{ key: "a", name: "Speaks", weight: "1", levels: [], individual: true }] }).criteria.length
 * // => 0
 */
export const teamPart = (r: RubricDefinition): RubricDefinition => ({
  criteria: r.criteria.filter((c) => !c.individual),
});

/**
 * What of a rubric each member of a team is marked by alone.
 * @example individualPart({ criteria: [{ key: "a", name: "Idea", weight: "1", levels: [] }] }).criteria.length // => 0
 */
export const individualPart = (r: RubricDefinition): RubricDefinition => ({
  criteria: r.criteria.filter((c) => c.individual),
});

const top = (c: Criterion) => c.levels.reduce((m, l) => Decimal.max(m, l.points), new Decimal(0));
const show = (d: Decimal) => d.toDecimalPlaces(2).toString();

/**
 * What is wrong with a rubric, in words; empty when it can be used.
 * @example checkRubric({ criteria: [] }) // => ["A rubric has at least one criterion."]
 */
export function checkRubric(r: RubricDefinition): string[] {
  if (r.criteria.length === 0) return ["A rubric has at least one criterion."];
  if (r.criteria.every((c) => c.individual)) return ["At least one criterion is the team's together."];
  return r.criteria.flatMap((c) => [
    ...(c.levels.length < 2 ? [`${c.name}: give at least two levels.`] : []),
    ...(Number(c.weight) > 0 ? [] : [`${c.name}: the weight must be above zero.`]),
    ...(!c.levels.every((l) => /^\d+(\.\d+)?$/.test(l.points))
      ? [`${c.name}: points are numbers from 0 up.`]
      : top(c).gt(0)
        ? []
        : [`${c.name}: the best level must earn points.`]),
  ]);
}

/**
 * One sheet as a share of the whole, 0 to 1: Σ weight × points ÷ best points, over Σ weight; null while a criterion has
 * no mark.
 * @example
 * scoreSheet(
 *   {
 *     criteria: [
 *       {
 *         key: "a",
 *         name: "Idea",
 *         weight: "1",
 *         levels: [
 *           { points: "0", descriptor: "" },
 *           { points: "4", descriptor: "" },
 *         ],
 *       },
 *     ],
 *   },
 *   { rater: "R", marks: [{ criterion: "a", points: "3" }] },
 * ).value
 * // => "0.75"
 */
export function scoreSheet(rubric: RubricDefinition, sheet: FilledSheet): Computed<string | null> {
  const rule = "Each criterion's points over its best level, times its weight, over the sum of the weights.";
  const marks = new Map(sheet.marks.map((m) => [m.criterion, m.points]));
  const missing = rubric.criteria.filter((c) => !marks.has(c.key));
  if (missing.length)
    return {
      value: null,
      working: makeWorking({
        title: `Sheet of ${sheet.rater}`,
        result: "–",
        rule,
        warnings: [`Not marked: ${missing.map((c) => c.name).join(", ")}.`],
      }),
    };
  const weights = rubric.criteria.reduce((s, c) => s.plus(c.weight), new Decimal(0));
  const earned = (c: Criterion) => new Decimal(c.weight).times(marks.get(c.key)!).div(top(c));
  const sum = rubric.criteria.reduce((s, c) => s.plus(earned(c)), new Decimal(0));
  const share = sum.div(weights).toSignificantDigits(15);
  return {
    value: share.toString(),
    working: makeWorking({
      title: `Sheet of ${sheet.rater}`,
      result: show(share.times(100)),
      unit: "%",
      rule,
      steps: [
        ...rubric.criteria.map(
          (c) => `${c.name}: ${equation([c.weight, " × ", marks.get(c.key)!, " ÷ ", String(top(c))], show(earned(c)))}`,
        ),
        `sum: ${equation(
          ["(", ...joined(rubric.criteria.map(earned), " + "), `) ÷ ${weights} × 100`],
          show(share.times(100)),
          "%",
        )}`,
      ],
    }),
  };
}

/**
 * Several reviewers' sheets as one share, 0 to 1: the mean of the complete sheets; null while none is complete.
 * @example
 * combineSheets(
 *   {
 *     criteria: [
 *       {
 *         key: "a",
 *         name: "Idea",
 *         weight: "1",
 *         levels: [
 *           { points: "0", descriptor: "" },
 *           { points: "4", descriptor: "" },
 *         ],
 *       },
 *     ],
 *   },
 *   [
 *     { rater: "R", marks: [{ criterion: "a", points: "3" }] },
 *     { rater: "S", marks: [{ criterion: "a", points: "4" }] },
 *   ],
 * ).value
 * // => "0.875"
 */
export function combineSheets(rubric: RubricDefinition, sheets: readonly FilledSheet[]): Computed<string | null> {
  const scored = sheets.map((s) => ({ rater: s.rater, ...scoreSheet(rubric, s) }));
  const complete = scored.filter((s) => s.value !== null);
  const rule = "The mean of the reviewers' complete sheets.";
  const warnings = scored
    .filter((s) => s.value === null)
    .map((s) => `${s.rater}'s sheet is not complete and is left out.`);
  if (complete.length === 0)
    return { value: null, working: makeWorking({ title: "Review score", result: "–", unit: "%", rule, warnings }) };
  const value = complete
    .reduce((s, x) => s.plus(x.value!), new Decimal(0))
    .div(complete.length)
    .toSignificantDigits(15);
  const percent = (v: string) => show(new Decimal(v).times(100));
  return {
    value: value.toString(),
    working: makeWorking({
      title: "Review score",
      result: show(value.times(100)),
      unit: "%",
      rule,
      warnings,
      steps: [
        equation(
          [
            "(",
            ...joined(
              complete.map((s) => new Decimal(s.value!).times(100)),
              " + ",
            ),
            `) ÷ ${complete.length}`,
          ],
          show(value.times(100)),
          "%",
        ),
      ],
      inputs: complete.map((s) => ({ label: s.rater, value: percent(s.value!), unit: "%" })),
    }),
  };
}

/** A criterion's next level above what was given, and what it would have added to the whole. */
export interface NextLevel {
  readonly criterion: string;
  readonly name: string;
  /** Mean of the reviewers' points. */
  readonly given: string;
  readonly points: string;
  readonly descriptor: string;
  /** Percent of the sheet. */
  readonly adds: string;
}

/**
 * For each criterion that could have earned more: the lowest level above the mean of what the reviewers gave.
 * @example
 * nextLevels(
 *   {
 *     criteria: [
 *       {
 *         key: "a",
 *         name: "Idea",
 *         weight: "1",
 *         levels: [
 *           { points: "0", descriptor: "none" },
 *           { points: "4", descriptor: "argued" },
 *         ],
 *       },
 *     ],
 *   },
 *   [{ rater: "R", marks: [{ criterion: "a", points: "3" }] }],
 * )
 * // => [{ criterion: "a", name: "Idea", given: "3", points: "4", descriptor: "argued", adds: "25" }]
 */
export function nextLevels(rubric: RubricDefinition, sheets: readonly FilledSheet[]): NextLevel[] {
  const weights = rubric.criteria.reduce((s, c) => s.plus(c.weight), new Decimal(0));
  return rubric.criteria.flatMap((c) => {
    const given = sheets.flatMap((s) => s.marks.filter((m) => m.criterion === c.key).map((m) => m.points));
    if (!given.length) return [];
    const mean = given.reduce((s, p) => s.plus(p), new Decimal(0)).div(given.length);
    const next = c.levels.filter((l) => mean.lt(l.points)).toSorted((a, b) => Number(a.points) - Number(b.points))[0];
    if (!next) return [];
    const adds = new Decimal(next.points).minus(mean).div(top(c)).times(c.weight).div(weights).times(100);
    return [
      {
        criterion: c.key,
        name: c.name,
        given: show(mean),
        points: next.points,
        descriptor: next.descriptor,
        adds: adds.toDecimalPlaces(1).toString(),
      },
    ];
  });
}
