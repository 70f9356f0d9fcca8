import { decimalsFor, formatNumber, fromSi } from "../quantity/quantity";
import { describe } from "../stats/describe";
import type { AssessedRun, RecordedRun } from "./assess";
import { outsideTolerance, type ProtocolDefinition, primaryOf } from "./protocol";
import { unitAfter } from "./reading";

/** How a condition wandered over pilot runs, in its unit. */
export interface Scatter {
  readonly key: string;
  readonly name: string;
  readonly unit: string;
  readonly tolerance: string;
  /** Runs in which it was measured. */
  readonly n: number;
  readonly low: number;
  readonly high: number;
  readonly sd: number | null;
  /** Two standard deviations over the tolerance: above 1, one run in twenty or more leaves it. */
  readonly share: number | null;
  /** Runs outside the tolerance. */
  readonly outside: number;
  /** Correlation with the result, from four runs on; null where one of the two does not vary. */
  readonly withResult: number | null;
}

/**
 * Pearson's correlation of two lists of the same length; null for fewer than two pairs, or where one does not vary.
 * @example correlation([1, 2, 3], [2, 4, 6]).toFixed(6) // => "1.000000"
 * @example correlation([1, 1], [2, 4]) // => null
 */
export function correlation(x: readonly number[], y: readonly number[]): number | null {
  const [dx, dy] = [x, y].map((list) => {
    const mean = list.reduce((s, v) => s + v, 0) / list.length;
    return list.map((v) => v - mean);
  }) as [number[], number[]];
  const sum = (f: (i: number) => number) => dx.reduce((s, _, i) => s + f(i), 0);
  const spread = Math.sqrt(sum((i) => dx[i]! ** 2)) * Math.sqrt(sum((i) => dy[i]! ** 2));
  return x.length < 2 || !(spread > 0) ? null : Math.max(-1, Math.min(1, sum((i) => dx[i]! * dy[i]!) / spread));
}

/**
 * What pilot runs say of a protocol: how far each condition wandered against its tolerance, the one that scattered most
 * first, and a sentence that names it. Conditions that nobody measured are left out.
 * @example
 * scatterOf(
 *   {
 *     conditions: [{ key: "h", name: "Lift", unit: "m", target: "1.60", tolerance: "0.01" }],
 *     measures: [{ key: "V", name: "Water", unit: "L", resolution: "0.05" }],
 *     constants: [],
 *     derived: [],
 *     primary: "V",
 *     better: "more",
 *     policy: { school: "best", n: 3, foul: "out" },
 *     safety: [],
 *   },
 *   [],
 *   [],
 * ).sentence
 * // => "No condition was measured in two pilot runs or more: measure them, so that it shows which one wanders."
 */
export function scatterOf(
  p: ProtocolDefinition,
  runs: readonly RecordedRun[],
  assessed: readonly AssessedRun[],
): { conditions: Scatter[]; sentence: string } {
  const numbers = !primaryOf(p).levels;
  const result = new Map(assessed.map((a) => [a.id, a.values[p.primary]?.value?.value ?? null]));
  const conditions = p.conditions.flatMap((c): Scatter[] => {
    const read = runs
      .filter((r) => r.state !== "void" && r.conditions[c.key] !== undefined)
      .map((r) => ({ id: r.id, si: r.conditions[c.key]! }));
    const values = read.map((r) => fromSi(r.si, c.unit).toNumber());
    const d = describe(values);
    if (!d) return [];
    const both = read.flatMap((r, i) => {
      const y = result.get(r.id);
      return y === null || y === undefined ? [] : [[values[i]!, y] as const];
    });
    const tolerance = Number(c.tolerance);
    return [
      {
        key: c.key,
        name: c.name,
        unit: c.unit,
        tolerance: c.tolerance,
        n: d.n,
        low: d.min,
        high: d.max,
        sd: d.sd,
        share: d.sd === null ? null : tolerance > 0 ? (2 * d.sd) / tolerance : d.sd > 0 ? Number.POSITIVE_INFINITY : 0,
        outside: read.filter((r) => outsideTolerance(c, r.si)).length,
        withResult:
          numbers && both.length > 3
            ? correlation(
                both.map(([x]) => x),
                both.map(([, y]) => y),
              )
            : null,
      },
    ];
  });
  conditions.sort((a, b) => (b.share ?? -1) - (a.share ?? -1));
  const most = conditions[0];
  if (most?.share === null || most === undefined)
    return {
      conditions,
      sentence:
        "No condition was measured in two pilot runs or more: measure them, so that it shows which one wanders.",
    };
  const digits = Math.min(8, decimalsFor(most.tolerance) + 1);
  const spread =
    `${most.name} scattered most: ±${unitAfter(formatNumber(2 * most.sd!, digits), most.unit)} ` +
    "(two standard deviations)";
  const allowed = `±${unitAfter(most.tolerance, most.unit)}`;
  return {
    conditions,
    sentence:
      most.share > 1
        ? `${spread} against a tolerance of ${allowed}. Hold it better, or allow more if the result does not mind.`
        : `${spread}, inside its tolerance of ${allowed}. The conditions can be held.`,
  };
}
