import { drawOrder } from "../draw/draw";
import { shownBy } from "./compare";
import { variance } from "./describe";
import { type Factor, mostInExperiment } from "./factors";

export interface PlannedRun {
  /** Its place in the order, from 1. */
  readonly number: number;
  readonly repeat: number;
  /** Level by factor. */
  readonly settings: Readonly<Record<string, string>>;
}

/**
 * The runs of an experiment in which every combination of levels is measured so many times. Each repeat is complete and
 * has a drawn order of its own, so that what drifts in the course of the work falls on all levels alike. The same seed
 * gives the same order. Throws beyond `mostInExperiment.runs`.
 * @example planRuns([{ name: "valve", levels: ["flap", "ball"] }], 3, "4417").length // => 6
 */
export function planRuns(factors: readonly Factor[], repeats: number, seed: string): PlannedRun[] {
  const combinations = factors.reduce<Record<string, string>[]>(
    (sets, f) => sets.flatMap((s) => f.levels.map((level) => ({ ...s, [f.name]: level }))),
    [{}],
  );
  if (!factors.length || repeats < 1) return [];
  if (combinations.length * repeats > mostInExperiment.runs)
    throw new RangeError(`An experiment has at most ${mostInExperiment.runs} runs`);
  return Array.from({ length: repeats }, (_, k) => drawOrder(combinations, `${seed} ${k + 1}`))
    .flatMap((set, k) => set.map((settings) => ({ settings, repeat: k + 1 })))
    .map((r, i) => ({ number: i + 1, ...r }));
}

/**
 * The scatter between runs of one build, over several builds: their variances weighted by degrees of freedom; null
 * where no build has two runs.
 * @example pooledSd([[1, 3], [5, 7]]) // => 1.4142135623730951
 */
export function pooledSd(groups: readonly (readonly number[])[]): number | null {
  const able = groups.filter((g) => g.length > 1);
  const df = able.reduce((s, g) => s + g.length - 1, 0);
  return df ? Math.sqrt(able.reduce((s, g) => s + (g.length - 1) * variance(g), 0) / df) : null;
}

/**
 * The smallest difference between two levels of each factor that the planned runs show with 80 % power, in the unit of
 * `sd`; null where that cannot be told.
 * @example
 * tellsOf([{ name: "valve", levels: ["flap", "ball"] }], 4, 0.3).map((t) => [
 *   t.factor,
 *   t.perLevel,
 *   t.difference?.toFixed(2),
 * ])
 * // => [["valve", 4, "0.71"]]
 */
export function tellsOf(factors: readonly Factor[], repeats: number, sd: number | null) {
  const runs = factors.length ? factors.reduce((n, f) => n * f.levels.length, repeats) : 0;
  return factors.map((f) => {
    const perLevel = runs / f.levels.length;
    return { factor: f.name, perLevel, difference: sd === null ? null : shownBy(perLevel, sd) };
  });
}
