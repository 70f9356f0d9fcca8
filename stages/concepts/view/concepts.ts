import { type Must, type Screened, screenConcept } from "@/core/concepts/screen";
import type { RequirementRow } from "@/stages/needs/queries/requirements";
import { limitOf } from "@/stages/needs/view/requirements";
import type { Concept } from "../queries/concepts";

/** The requirements that concepts are screened against: every must in force. */
export const mustsOf = (requirements: readonly RequirementRow[]): Must[] =>
  requirements
    .filter((r) => r.priority === "must")
    .map((r) => ({ id: r.id, code: r.code, statement: r.statement, measure: r.measure, limit: limitOf(r) }));

export const screen = (musts: readonly Must[], k: Pick<Concept, "mass" | "cost" | "sides" | "claims">): Screened[] =>
  screenConcept(musts, k, k.claims);
