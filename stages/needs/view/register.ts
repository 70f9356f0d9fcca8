import { type Clash, clashingLimits } from "@/core/needs/conflicts";
import type { RequirementRow } from "../queries/requirements";
import { limitOf } from "./requirements";

/** Pairs of requirements in force whose limits cannot both hold. */
export const clashesOf = (list: readonly RequirementRow[]): Clash[] =>
  clashingLimits(list.map((r) => ({ measure: r.measure, limit: limitOf(r) })));
