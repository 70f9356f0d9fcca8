"use server";
import { action } from "@/platform/command/perform";
import { answerQuestion } from "@/stages/needs/commands/questions";
import { askQuestion } from "@/stages/reviews/commands/asking";
import { demonstrate } from "@/stages/reviews/commands/demonstrating";

export const answerQuestionAction = action(answerQuestion, "guest");

export const guestQuestionAction = action(askQuestion, "guest");

export const guestDemonstrateAction = action(demonstrate, "guest");
