"use server";
import { action } from "@/platform/command/perform";
import { addAction, closeAction, decideReview, planReviews, reopenAction, saveRubric, submitSheet } from "./commands";

export const saveRubricAction = action(saveRubric);

export const planReviewsAction = action(planReviews);

export const submitSheetAction = action(submitSheet);

export const decideReviewAction = action(decideReview);

export const addActionAction = action(addAction);

export const closeActionAction = action(closeAction);

export const reopenActionAction = action(reopenAction);
