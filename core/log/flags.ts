import { median } from "../stats/describe";
import type { Better } from "../vocabulary/runs";

export interface TeamRecord {
  readonly id: string;
  readonly name: string;
  /** Sessions held since the last build; null when there is none. */
  readonly sinceBuild: number | null;
  readonly mustsUntested: number;
  /** Counted value of each build in order; null where nothing counts. */
  readonly results: readonly (number | null)[];
  readonly overdueActions: number;
  readonly staleMusts: number;
  /** Limits that the newest build breaks, in words. */
  readonly overLimits: readonly string[];
  readonly overdueMilestones: readonly string[];
  /** Limits that another step like the last one would break, in words. */
  readonly trends?: readonly string[];
  /** Failures that a later build was made without answering. */
  readonly passedOver?: number;
  /** Changes that a review decided on and a later build does not carry, in the words that decided them. */
  readonly decided?: readonly string[];
}

export interface Flag {
  readonly team: string;
  readonly reason: string;
}

/**
 * Reasons to look at a team, listed and never summed into a score.
 * @example
 * teamFlags(
 *   [
 *     {
 *       id: "a",
 *       name: "Alder",
 *       sinceBuild: 9,
 *       mustsUntested: 0,
 *       results: [4, 5],
 *       overdueActions: 1,
 *       staleMusts: 0,
 *       overLimits: [],
 *       overdueMilestones: [],
 *     },
 *     {
 *       id: "b",
 *       name: "Bramble",
 *       sinceBuild: 2,
 *       mustsUntested: 0,
 *       results: [],
 *       overdueActions: 0,
 *       staleMusts: 0,
 *       overLimits: [],
 *       overdueMilestones: [],
 *     },
 *   ],
 *   11,
 *   "more",
 * ).map((f) => f.reason)
 * // => ["9 sessions since the last build, the class median is 5.5", "1 action overdue"]
 */
export function teamFlags(teams: readonly TeamRecord[], sessionsLeft: number, better: Better): Flag[] {
  const since = teams.flatMap((t) => (t.sinceBuild === null ? [] : [t.sinceBuild]));
  const usual = since.length ? median(since) : null;
  return teams.flatMap((t) => {
    const reasons: string[] = [];
    if (t.sinceBuild === null && usual !== null) reasons.push("no build yet, others have built");
    if (t.sinceBuild !== null && usual !== null && t.sinceBuild >= 4 && t.sinceBuild > 1.5 * usual)
      reasons.push(`${t.sinceBuild} sessions since the last build, the class median is ${usual}`);
    if (
      t.sinceBuild !== null &&
      ((t.mustsUntested >= 3 && sessionsLeft <= 12) || (t.mustsUntested > 0 && sessionsLeft <= 5))
    )
      reasons.push(
        `${t.mustsUntested} must${t.mustsUntested === 1 ? "" : "s"} untested with ${sessionsLeft} sessions left`,
      );
    if (t.staleMusts > 0)
      reasons.push(`${t.staleMusts} must${t.staleMusts === 1 ? " rests" : "s rest"} on stale evidence`);
    const done = t.results.filter((r) => r !== null);
    if (done.length >= 4) {
      const before = done.slice(0, -3);
      const top = better === "more" ? Math.max(...before) : Math.min(...before);
      if (done.slice(-3).every((r) => (better === "more" ? r <= top : r >= top)))
        reasons.push("the best result has not improved for three builds");
    }
    if (t.overdueActions > 0) reasons.push(`${t.overdueActions} action${t.overdueActions === 1 ? "" : "s"} overdue`);
    for (const m of t.overdueMilestones) reasons.push(`${m} is overdue`);
    for (const l of [...t.overLimits, ...(t.trends ?? [])]) reasons.push(l);
    if (t.passedOver)
      reasons.push(`${t.passedOver} failure${t.passedOver === 1 ? "" : "s"} not answered by the build that followed`);
    for (const what of t.decided ?? [])
      reasons.push(`decided in a review and not carried to the next build: “${what}”`);
    return reasons.map((reason) => ({ team: t.id, reason }));
  });
}
