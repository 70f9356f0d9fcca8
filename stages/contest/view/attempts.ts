import { symbolsIn } from "@/core/formula/show";
import { isBuildMeasure, statusOf } from "@/core/needs/requirement";
import type { ProtocolDefinition } from "@/core/run/protocol";
import type { RequirementRow } from "@/stages/needs/queries/requirements";
import { limitOf } from "@/stages/needs/view/requirements";
import type { LimitCheck } from "../queries/attempts";

/** The readings that a channel is computed from; itself for a read measure. */
export function readingsFor(p: ProtocolDefinition, channel: string): string[] {
  if (p.measures.some((m) => m.key === channel)) return [channel];
  const d = p.derived.find((x) => x.key === channel);
  return [
    ...new Set(
      symbolsIn(d?.expression ?? "")
        .filter((x) => x !== channel)
        .flatMap((x) => readingsFor(p, x)),
    ),
  ];
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
