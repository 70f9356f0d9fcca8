import { byName } from "@/core/text/plain";
import { failureCause } from "@/core/vocabulary/builds";
import type { Build } from "../queries/builds";
import type { FailureRow } from "../queries/failures";

/** The causes to choose from: the known ones, and those that this class has named. */
export const causesToChoose = (named: readonly string[]): string[] => [
  ...failureCause.values,
  ...[...new Set(named)].filter((c) => c && !(failureCause.values as readonly string[]).includes(c)).sort(byName),
];

/** Whether a later build of the team stands there and nobody has said that it answers this failure. */
export const passedOver = (f: FailureRow, builds: readonly Pick<Build, "teamId" | "number">[]): boolean =>
  f.closedBy === null && builds.some((b) => b.teamId === f.teamId && b.number > f.build);

export interface CauseCount {
  readonly projectId: string;
  readonly edition: string;
  readonly startsOn: string;
  readonly cause: string;
  readonly failures: number;
  readonly answered: number;
}

/** Causes counted over the class and the editions before it: a row a cause, a column an edition, the most first. */
export function causesView(counts: readonly CauseCount[]) {
  const editions = [...new Map(counts.map((c) => [c.projectId, c])).values()]
    .sort((a, b) => (a.startsOn < b.startsOn ? 1 : -1))
    .map((c) => ({ id: c.projectId, title: c.edition, year: c.startsOn.slice(0, 4) }));
  const causes = [...new Set(counts.map((c) => c.cause))];
  return {
    editions,
    rows: causes
      .map((cause) => {
        const mine = counts.filter((c) => c.cause === cause);
        return {
          cause: cause || "not said",
          of: Object.fromEntries(mine.map((c) => [c.projectId, c.failures])) as Record<string, number>,
          failures: mine.reduce((n, c) => n + c.failures, 0),
          answered: mine.reduce((n, c) => n + c.answered, 0),
        };
      })
      .sort((a, b) => b.failures - a.failures || byName(a.cause, b.cause)),
  };
}
