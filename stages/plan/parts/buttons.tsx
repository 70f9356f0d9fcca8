"use client";

import { ActButton } from "@/ui/form/act-button";
import { removeDayOffAction, removeExtraSessionAction, removeGateItemAction, removeMilestoneAction } from "../actions";

export const RemoveMilestone = ({ id }: { id: string }) => (
  <ActButton action={removeMilestoneAction} input={{ id }} look="quiet" confirm="The milestone goes.">
    remove
  </ActButton>
);

export const RemoveDayOff = ({ id }: { id: string }) => (
  <ActButton action={removeDayOffAction} input={{ id }} look="quiet">
    remove
  </ActButton>
);

export const RemoveExtra = ({ id }: { id: string }) => (
  <ActButton action={removeExtraSessionAction} input={{ id }} look="quiet">
    remove
  </ActButton>
);

export const RemoveItem = ({ id }: { id: string }) => (
  <ActButton action={removeGateItemAction} input={{ id }} look="quiet" confirm="The line goes.">
    remove
  </ActButton>
);
