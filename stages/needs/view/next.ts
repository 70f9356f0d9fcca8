import { runMeasure } from "@/core/needs/requirement";
import type { Verdict } from "@/core/vocabulary/needs";
import type { RequirementRow } from "../queries/requirements";
import type { ProjectState } from "../queries/state";

/** What is wanted of a verdict, the most wanted first: what turned stale was met once, and may not be any more. */
const wanted: readonly Verdict[] = ["stale", "untested", "marginal"];
const weight = { must: 0, should: 1, could: 2 } as const;

interface Next {
  readonly code: string;
  readonly words: string;
  /** Where it is looked into: the bench under its protocol, the inspection, or the build's own page. */
  readonly path: string;
}

/**
 * What to test next, by team: of the newest build what is stale, untested or on the edge, musts first; the tests on the
 * bench before what is looked at. At most three a team; a team without a build has nothing to test yet.
 */
export function nextToTest(
  facts: Pick<ProjectState, "requirements" | "teams" | "newest" | "protocols" | "verdict">,
): { team: string; next: Next[]; more: number }[] {
  return facts.teams.flatMap((t) => {
    const build = facts.newest.get(t.id);
    if (!build) return [];
    const path = (r: RequirementRow) => {
      const run = runMeasure(r.measure);
      if (run) return `/bench?protocol=${run.protocol}&build=${build.id}`;
      return r.measure ? `/builds/${build.id}/edit` : "/needs/inspection";
    };
    const open = facts.requirements
      .map((r) => ({ r, verdict: facts.verdict(r.id, build.id) }))
      .filter((x) => wanted.includes(x.verdict))
      .sort(
        (a, b) =>
          weight[a.r.priority] - weight[b.r.priority] ||
          wanted.indexOf(a.verdict) - wanted.indexOf(b.verdict) ||
          Number(runMeasure(a.r.measure) === null) - Number(runMeasure(b.r.measure) === null) ||
          a.r.code.localeCompare(b.r.code),
      );
    const next = open.slice(0, 3).map(({ r, verdict }) => ({ code: r.code, words: verdict, path: path(r) }));
    return [{ team: t.name, next, more: open.length - next.length }];
  });
}
