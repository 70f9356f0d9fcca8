"use client";

import { WithdrawButton } from "@/ui/form/withdraw-button";
import { withdrawProtocolAction } from "../actions";

export const WithdrawProtocol = ({ id, goTo }: { id: string; goTo: string }) => (
  <WithdrawButton action={withdrawProtocolAction} id={id} goTo={goTo}>
    Withdraw
  </WithdrawButton>
);
