"use client";

import { DemonstrationForm } from "@/stages/reviews/parts/demonstration";
import type { WishLine } from "@/stages/reviews/view/wishes";
import { guestDemonstrateAction } from "../actions";

export const GuestDemonstration = (props: { reviewId: string; wishes: readonly WishLine[]; who: string }) => (
  <DemonstrationForm action={guestDemonstrateAction} via="guest" {...props} />
);
