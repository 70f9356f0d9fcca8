import "server-only";
import { projectState } from "@/stages/needs/queries/state";
import { type WishLine, wishLinesOf } from "../view/wishes";
import { wishesOf } from "./packet";
import { reviewsOf, ticksOf } from "./reviews";

/** The client's wishes as they are ticked at a demonstration, with what was ticked. */
export async function wishLines(projectId: string, reviewId: string): Promise<WishLine[]> {
  const [state, wishes, ticks, [review]] = await Promise.all([
    projectState(projectId),
    wishesOf(projectId),
    ticksOf(reviewId),
    reviewsOf(projectId, reviewId),
  ]);
  return wishLinesOf(state, wishes, ticks, review?.buildId ?? null);
}

/** The demonstrations whose wishes can be ticked: those without a verdict. */
export async function demonstrationsFor(
  projectId: string,
): Promise<{ id: string; title: string; team: string; wishes: WishLine[] }[]> {
  const open = (await reviewsOf(projectId)).filter((r) => r.kind === "demonstration" && r.verdict === null);
  if (!open.length) return [];
  const [state, wishes] = await Promise.all([projectState(projectId), wishesOf(projectId)]);
  return Promise.all(
    open.map(async ({ id, title, team, buildId }) => ({
      id,
      title,
      team,
      wishes: wishLinesOf(state, wishes, await ticksOf(id), buildId),
    })),
  );
}
