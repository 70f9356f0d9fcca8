import { againstWhole, rollUp } from "@/core/builds/parts";
import { formatSi } from "@/core/quantity/quantity";
import type { ProjectUnits } from "@/core/quantity/systems";
import type { DonatedMethod } from "@/core/vocabulary/builds";
import { asEntered } from "@/platform/schema/entered";
import type { Build } from "../queries/builds";
import type { PartRow } from "../queries/parts";

/** A parts list worked out: each line, what it comes to, against the weighed whole, and where the mass is. */
export function partsView(parts: readonly PartRow[], build: Build, units: ProjectUnits, donated: DonatedMethod) {
  const mass = rollUp(parts, "mass", units.mass);
  const cost = rollUp(parts, "cost", "1", donated);
  const against = againstWhole(mass.value.total, build.mass, mass.value.unknown.length === 0);
  const shareOf = new Map(mass.value.largest.map((l) => [l.name, l.share]));
  return {
    mass: { ...mass, shown: mass.value.total && formatSi(mass.value.total, units.mass, 2) },
    cost: { ...cost, shown: cost.value.total && formatSi(cost.value.total, "1", 2) },
    against,
    /** The few lines that make most of the mass. */
    heaviest: mass.value.largest.slice(0, 3).map((l) => ({
      name: l.name,
      adds: formatSi(l.adds, units.mass, 2),
      share: Math.round(100 * l.share),
    })),
    lines: parts.map((p) => {
      const typed = asEntered({ mass: p.mass, cost: p.cost, sides: null, entered: p.entered }, units);
      return {
        part: p,
        typed,
        one: p.mass === null ? null : formatSi(p.mass, units.mass, 3),
        all: p.mass === null ? null : formatSi(String(Number(p.mass) * p.count), units.mass, 2),
        cost: p.cost === null ? null : formatSi(p.cost, "1", 2),
        share: shareOf.get(p.name) ?? null,
      };
    }),
  };
}
