import { marginOf } from "@/core/needs/requirement";
import { compareEnvelope } from "@/core/quantity/envelope";
import { formatNumber, formatSi } from "@/core/quantity/quantity";
import type { RequirementRow } from "@/stages/needs/queries/requirements";
import { limitOf } from "@/stages/needs/view/requirements";
import type { Build } from "./queries";

/** The newest build of each team. */
export const newestBuilds = (builds: readonly Build[]): Map<string, Build> => new Map(builds.map((b) => [b.teamId, b]));

/**
 * Margin of a build's recorded mass, cost or size against a limit, in the limit's unit; null where there is nothing to
 * compare.
 */
export function margin(r: RequirementRow, b: Build): { text: string; bad: boolean } | null {
  const limit = limitOf(r);
  if (!limit) return null;
  if (r.measure === "envelope" && b.sides && limit.sides) {
    const worst = compareEnvelope(b.sides, limit.sides)
      .map((s) => Number(s.margin))
      .sort((a, c) => a - c)[0]!;
    return { text: `${formatNumber(worst * 1000, 0)} mm`, bad: worst < 0 };
  }
  const value = r.measure === "mass" || r.measure === "cost" ? b[r.measure] : null;
  const m = value === null || value === undefined ? null : marginOf(limit, value);
  return m
    ? { text: `${formatSi(m, limit.unit, 2)}${limit.unit === "1" ? "" : ` ${limit.unit}`}`, bad: m.lt(0) }
    : null;
}

export const size = (b: Build) => (b.sides ? b.sides.map((s) => formatNumber(Number(s) * 1000, 0)).join(" × ") : null);

/** The design variables that differ between two builds, by name. */
export const changedVariables = (a: Pick<Build, "variables">, b: Pick<Build, "variables">): string[] =>
  [...new Set([...Object.keys(a.variables), ...Object.keys(b.variables)])].filter(
    (k) => a.variables[k] !== b.variables[k],
  );
