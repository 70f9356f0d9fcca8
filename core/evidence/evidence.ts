/**
 * The versions that a piece of evidence leaned on when it was recorded; null where it does not lean on such a thing.
 */
export interface Leaning {
  readonly requirement: number;
  readonly build: number;
  readonly protocol: number | null;
}

/**
 * Why evidence is stale: every version it leaned on that is no longer current, in words; empty when it is fresh.
 * @example
 * staleReasons({ requirement: 1, build: 2, protocol: 2 }, { requirement: 2, build: 2, protocol: 2 })
 * // => ["the requirement changed (version 1, now 2)"]
 */
export function staleReasons(evidence: Leaning, current: Leaning): string[] {
  const reasons: string[] = [];
  const look = (what: string, then: number | null, now: number | null) => {
    if (then !== null && now !== null && then !== now) reasons.push(`${what} changed (version ${then}, now ${now})`);
  };
  look("the requirement", evidence.requirement, current.requirement);
  look("the protocol", evidence.protocol, current.protocol);
  look("the build", evidence.build, current.build);
  return reasons;
}
