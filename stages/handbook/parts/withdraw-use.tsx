"use client";

import { WithdrawButton } from "@/ui/form/withdraw-button";
import { withdrawUseAction } from "../actions";

export const WithdrawUse = ({ id }: { id: string }) => (
  <WithdrawButton
    action={withdrawUseAction}
    id={id}
    says="The calculation is taken away from here; it can be brought back."
  >
    withdraw
  </WithdrawButton>
);
