import type { Verdict } from "@/core/vocabulary/needs";
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
      { id: string; mass: string | null; cost: string | null; sides: string[] | null }[]
    >`SELECT id, mass, cost, sides FROM build WHERE project_id = ${projectId}`,
  ]);
  return new Map(builds.map((b) => [b.id, checkLimits(requirements, b)]));
}
