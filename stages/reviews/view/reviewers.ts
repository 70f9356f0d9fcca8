import { type Rating, raterAgreement } from "@/core/concepts/raters";
import { scoreSheet, teamPart } from "@/core/sheet/sheet";
import { listed } from "@/core/text/listed";
import type { Working } from "@/core/working/working";
import { agreementWords } from "@/stages/contest/view/judged";
import type { Review } from "../queries/reviews";

/** How the reviewers of one review compare, over all teams: for instructors. */
export interface Reviewers {
  /** Whether they agree on the order, in words. */
  readonly words: string;
  readonly raters: readonly { name: string; sheets: number; severity: number | null }[];
  /** Percent by team: as it was given, and as the average reviewer would have given it. */
  readonly teams: readonly {
    team: string;
    sheets: number;
    raw: number;
    rawWorking: Working;
    adjusted: number | null;
    adjustedWorking: Working;
  }[];
  /** What needs a look, in sentences. */
  readonly says: readonly string[];
}

const ratingsOf = (reviews: readonly Review[]): Rating[] =>
  reviews.flatMap((r) =>
    r.sheets.flatMap((s) => {
      const { value } = scoreSheet(teamPart(r.definition), { rater: s.raterName, marks: s.marks });
      return value === null ? [] : [{ option: r.team as string, rater: s.raterName, score: 100 * Number(value) }];
    }),
  );

/** The reviewers of these reviews, which have one title; null while fewer than two have handed in. */
export function reviewersView(reviews: readonly Review[]): Reviewers | null {
  const ratings = ratingsOf(reviews);
  if (new Set(ratings.map((r) => r.rater)).size < 2) return null;
  const { model, w, whole } = raterAgreement(ratings);
  return {
    words: agreementWords({ w, judges: whole }, "reviewers"),
    raters: model.raters.map((r) => ({ name: r.rater, sheets: r.n, severity: r.severity })),
    teams: model.options.map((o) => ({
      team: o.option,
      sheets: o.n,
      raw: o.raw.value,
      rawWorking: o.raw.working,
      adjusted: o.adjusted.value,
      adjustedWorking: o.adjusted.working,
    })),
    says: [
      ...(model.groups.length > 1
        ? [
            `No reviewer connects ${model.groups.map((g) => listed(g)).join(" with ")}: their adjusted marks ` +
              "cannot be compared.",
          ]
        : []),
      ...model.odd.map(
        (o) =>
          `${o.rater} marked ${o.option} ${Math.abs(o.residual).toFixed(1)} ${o.residual > 0 ? "higher" : "lower"} ` +
          "than the other sheets let expect.",
      ),
    ],
  };
}
