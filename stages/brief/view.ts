import { type Rule, ruleDiffers, rulesWithNumbers } from "@/core/brief/brief";
import { isBuildMeasure } from "@/core/needs/requirement";
import { likeness } from "@/core/needs/similarity";
import { sameDimension } from "@/core/quantity/dimension";
import { parseUnit } from "@/core/quantity/units";
import type { RequirementRow } from "@/stages/needs/queries/requirements";
import { limitOf } from "@/stages/needs/view/requirements";

export interface RuleLine {
  rule: Rule;
  requirement: RequirementRow | null;
  /** A person said which it is, or that it is none. */
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
    if (limit.comparator === "fits") return rule.size !== null;
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
  // A number of the same kind alone says nothing: words have to agree too, unless the rule states one quantity and the
  // register has one limit of its kind, on the build's own mass, cost or size.
  const best = scored[0];
  const alone =
    scored.length === 1 && (rule.size !== null || rule.limits.length === 1) && isBuildMeasure(best!.r.measure);
  return best && (best.score > 0.15 || alone) ? best.r : null;
}

/**
 * Every rule with a number of a brief's text, its requirement (linked by a person, or the likely one) and where their
 * numbers differ.
 */
export const rulesAgainst = (
  body: string,
  links: readonly { key: string; requirementId: string | null }[],
  requirements: readonly RequirementRow[],
): RuleLine[] =>
  rulesWithNumbers(body).map((rule) => {
    const link = links.find((l) => l.key === rule.key);
    const requirement =
      link?.requirementId === null
        ? null
        : ((link && requirements.find((r) => r.id === link.requirementId)) ?? likely(rule, requirements));
    const limit = requirement && limitOf(requirement);
    return { rule, requirement, linked: !!link, differs: limit ? ruleDiffers(rule, limit) : null };
  });
