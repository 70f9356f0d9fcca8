"use client";

import { ActButton } from "@/ui/form/act-button";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { SheetForm } from "@/ui/sheet-form";
import {
  reopenActionAction,
  shareStoryAction,
  withdrawActionAction,
  withdrawReviewAction,
  withdrawRubricAction,
  withdrawSheetAction,
  withdrawSlotsAction,
  withdrawStoryAction,
} from "../actions";
import { sheet } from "../schema";

export function StaffSheet(props: {
  reviewId: string;
  raterId: string;
  version: number;
  criteria: Parameters<typeof SheetForm>[0]["criteria"];
  rater: string;
  marks: { criterion: string; points: string; comment: string }[];
  comment: string;
  members: Parameters<typeof SheetForm>[0]["members"];
  persons: Parameters<typeof SheetForm>[0]["persons"];
  decided: boolean;
}) {
  return <SheetForm schema={sheet} asksName={false} saved="Handed in." {...props} />;
}

export const ReopenButton = ({ id, version }: { id: string; version: number }) => (
  <ActButton action={reopenActionAction} input={{ id, version }} look="quiet">
    reopen
  </ActButton>
);

export const WithdrawReview = ({ id, goTo }: { id: string; goTo: string }) => (
  <WithdrawButton
    action={withdrawReviewAction}
    id={id}
    says="The review of this team is called off; its sheets and actions go with it."
    goTo={goTo}
  >
    Call off
  </WithdrawButton>
);

export const WithdrawSheet = ({ id, rater }: { id: string; rater: string }) => (
  <WithdrawButton action={withdrawSheetAction} id={id} says={`The sheet of ${rater} counts no more.`}>
    withdraw
  </WithdrawButton>
);

export const WithdrawSlots = ({ id }: { id: string }) => (
  <WithdrawButton action={withdrawSlotsAction} id={id} says="The places of all teams go; the reviews stay.">
    Withdraw the slots
  </WithdrawButton>
);

export const ShareStory = ({ id, version, shared }: { id: string; version: number; shared: boolean }) => (
  <ActButton action={shareStoryAction} input={{ id, version, shared: !shared }} look={shared ? "quiet" : "plain"}>
    {shared ? "Show it to us only" : "Show it to the class"}
  </ActButton>
);

export const WithdrawStory = ({ id }: { id: string }) => (
  <WithdrawButton action={withdrawStoryAction} id={id} says="The story leaves the record; it can be brought back.">
    Withdraw
  </WithdrawButton>
);

export const WithdrawAction = ({ id }: { id: string }) => (
  <WithdrawButton action={withdrawActionAction} id={id}>
    withdraw
  </WithdrawButton>
);

export const WithdrawRubric = ({ id, goTo }: { id: string; goTo: string }) => (
  <WithdrawButton action={withdrawRubricAction} id={id} goTo={goTo}>
    Withdraw
  </WithdrawButton>
);
