import { combineSheets, individualPart, scoreSheet, teamPart } from "@/core/sheet/sheet";
import type { Working } from "@/core/working/working";
import type { Rests, Review } from "../queries/reviews";
import { reviewersView } from "./reviewers";

/** What raters are called: by name for instructors, by a number for everybody else. */
const raters = (review: Pick<Review, "sheets">, staff: boolean): string[] =>
  review.sheets.map((s, i) => (staff ? s.raterName : `Reviewer ${i + 1}`));

/** A review's combined score with its working, in which raters are called as the reader may know them. */
const combined = (review: Review, staff: boolean) => {
  const names = raters(review, staff);
  return combineSheets(
    teamPart(review.definition),
    review.sheets.map((s, i) => ({ rater: names[i]!, marks: s.marks })),
  );
};

/** How members were marked alone: a line a member and criterion, with every sheet's points. */
function aloneLines(review: Review, members: readonly { id: string; name: string }[]) {
  return individualPart(review.definition).criteria.flatMap((c) =>
    members.flatMap((m) => {
      const points = review.sheets.map(
        (s) => s.persons.find((p) => p.criterion === c.key && p.person === m.id)?.points ?? null,
      );
      return points.some((x) => x !== null) ? [{ key: `${c.key} ${m.id}`, name: `${c.name}: ${m.name}`, points }] : [];
    }),
  );
}

/**
 * What the page of one review shows: each criterion with every sheet's points and comments, and the scores. How members
 * were marked alone is for instructors, and each member's own for that member.
 */
export function reviewView(
  review: Review,
  reader: { staff: boolean; person: string },
  members: readonly { id: string; name: string }[] = [],
) {
  const names = raters(review, reader.staff);
  return {
    alone: aloneLines(
      review,
      members.filter((m) => reader.staff || m.id === reader.person),
    ),
    mine: review.sheets.find((s) => s.raterPerson === reader.person) ?? null,
    score: combined(review, reader.staff),
    sheets: review.sheets.map((s, i) => ({
      id: s.id,
      rater: names[i]!,
      comment: s.comment,
      correction: s.correction,
      score: scoreSheet(teamPart(review.definition), { rater: names[i]!, marks: s.marks }),
    })),
    criteria: teamPart(review.definition).criteria.map((c) => {
      const marks = review.sheets.map((s) => s.marks.find((m) => m.criterion === c.key));
      return {
        key: c.key,
        name: c.name,
        weight: c.weight,
        points: marks.map((m) => m?.points ?? null),
        comments: marks.flatMap((m) => (m?.comment ? [m.comment] : [])),
      };
    }),
  };
}

/** What a verdict rests on, in words, and what has changed since. */
export function restsView(rests: Rests | null, now: Rests, newest: number | null) {
  if (!rests) return null;
  const { build } = rests;
  const of = [
    build ? `G${build.number}${build.revision > 1 ? `, revision ${build.revision}` : ""}` : "no build",
    `${rests.sheets.length} ${rests.sheets.length === 1 ? "sheet" : "sheets"}`,
    `${rests.requirements.length} requirements as they stood`,
    `rubric v${rests.rubric}`,
  ];
  const moved = now.requirements.flatMap((r) => {
    const was = rests.requirements.find((x) => x.code === r.code);
    return !was
      ? [`${r.code} is new`]
      : was.version < r.version
        ? [`${r.code} was v${was.version}, is v${r.version}`]
        : [];
  });
  const gone = rests.requirements.filter((r) => !now.requirements.some((x) => x.code === r.code)).map((r) => r.code);
  const corrected = now.sheets.filter((s) => rests.sheets.some((x) => x.rater === s.rater && x.version < s.version));
  return {
    words: of.join(" · "),
    since: [
      ...(build && now.build && now.build.revision > build.revision
        ? [`G${build.number} was changed (revision ${now.build.revision})`]
        : []),
      ...(newest !== null && newest > (build?.number ?? 0) ? [`the team has built G${newest}`] : []),
      ...(corrected.length
        ? [`${corrected.length} ${corrected.length === 1 ? "sheet was" : "sheets were"} corrected`]
        : []),
      ...moved,
      ...gone.map((code) => `${code} is set aside`),
    ],
  };
}

export interface ReviewLine {
  readonly review: Review;
  /** Combined score in %, and how it came about; null without a sheet, or where it is not the reader's to see. */
  readonly score: { percent: number; working: Working } | null;
  readonly state: "decided" | "to come" | "open";
  readonly closed: number;
  readonly overdue: number;
  /** When and where the team is seen. */
  readonly slot: { readonly value: string; readonly show: string } | null;
}

/** What the page of reviews shows: by title the newest first, a line a team, and the actions still open by date. */
export function reviewsView(
  reviews: readonly Review[],
  today: string,
  reader: { staff: boolean; team: string | null },
  slots: ReadonlyMap<string, { value: string; show: string }> = new Map(),
) {
  const lineOf = (review: Review): ReviewLine => {
    const { value, working } = combined(review, reader.staff);
    const visible = reader.staff || review.teamId === reader.team;
    const left = review.actions.filter((a) => !a.closedAt);
    return {
      review,
      score: visible && value !== null ? { percent: Number(value) * 100, working } : null,
      state: review.verdict ? "decided" : review.heldOn > today ? "to come" : "open",
      closed: review.actions.length - left.length,
      overdue: left.filter((a) => a.dueOn < today).length,
      slot: slots.get(review.id) ?? null,
    };
  };
  const titles = [...new Set(reviews.map((r) => r.title))].reverse();
  return {
    groups: titles.map((title) => {
      const lines = reviews.filter((r) => r.title === title).map(lineOf);
      return {
        title,
        heldOn: lines[0]!.review.heldOn,
        rubric: lines[0]!.review.rubric,
        lines,
        /** Whether its teams have slots. */
        timed: lines.some((l) => l.slot !== null),
        /** How its reviewers compare, for instructors. */
        reviewers: reader.staff ? reviewersView(lines.map((l) => l.review)) : null,
      };
    }),
    decided: reviews.filter((r) => r.verdict).length,
    open: reviews
      .flatMap((review) => review.actions.filter((a) => !a.closedAt).map((action) => ({ action, review })))
      .sort((a, b) => a.action.dueOn.localeCompare(b.action.dueOn)),
  };
}
