import "server-only";
import { projectState } from "@/stages/needs/queries/state";
import { type WishLine, wishLinesOf } from "../view/wishes";
import { wishesOf } from "./packet";
import { type Review, reviewsOf, ticksOf } from "./reviews";

type Shown = Pick<Review, "id" | "kind" | "buildId">;

/** The client's wishes as they are ticked at each of these reviews that is a demonstration, with what was ticked. */
async function wishesAt<R extends Shown>(
  projectId: string,
  reviews: readonly R[],
): Promise<{ review: R; wishes: WishLine[] }[]> {
  const shown = reviews.filter((r) => r.kind === "demonstration");
  if (!shown.length) return [];
  const [state, wishes, ticks] = await Promise.all([
    projectState(projectId),
    wishesOf(projectId),
    ticksOf(shown.map((r) => r.id)),
  ]);
  return shown.map((review) => ({
    review,
    wishes: wishLinesOf(
      state,
      wishes,
      ticks.filter((t) => t.reviewId === review.id),
      review.buildId,
    ),
  }));
}

/** The wishes that are ticked at a review; none where it is no demonstration. */
export const wishLines = async (projectId: string, review: Shown): Promise<WishLine[]> =>
  (await wishesAt(projectId, [review])).flatMap((x) => x.wishes);

/** The demonstrations whose wishes can be ticked: those without a verdict. */
export const demonstrationsFor = async (projectId: string): Promise<{ review: Review; wishes: WishLine[] }[]> =>
  wishesAt(
    projectId,
    (await reviewsOf(projectId)).filter((r) => r.verdict === null),
  );
