import { type Term, vocabulary } from "./vocabulary";

/** When and how teams form. */
export const teamMethod = vocabulary({
  idea: "after selection, by adopted idea",
  draw: "before, by draw",
  self: "self-chosen within limits",
  assigned: "",
  solver: "by the solver, from wishes and limits",
});
export type TeamMethod = Term<typeof teamMethod>;

/** How equal shares are judged. */
export const shareMethod = vocabulary({
  number: "every member designs an equal number of the parts",
  role: "shares by role",
  none: "not checked",
});
export type ShareMethod = Term<typeof shareMethod>;

/** What a student wishes for. */
export const wishKind = vocabulary({ person: "", idea: "" }, ["wish.kind"]);
export type WishKind = Term<typeof wishKind>;

/** A limit on the forming of teams. */
export const constraintKind = vocabulary(
  { apart: "kept apart", together: "kept together", lock: "locked seat in", forbidden: "not in" },
  ["team_constraint.kind"],
);
export type ConstraintKind = Term<typeof constraintKind>;
