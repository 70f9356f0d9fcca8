import type { Entered } from "../queries/inspections";

/** How a build that enters stands, in words. */
export function entered(b: Pick<Entered, "state" | "note">): string {
  const note = b.note && `: ${b.note}`;
  if (b.state === "waiting") return `waits for inspection${note}`;
  return b.state === "passed" ? (b.note ? `passed with a waiver${note}` : "passed") : `turned away${note}`;
}

/** The next build that waits for its inspection, after this one in the list and then from its beginning. */
export function nextToInspect<T extends Pick<Entered, "buildId" | "state">>(
  builds: readonly T[],
  now: string,
): T | null {
  const here = builds.findIndex((b) => b.buildId === now);
  const round = [...builds.slice(here + 1), ...builds.slice(0, Math.max(here, 0))];
  return round.find((b) => b.state === "waiting") ?? null;
}

/** The build that is looked at: the one that was asked for, else the first that waits, else the first. */
export const chosenBuild = <T extends Pick<Entered, "buildId" | "state">>(
  builds: readonly T[],
  wanted: string | undefined,
): T | null =>
  builds.find((b) => b.buildId === wanted) ?? builds.find((b) => b.state === "waiting") ?? builds[0] ?? null;
