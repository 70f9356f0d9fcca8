import "server-only";
import { refuse } from "@/platform/command/command";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { reviewActs } from "./acts";

/** A review that is called off goes with its sheets and actions. */
export const withdrawReview = withdrawal({
  name: "withdrawReview",
  kind: "review",
  table: "review",
  act: reviewActs.plan,
  label: "x.title || ', ' || (SELECT name FROM team WHERE id = x.team_id)",
  needsReason: true,
});

export const withdrawSheet = withdrawal({
  name: "withdrawSheet",
  kind: "review sheet",
  table: "sheet",
  act: reviewActs.decide,
  label: "x.rater_name || ', ' || (SELECT r.title FROM review r WHERE r.id = x.review_id)",
  async refuse(sql, id) {
    if (
      (await sql`SELECT FROM sheet s JOIN review r ON r.id = s.review_id WHERE s.id = ${id} AND r.verdict IS NOT NULL`)
        .length
    )
      refuse("The review has its verdict by its sheets. Take the verdict back first.");
  },
  needsReason: true,
});

export const withdrawAction = withdrawal({
  name: "withdrawAction",
  kind: "action",
  table: "action_item",
  act: reviewActs.decide,
  label: "left(x.what, 80)",
});

export const withdrawRubric = withdrawal({
  name: "withdrawRubric",
  kind: "rubric",
  table: "rubric",
  act: reviewActs.plan,
  label: "x.name",
  held: {
    review: "Reviews are marked by this rubric, so it stays.",
    sheet: "Sheets were marked by this rubric, so it stays.",
  },
});
