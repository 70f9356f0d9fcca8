"use client";

import { AskForm } from "@/stages/reviews/parts/questions";
import { guestQuestionAction } from "../actions";

export const GuestQuestion = ({ reviewId, rater }: { reviewId: string; rater: string }) => (
  <AskForm reviewId={reviewId} action={guestQuestionAction} rater={rater} via="guest" />
);
