"use client";

import { ActButton } from "@/ui/form/act-button";
import { restoreEnrolmentAction, revokeGuestLinkAction } from "../actions";

export const RevokeButton = ({ id }: { id: string }) => (
  <ActButton action={revokeGuestLinkAction} input={{ id }} look="quiet" confirm="The link stops working.">
    take back
  </ActButton>
);

export const TakeInAgain = ({ projectId, personId, name }: { projectId: string; personId: string; name: string }) => (
  <ActButton action={restoreEnrolmentAction} input={{ projectId, personId }} look="quiet">
    take in again<span className="sr-only"> {name}</span>
  </ActButton>
);
