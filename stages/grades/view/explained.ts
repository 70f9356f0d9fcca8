import type { Component, ComponentState } from "@/core/grades/scheme";
import { nextStep } from "@/core/points/next";
import { nextLevels, teamPart } from "@/core/sheet/sheet";
import type { Student } from "@/stages/people/queries/students";
import { reviewOf, type World } from "./world";

/** What stands beside a component's arithmetic: what reviewers said, and what would have earned more. */
export interface Explained {
  readonly comments: readonly string[];
  readonly next: readonly string[];
}

const nothing: Explained = { comments: [], next: [] };

/**
 * What reviewers said of a student's component and what would have been the next level; reviewers stay unnamed, since
 * the student reads it.
 */
export function explainedOf(
  c: Component,
  student: Student,
  w: Pick<World, "reviews">,
  state: ComponentState | undefined,
): Explained {
  if (c.source.kind === "rubric") {
    const title = c.source.review;
    const review = reviewOf(w, title, student);
    if (!review) return nothing;
    const nameOf = new Map(review.definition.criteria.map((x) => [x.key, x.name]));
    return {
      comments: review.sheets.flatMap((s) => [
        ...s.marks.flatMap((m) => (m.comment ? [`${nameOf.get(m.criterion) ?? ""}: ${m.comment}`] : [])),
        ...(s.comment ? [s.comment] : []),
      ]),
      next: nextLevels(
        teamPart(review.definition),
        review.sheets.map((s) => ({ rater: "", marks: s.marks })),
      ).map(({ name, given, points, descriptor, adds }) => {
        const level = descriptor ? `${points} (${descriptor})` : points;
        return `${name}: ${given} given, ${level} would have added ${adds} %`;
      }),
    };
  }
  if (c.source.kind === "points" && state?.state === "scored" && state.measured) {
    const next = nextStep(c.source.rule, state.measured.value, state.measured.unit);
    return next ? { comments: [], next: [next] } : nothing;
  }
  return nothing;
}
