import { cureLines } from "@/core/records/cures";
import { type FeatureLine, sameBy } from "@/core/records/features";
import type { Better } from "@/core/vocabulary/runs";
import type { ToldFault } from "../queries/cures";

/** A feature of the build that one starts from, with how the builds did that had it. */
export interface StartFeature {
  readonly feature: string;
  readonly left: boolean;
  /** The address's list with this feature taken out of it, or put into it. */
  readonly turned: string;
  readonly line: FeatureLine | undefined;
  /** Builds that had it did worse, in the middle, than those that had not. */
  readonly worse: boolean;
}

/** The features of a build, each kept or left out as the address says, with what the years say of it. */
export function startFeatures(
  features: readonly string[],
  without: string | undefined,
  lines: readonly FeatureLine[],
  better: Better,
): StartFeature[] {
  const out = new Set((without ?? "").split(",").filter(Boolean));
  return features.map((feature, i) => {
    const left = out.has(String(i));
    const line = lines.find((l) => sameBy(l.feature) === sameBy(feature));
    const sign = better === "more" ? 1 : -1;
    return {
      feature,
      left,
      turned: features.flatMap((_, k) => ((k === i) !== out.has(String(k)) ? [k] : [])).join(","),
      line,
      worse:
        line !== undefined && line.having !== null && line.lacking !== null && sign * (line.having - line.lacking) < 0,
    };
  });
}

/** What failed on a build and on those of its team before it, and what cured it there or elsewhere. */
export function startFaults(faults: readonly ToldFault[], build: { readonly teamId: string; readonly number: number }) {
  const told = cureLines(faults).flatMap((l) =>
    l.faults.map((f) => ({
      ...f,
      elsewhere: l.faults.filter((o) => o.held === "held" && o.fault.id !== f.fault.id),
    })),
  );
  return told.filter((t) => t.fault.teamId === build.teamId && t.fault.build <= build.number);
}

/** One build of each team, the one that reached most, the best of them first; those not measured last. */
export function bestFirst<B extends { readonly teamId: string; readonly reached: number | null }>(
  builds: readonly B[],
  better: Better,
): B[] {
  const sign = better === "more" ? -1 : 1;
  const worth = (b: B) => (b.reached === null ? Number.POSITIVE_INFINITY : sign * b.reached);
  const teams = new Map<string, B>();
  for (const b of builds) {
    const best = teams.get(b.teamId);
    if (!best || worth(b) < worth(best)) teams.set(b.teamId, b);
  }
  return [...teams.values()].sort((a, b) => worth(a) - worth(b) || 0);
}
