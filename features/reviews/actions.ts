"use server";
import type { Result } from "@/data/result";
import { type Envelope, perform } from "@/server/perform";
import * as reviews from "@/data/reviews";

export async function saveRubricAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof reviews.saveRubric.run>>>> {
  return perform(reviews.saveRubric, input, envelope);
}
export async function planReviewsAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof reviews.planReviews.run>>>> {
  return perform(reviews.planReviews, input, envelope);
}
export async function submitSheetAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof reviews.submitSheet.run>>>> {
  return perform(reviews.submitSheet, input, envelope);
}
export async function decideReviewAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof reviews.decideReview.run>>>> {
  return perform(reviews.decideReview, input, envelope);
}
export async function addActionAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof reviews.addAction.run>>>> {
  return perform(reviews.addAction, input, envelope);
}
export async function closeActionAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof reviews.closeAction.run>>>> {
  return perform(reviews.closeAction, input, envelope);
}
export async function reopenActionAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof reviews.reopenAction.run>>>> {
  return perform(reviews.reopenAction, input, envelope);
}
