"use client";

import { WithdrawButton } from "@/ui/form/withdraw-button";
import { withdrawEntryOfNotebookAction } from "../actions";

export const WithdrawEntry = ({ id }: { id: string }) => (
  <WithdrawButton
    action={withdrawEntryOfNotebookAction}
    id={id}
    says="The entry leaves the notebook, with its amendments; the day may show as a gap."
  >
    withdraw
  </WithdrawButton>
);
