import { drawOrder } from "../draw/draw";
import { shownBy } from "./compare";
import { variance } from "./describe";

/** Something that is set to chosen levels in an experiment. */
export interface Factor {
  readonly name: string;
  readonly levels: readonly string[];
}

/** As much as a class can still carry out. */
export const mostInExperiment = { factors: 4, levels: 8, runs: 240 } as const;

/**
 * Factors as they are typed, one a line: a name, a colon, the levels with commas between. Says what is wrong with the
 * first line that is no such thing.
 * @example readFactors("valve: flap, ball\nstroke: 0.25 m, 0.30 m").factors[1]
 * // => { name: "stroke", levels: ["0.25 m", "0.30 m"] }
 * @example readFactors("valve flap").ok // => false
 */
export function readFactors(text: string): { ok: true; factors: Factor[] } | { ok: false; message: string } {
  const fail = (message: string) => ({ ok: false as const, message });
  const factors: Factor[] = [];
  for (const line of text.split("\n").filter((l) => l.trim())) {
    const [, name, rest] = /^([^:]+):(.*)$/.exec(line.trim()) ?? [];
    if (!name || !rest) return fail(`“${line.trim()}”: write a name, a colon and the levels, like valve: flap, ball`);
    const levels = rest
      .split(/[,;]\s+|[;]/)
      .map((l) => l.trim())
      .filter(Boolean);
    if (levels.length < 2) return fail(`${name.trim()}: a factor has two levels or more, with commas between them`);
    if (levels.length > mostInExperiment.levels)
      return fail(`${name.trim()}: at most ${mostInExperiment.levels} levels`);
    if (new Set(levels).size < levels.length) return fail(`${name.trim()}: each level stands once`);
    if (factors.some((f) => f.name === name.trim())) return fail(`${name.trim()} stands twice`);
    factors.push({ name: name.trim(), levels });
  }
  if (factors.length > mostInExperiment.factors) return fail(`At most ${mostInExperiment.factors} factors`);
  return { ok: true, factors };
}

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
