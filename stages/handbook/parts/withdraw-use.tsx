"use client";

import { WithdrawButton } from "@/ui/form/withdraw-button";
import { withdrawUseAction } from "../actions";

/** Takes a kept calculation away, and goes where it does not stand any more. */
export const WithdrawUse = ({ id, goTo }: { id: string; goTo: string }) => (
  <WithdrawButton action={withdrawUseAction} id={id} goTo={goTo} />
);
