import type { Verdict } from "@/core/vocabulary/needs";
import type * as row from "@/platform/db/rows";
import "server-only";

import type { Computed } from "@/core/working/working";
import { db } from "@/platform/db/db";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { checkLimits } from "../view/attempts";

export interface LimitCheck {
  code: string;
  label: string;
  status: Computed<Verdict>;
}

/** For every build of a project: how its recorded mass, cost and size stand against the limits. */
export async function requirementLimits(projectId: string): Promise<Map<string, LimitCheck[]>> {
  const [requirements, builds] = await Promise.all([
    requirementsOf(projectId),
    db()<
      { id: row.Build["id"]; mass: row.Build["mass"]; cost: row.Build["cost"]; sides: row.Build["sides"] }[]
    >`SELECT id, mass, cost, sides FROM build WHERE project_id = ${projectId}`,
  ]);
  return new Map(builds.map((b) => [b.id, checkLimits(requirements, b)]));
}

/** The limits on mass, cost and size that a build does not keep. */
export const overLimits = async (projectId: string, buildId: string): Promise<LimitCheck[]> =>
  ((await requirementLimits(projectId)).get(buildId) ?? []).filter((c) => c.status.value === "not met");
