import { median } from "@/core/stats/describe";
import { plainLetters } from "@/core/text/plain";

/** A build as far as its features go. */
export interface FeaturedBuild {
  readonly id: string;
  readonly features: readonly string[];
  /** The builds that it was made from. */
  readonly parents: readonly string[];
  /** What it reached in the measure that is looked at; null where it was not measured. */
  readonly value: number | null;
  /** What failed on it. */
  readonly faults: readonly string[];
}

/** How often a fault was seen. */
export interface FaultCount {
  readonly fault: string;
  readonly times: number;
}

/** A feature over all builds. It tells what was seen together, and proves nothing. */
export interface FeatureLine {
  readonly feature: string;
  /** Builds that have it. */
  readonly seen: number;
  /** Builds that took it over from one that they were made from; that had it anew; that left it out. */
  readonly inherited: number;
  readonly begun: number;
  readonly dropped: number;
  /** Median of what those that have it reached, of how many; null where none was measured. */
  readonly having: number | null;
  readonly measured: number;
  /** The same of those that do not have it. */
  readonly lacking: number | null;
  readonly others: number;
  readonly faults: readonly FaultCount[];
}

/**
 * What a feature, a fault or a name is the same by, whatever its case and marks.
 * @example sameBy(" Größe ") === sameBy("grosse") // => true
 */
export const sameBy = (text: string): string => plainLetters(text).trim();

const known = (builds: readonly FeaturedBuild[]) => builds.flatMap((b) => (b.value === null ? [] : [b.value]));
const middle = (values: readonly number[]) => (values.length ? median(values) : null);

/** Faults by how often they were seen, as they were first written. */
function countFaults(builds: readonly FeaturedBuild[]): FaultCount[] {
  const counts = new Map<string, { fault: string; times: number }>();
  for (const fault of builds.flatMap((b) => b.faults)) {
    const key = sameBy(fault);
    const at = counts.get(key);
    counts.set(key, { fault: at?.fault ?? fault, times: (at?.times ?? 0) + 1 });
  }
  return [...counts.values()].sort((a, b) => b.times - a.times || a.fault.localeCompare(b.fault));
}

/**
 * What became of each feature from build to build, how the builds that have it did against those that do not, and what
 * failed on them; those seen most often first. Features are the same whatever their case and marks.
 * @example
 * featureLines([
 *   { id: "a", features: ["Flap"], parents: [], value: 6.8, faults: ["stuck"] },
 *   { id: "b", features: ["flap", "lever"], parents: ["a"], value: 7.9, faults: [] },
 *   { id: "c", features: [], parents: ["b"], value: 6, faults: [] },
 * ]).map((l) => [l.feature, l.seen, l.inherited, l.dropped, l.having, l.lacking])
 * // => [["Flap", 2, 1, 1, 7.35, 6], ["lever", 1, 0, 1, 7.9, 6.4]]
 */
export function featureLines(builds: readonly FeaturedBuild[]): FeatureLine[] {
  const names = new Map<string, string>();
  for (const f of builds.flatMap((b) => b.features)) if (!names.has(sameBy(f))) names.set(sameBy(f), f.trim());
  const has = new Map(builds.map((b) => [b.id, new Set(b.features.map(sameBy))]));
  const lines = [...names].map(([key, feature]): FeatureLine => {
    const inParents = (b: FeaturedBuild) => b.parents.some((p) => has.get(p)?.has(key));
    const having = builds.filter((b) => has.get(b.id)!.has(key));
    const lacking = builds.filter((b) => !has.get(b.id)!.has(key));
    const inherited = having.filter(inParents).length;
    return {
      feature,
      seen: having.length,
      inherited,
      begun: having.length - inherited,
      dropped: lacking.filter(inParents).length,
      having: middle(known(having)),
      measured: known(having).length,
      lacking: middle(known(lacking)),
      others: known(lacking).length,
      faults: countFaults(having),
    };
  });
  return lines.sort((a, b) => b.seen - a.seen || a.feature.localeCompare(b.feature));
}
