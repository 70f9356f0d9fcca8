import { median } from "../stats/describe";
import type { FlagKind } from "../vocabulary/flags";
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
  readonly kind: FlagKind;
  /** What it is about, where there can be several of a kind; another one is another flag. */
  readonly about: string;
  /** How much of it there is, where that can grow. */
  readonly size: number;
  readonly reason: string;
}

/** A flag that was put aside. */
export type Aside = Pick<Flag, "team" | "kind" | "about" | "size">;

/**
 * Whether a flag stays aside: it is about the same, and there is no more of it than when it was put there.
 * @example
 * staysAside(
 *   { team: "a", kind: "untested", about: "", size: 4, reason: "4 musts untested with 9 sessions left" },
 *   [{ team: "a", kind: "untested", about: "", size: 3 }],
 * )
 * // => false
 */
export const staysAside = (flag: Flag, aside: readonly Aside[]): boolean =>
  aside.some((a) => a.team === flag.team && a.kind === flag.kind && a.about === flag.about && flag.size <= a.size);

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
    const flags: Flag[] = [];
    const add = (kind: FlagKind, reason: string, about: string | number = "", size = 0) =>
      flags.push({ team: t.id, kind, about: String(about), size, reason });
    const builds = t.results.length;
    if (t.sinceBuild === null && usual !== null) add("unbuilt", "no build yet, others have built");
    if (t.sinceBuild !== null && usual !== null && t.sinceBuild >= 4 && t.sinceBuild > 1.5 * usual)
      add("idle", `${t.sinceBuild} sessions since the last build, the class median is ${usual}`, builds);
    if (
      t.sinceBuild !== null &&
      ((t.mustsUntested >= 3 && sessionsLeft <= 12) || (t.mustsUntested > 0 && sessionsLeft <= 5))
    )
      add(
        "untested",
        `${t.mustsUntested} must${t.mustsUntested === 1 ? "" : "s"} untested with ${sessionsLeft} sessions left`,
        "",
        t.mustsUntested,
      );
    if (t.staleMusts > 0)
      add(
        "stale",
        `${t.staleMusts} must${t.staleMusts === 1 ? " rests" : "s rest"} on stale evidence`,
        "",
        t.staleMusts,
      );
    const done = t.results.filter((r) => r !== null);
    if (done.length >= 4) {
      const before = done.slice(0, -3);
      const top = better === "more" ? Math.max(...before) : Math.min(...before);
      if (done.slice(-3).every((r) => (better === "more" ? r <= top : r >= top)))
        add("flat", "the best result has not improved for three builds", builds);
    }
    if (t.overdueActions > 0)
      add("action", `${t.overdueActions} action${t.overdueActions === 1 ? "" : "s"} overdue`, "", t.overdueActions);
    for (const m of t.overdueMilestones) add("milestone", `${m} is overdue`, m);
    for (const l of t.overLimits) add("limit", l, l);
    for (const l of t.trends ?? []) add("trend", l, l);
    if (t.passedOver)
      add(
        "failure",
        `${t.passedOver} failure${t.passedOver === 1 ? "" : "s"} not answered by the build that followed`,
        "",
        t.passedOver,
      );
    for (const what of t.decided ?? [])
      add("decided", `decided in a review and not carried to the next build: “${what}”`, what);
    return flags;
  });
}
