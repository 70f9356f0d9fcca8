"use client";

import { ActButton } from "@/ui/form/act-button";
import { revokeGuestLinkAction } from "../actions";

export const RevokeButton = ({ id }: { id: string }) => (
  <ActButton action={revokeGuestLinkAction} input={{ id }} look="quiet" confirm="The link stops working.">
    take back
  </ActButton>
);
