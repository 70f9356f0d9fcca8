"use server";
import type { Result } from "@/data/result";
import * as reviews from "@/data/reviews";
import { type Envelope, perform } from "@/server/perform";

/** A reviewer's sheet: the guest of this browser hands it in, whoever else may be signed in. */
export async function guestSheetAction(input: unknown, envelope?: Envelope): Promise<Result<Awaited<ReturnType<typeof reviews.submitSheet.run>>>> {
  return perform(reviews.submitSheet, input, { ...envelope, via: "guest" });
}
