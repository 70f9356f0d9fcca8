"use client";

import { WithdrawButton } from "@/ui/form/withdraw-button";
import {
  removeDayOffAction,
  removeDaysOffAction,
  removeExtraSessionAction,
  removeGateItemAction,
  removeMilestoneAction,
} from "../actions";

export const RemoveMilestone = ({ id }: { id: string }) => (
  <WithdrawButton action={removeMilestoneAction} id={id}>
    remove
  </WithdrawButton>
);

export const RemoveDayOff = ({ id }: { id: string }) => (
  <WithdrawButton action={removeDayOffAction} id={id}>
    remove
  </WithdrawButton>
);

export const RemoveExtra = ({ id }: { id: string }) => (
  <WithdrawButton action={removeExtraSessionAction} id={id}>
    remove
  </WithdrawButton>
);

export const RemoveItem = ({ id }: { id: string }) => (
  <WithdrawButton action={removeGateItemAction} id={id}>
    remove
  </WithdrawButton>
);

export const RemoveDaysOff = ({ projectId, ids }: { projectId: string; ids: string[] }) => (
  <WithdrawButton action={removeDaysOffAction} id={{ projectId, ids }}>
    remove
  </WithdrawButton>
);
