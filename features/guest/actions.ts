"use server";
import type { Result } from "@/data/result";
import * as reviews from "@/data/reviews";
import { type Envelope, perform } from "@/server/perform";
import * as interviews from "@/data/interviews";
import * as selection from "@/data/selection";

/** A reviewer's sheet: the guest of this browser hands it in, whoever else may be signed in. */
export async function guestSheetAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof reviews.submitSheet.run>>>> {
  return perform(reviews.submitSheet, input, { ...envelope, via: "guest" });
}
export async function answerQuestionAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof interviews.answerQuestion.run>>>> {
  return perform(interviews.answerQuestion, input, { ...envelope, via: "guest" });
}
export async function rateConceptsAction(
  input: unknown,
  envelope?: Envelope,
): Promise<Result<Awaited<ReturnType<typeof selection.rateConcepts.run>>>> {
  return perform(selection.rateConcepts, input, { ...envelope, via: "guest" });
}
