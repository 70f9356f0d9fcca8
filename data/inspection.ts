import "server-only";
import type { Verdict } from "@/core/evidence/evidence";
import { isBuildMeasure, statusOf } from "@/core/needs/requirement";
import type { Computed } from "@/core/working/working";
import { db } from "./db";
import { limitOf, type RequirementRow, requirementsOf } from "./needs";

export interface LimitCheck {
  code: string;
  label: string;
  status: Computed<Verdict>;
}

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

/** For every build of a project: how its recorded mass, cost and size stand against the limits. */
export async function requirementLimits(projectId: string): Promise<Map<string, LimitCheck[]>> {
  const [requirements, builds] = await Promise.all([
    requirementsOf(projectId),
    db()<
      { id: string; mass: string | null; cost: string | null; sides: string[] | null }[]
    >`SELECT id, mass, cost, sides FROM build WHERE project_id = ${projectId}`,
  ]);
  return new Map(builds.map((b) => [b.id, checkLimits(requirements, b)]));
}
