"use server";
import * as reviews from "@/data/reviews";
import { action } from "@/server/perform";
import * as interviews from "@/data/interviews";
import * as selection from "@/data/selection";

/** A reviewer's sheet: the guest of this browser hands it in, whoever else may be signed in. */
export const guestSheetAction = action(reviews.submitSheet, "guest");
export const answerQuestionAction = action(interviews.answerQuestion, "guest");
export const rateConceptsAction = action(selection.rateConcepts, "guest");
