import type { Better } from "@/core/vocabulary/runs";

/** A value that was reached on a day by something; values in one unit. */
export interface Reached {
  readonly id: string;
  readonly value: number;
  /** When, as a text that sorts by time. */
  readonly at: string;
}

/** A record: who set it, by how much the one before was beaten, and until when it stood. */
export interface RecordStep {
  readonly id: string;
  readonly value: number;
  readonly at: string;
  /** By how much it beat the record before it; null for the first. */
  readonly by: number | null;
  /** When it was beaten; null for the one that stands. */
  readonly until: string | null;
}

/**
 * How a record went from hand to hand: each value that was strictly better than all before it, in the order of time.
 * Values that agree within the resolution are no new record; of several at one time the best is.
 * @param resolution what the instrument can tell apart, in the values' unit
 * @example
 * recordSteps(
 *   [{ id: "a", value: 8.1, at: "1" }, { id: "b", value: 7.9, at: "2" }, { id: "c", value: 9.3, at: "3" }],
 *   "more",
 * ).map((s) => [s.id, s.until])
 * // => [["a", "3"], ["c", null]]
 */
export function recordSteps(reached: readonly Reached[], better: Better, resolution = 0): RecordStep[] {
  const sign = better === "more" ? 1 : -1;
  const order = [...reached].sort(
    (a, b) => a.at.localeCompare(b.at) || sign * (b.value - a.value) || a.id.localeCompare(b.id),
  );
  const steps: RecordStep[] = [];
  for (const r of order) {
    const last = steps.at(-1);
    const by = last ? sign * (r.value - last.value) : null;
    if (by !== null && (by <= 0 || by < resolution * (1 - 1e-9))) continue;
    if (last) steps[steps.length - 1] = { ...last, until: r.at };
    steps.push({ id: r.id, value: r.value, at: r.at, by, until: null });
  }
  return steps;
}

/**
 * The best of each group, in the order in which the groups come; of equals the first in time.
 * @example
 * bestOfEach(
 *   [{ id: "a", value: 3, at: "1" }, { id: "b", value: 2, at: "2" }, { id: "c", value: 4, at: "3" }],
 *   "less",
 *   (r) => (r.id === "c" ? "later" : "first"),
 * ).map((x) => [x.group, x.best.id])
 * // => [["first", "b"], ["later", "c"]]
 */
export function bestOfEach<R extends Reached>(
  reached: readonly R[],
  better: Better,
  group: (r: R) => string,
): { group: string; best: R }[] {
  const sign = better === "more" ? 1 : -1;
  const found = new Map<string, R>();
  for (const r of reached) {
    const best = found.get(group(r));
    const gain = best ? sign * (r.value - best.value) : 1;
    if (!best || gain > 0 || (gain === 0 && r.at < best.at)) found.set(group(r), r);
  }
  return [...found].map(([name, best]) => ({ group: name, best }));
}
