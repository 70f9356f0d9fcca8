import type { SafetyCheck } from "../queries/runs";

/** The check that holds for a team's runs of today: one that names every caution; none where something is left. */
export const checkFor = (checks: readonly SafetyCheck[], teamId: string, cautions: readonly string[]) =>
  checks.find((c) => c.teamId === teamId && cautions.every((x) => c.cautions.includes(x))) ?? null;

/** Whether a team may begin: there is nothing to tick, or it is ticked. */
export const mayBegin = (checks: readonly SafetyCheck[], teamId: string, cautions: readonly string[]): boolean =>
  cautions.length === 0 || checkFor(checks, teamId, cautions) !== null;
