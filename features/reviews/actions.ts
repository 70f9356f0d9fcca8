"use server";
import { action } from "@/server/perform";
import * as reviews from "@/data/reviews";

export const saveRubricAction = action(reviews.saveRubric);
export const planReviewsAction = action(reviews.planReviews);
export const submitSheetAction = action(reviews.submitSheet);
export const decideReviewAction = action(reviews.decideReview);
export const addActionAction = action(reviews.addAction);
export const closeActionAction = action(reviews.closeAction);
export const reopenActionAction = action(reviews.reopenAction);
