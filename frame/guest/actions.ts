"use server";
import { action } from "@/platform/command/perform";
import { rateConcepts } from "@/stages/concepts/commands/selection";
import { answerQuestion } from "@/stages/needs/commands/questions";
import { askQuestion } from "@/stages/reviews/commands/asking";
import { demonstrate } from "@/stages/reviews/commands/demonstrating";
import { submitSheet } from "@/stages/reviews/commands/marking";

/** A reviewer's sheet: the guest of this browser hands it in, whoever else may be signed in. */
export const guestSheetAction = action(submitSheet, "guest");

export const answerQuestionAction = action(answerQuestion, "guest");

export const rateConceptsAction = action(rateConcepts, "guest");

export const guestQuestionAction = action(askQuestion, "guest");

export const guestDemonstrateAction = action(demonstrate, "guest");
