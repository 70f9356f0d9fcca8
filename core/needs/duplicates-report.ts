import { likeness, likenessThreshold } from "./similarity";

/**
 * How well likeness finds duplicates on pairs told apart by hand: of those it offers, the share that are (precision);
 * of those that are, the share it offers (recall).
 * @example
 * measureDuplicates([
 *   ["Quiet pump", "The pump is not noisy", true],
 *   ["Quiet pump", "Red box", false],
 * ]).precision
 * // => 1
 */
export function measureDuplicates(
  pairs: readonly (readonly [string, string, boolean])[],
  threshold = likenessThreshold,
): { pairs: number; precision: number; recall: number; missed: string[]; wrong: string[] } {
  const offered = pairs.map(([a, b, same]) => ({
    text: `${a} | ${b}`,
    same,
    offered: likeness(a, b).score >= threshold,
    score: likeness(a, b).score,
  }));
  const hit = offered.filter((p) => p.offered && p.same).length;
  const name = (p: { text: string; score: number }) => `${p.score.toFixed(2)} ${p.text}`;
  return {
    pairs: pairs.length,
    precision: hit / Math.max(1, offered.filter((p) => p.offered).length),
    recall: hit / Math.max(1, offered.filter((p) => p.same).length),
    missed: offered.filter((p) => p.same && !p.offered).map(name),
    wrong: offered.filter((p) => !p.same && p.offered).map(name),
  };
}
