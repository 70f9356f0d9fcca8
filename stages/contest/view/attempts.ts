import { isBuildMeasure, statusOf } from "@/core/needs/requirement";
import type { RequirementRow } from "@/stages/needs/queries/requirements";
import { limitOf } from "@/stages/needs/view/requirements";
import type { LimitCheck } from "../queries/attempts";

/** How a mass, cost and size, measured or estimated, stand against the limits on them. */
export function checkLimits(
  requirements: readonly RequirementRow[],
  of: { mass: string | null; cost: string | null; sides: string[] | null },
): LimitCheck[] {
  return requirements.flatMap((r) => {
    const limit = limitOf(r);
    if (!limit || !isBuildMeasure(r.measure)) return [];
    const value = r.measure === "envelope" ? null : of[r.measure];
    const seen =
      r.measure === "envelope"
        ? of.sides
          ? { kind: "sides" as const, sides: of.sides }
          : null
        : value === null
          ? null
          : { kind: "value" as const, value, U: 0 };
    return [{ code: r.code, label: r.measure === "envelope" ? "size" : r.measure, status: statusOf(limit, seen, []) }];
  });
}

/** The limits that a build does not keep, as the inspection names them. */
export const overOf = (limits: ReadonlyMap<string, readonly LimitCheck[]>, buildId: string | null): string[] =>
  ((buildId && limits.get(buildId)) || [])
    .filter((c) => c.status.value === "not met")
    .map((c) => `${c.label} (${c.code})`);
