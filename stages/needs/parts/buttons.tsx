"use client";

import { ActButton } from "@/ui/form/act-button";
import { closeSourceAction, dropQuestionAction, restoreRequirementAction, unmergeStatementAction } from "../actions";

export const RestoreButton = ({ id }: { id: string }) => (
  <ActButton action={restoreRequirementAction} input={{ id }} look="quiet">
    Take back
  </ActButton>
);

export const RestoreQuestion = ({ id }: { id: string }) => (
  <ActButton action={dropQuestionAction} input={{ id, dropped: false }} look="quiet">
    put back
  </ActButton>
);

export const CloseSource = ({ id, closed }: { id: string; closed: boolean }) => (
  <ActButton action={closeSourceAction} input={{ id, closed: !closed }}>
    {closed ? "Open again" : "Close the session"}
  </ActButton>
);

export const Unmerge = ({ id }: { id: string }) => (
  <ActButton action={unmergeStatementAction} input={{ id }} look="quiet">
    take out again
  </ActButton>
);
