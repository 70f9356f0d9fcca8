import type { Build } from "@/stages/builds/queries/builds";
import type { MeasuredFacts } from "../queries/facts";
import type { RequirementRow } from "../queries/requirements";
import { requirementStatus } from "./verdicts";

/**
 * The builds whose results are stale for a requirement only because its limit changed, and that meet it as it is now;
 * and the other stale ones.
 */
export function holdingOf(facts: MeasuredFacts, r: RequirementRow): { holding: Build[]; others: Build[] } {
  const now: MeasuredFacts = {
    ...facts,
    evidence: facts.evidence.map((e) => (e.requirementId === r.id ? { ...e, requirementVersion: r.number } : e)),
  };
  const stale = facts.builds.filter((b) => requirementStatus(facts, r, b).value === "stale");
  const holds = (b: Build) => requirementStatus(now, r, b).value === "met";
  return { holding: stale.filter(holds), others: stale.filter((b) => !holds(b)) };
}
