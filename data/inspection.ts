import "server-only";
import type { Verdict } from "@/core/evidence/evidence";
import { statusOf } from "@/core/needs/requirement";
import type { Computed } from "@/core/working/working";
import { db } from "./db";
import { limitOf, requirementsOf } from "./needs";

export interface LimitCheck { code: string; label: string; status: Computed<Verdict> }

/** For every build of a project: how its recorded mass, cost and size stand against the limits. */
export async function requirementLimits(projectId: string): Promise<Map<string, LimitCheck[]>> {
  const [requirements, builds] = await Promise.all([requirementsOf(projectId), db()<{ id: string; mass: string | null; cost: string | null; sides: string[] | null }[]>`SELECT id, mass, cost, sides FROM build WHERE project_id = ${projectId}`]);
  const asked = requirements.flatMap((r) => { const limit = limitOf(r); return limit && ["mass", "cost", "envelope"].includes(r.measure ?? "") ? [{ r, limit }] : []; });
  return new Map(builds.map((b) => [b.id, asked.map(({ r, limit }) => {
    const value = r.measure === "envelope" ? null : b[r.measure as "mass" | "cost"];
    const seen = r.measure === "envelope" ? (b.sides ? { kind: "sides" as const, sides: b.sides } : null) : value === null ? null : { kind: "value" as const, value, U: 0 };
    return { code: r.code, label: r.measure === "envelope" ? "size" : r.measure!, status: statusOf(limit, seen, []) };
  })]));
}
