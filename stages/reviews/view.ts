import { combineSheets } from "@/core/sheet/sheet";
import type { Working } from "@/core/working/working";
import type { Review } from "./queries";

export interface ReviewLine {
  readonly review: Review;
  /** Combined score in %, and how it came about; null without a sheet, or where it is not the reader's to see. */
  readonly score: { percent: number; working: Working } | null;
  readonly state: "decided" | "to come" | "open";
  readonly closed: number;
  readonly overdue: number;
}

/** What the page of reviews shows: by title the newest first, a line a team, and the actions still open by date. */
export function reviewsView(
  reviews: readonly Review[],
  today: string,
  reader: { staff: boolean; team: string | null },
) {
  const lineOf = (review: Review): ReviewLine => {
    const { value, working } = combineSheets(
      review.definition,
      review.sheets.map((s) => ({ rater: s.raterName, marks: s.marks })),
    );
    const visible = reader.staff || review.teamId === reader.team;
    const left = review.actions.filter((a) => !a.closedAt);
    return {
      review,
      score: visible && value !== null ? { percent: Number(value) * 100, working } : null,
      state: review.verdict ? "decided" : review.heldOn > today ? "to come" : "open",
      closed: review.actions.length - left.length,
      overdue: left.filter((a) => a.dueOn < today).length,
    };
  };
  const titles = [...new Set(reviews.map((r) => r.title))].reverse();
  return {
    groups: titles.map((title) => {
      const lines = reviews.filter((r) => r.title === title).map(lineOf);
      return { title, heldOn: lines[0]!.review.heldOn, rubric: lines[0]!.review.rubric, lines };
    }),
    decided: reviews.filter((r) => r.verdict).length,
    open: reviews
      .flatMap((review) => review.actions.filter((a) => !a.closedAt).map((action) => ({ action, review })))
      .sort((a, b) => a.action.dueOn.localeCompare(b.action.dueOn)),
  };
}
