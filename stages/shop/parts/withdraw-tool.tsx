"use client";

import { WithdrawButton } from "@/ui/form/withdraw-button";
import { withdrawToolAction } from "../actions";

export const WithdrawTool = ({ id, name }: { id: string; name: string }) => (
  <WithdrawButton
    action={withdrawToolAction}
    id={id}
    says={`${name} goes, with who was signed for it and the lines of gates that ask for it.`}
  >
    withdraw
  </WithdrawButton>
);
