import { type Rule, ruleDiffers, rulesWithNumbers } from "@/core/brief/brief";
import { likeness } from "@/core/needs/similarity";
import { sameDimension } from "@/core/quantity/dimension";
import { parseUnit } from "@/core/quantity/units";
import type { RequirementRow } from "@/stages/needs/queries/requirements";
import { limitOf } from "@/stages/needs/view/requirements";

export interface RuleLine {
  rule: Rule;
  requirement: RequirementRow | null;
  linked: boolean;
  differs: string | null;
}

/**
 * The requirement that a rule most likely speaks of: one with a limit in the same kind of quantity, the most alike in
 * words.
 */
function likely(rule: Rule, requirements: readonly RequirementRow[]): RequirementRow | null {
  const fits = requirements.filter((r) => {
    const limit = limitOf(r);
    if (!limit || limit.comparator === "yes") return false;
    if (limit.comparator === "fits") return rule.sides !== null;
    const unit = parseUnit(limit.unit);
    return rule.limits.some((l) =>
      l.unit === "1"
        ? limit.unit === "1"
        : unit !== null && limit.unit !== "1" && sameDimension(l.dimension, unit.dimension),
    );
  });
  const scored = fits
    .map((r) => ({ r, score: likeness(rule.text, `${r.statement} ${r.measure ?? ""}`).score }))
    .sort((a, b) => b.score - a.score);
  return scored.length === 1 || (scored[0]?.score ?? 0) > 0.15 ? (scored[0]?.r ?? null) : null;
}

/**
 * Every rule with a number of a brief's text, its requirement (linked by a person, or the likely one) and where their
 * numbers differ.
 */
export const rulesAgainst = (
  body: string,
  links: readonly { key: string; requirementId: string }[],
  requirements: readonly RequirementRow[],
): RuleLine[] =>
  rulesWithNumbers(body).map((rule) => {
    const link = links.find((l) => l.key === rule.key);
    const requirement = (link && requirements.find((r) => r.id === link.requirementId)) ?? likely(rule, requirements);
    const limit = requirement && limitOf(requirement);
    return { rule, requirement, linked: !!link, differs: limit ? ruleDiffers(rule, limit) : null };
  });
