"use client";

import { ActButton } from "@/ui/form/act-button";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import {
  closeSourceAction,
  dropQuestionAction,
  restoreRequirementAction,
  unmergeStatementAction,
  withdrawChangeAction,
  withdrawFindingAction,
  withdrawNoteAction,
  withdrawSourceAction,
  withdrawStatementAction,
} from "../actions";

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

export const WithdrawSource = ({ id, goTo }: { id: string; goTo: string }) => (
  <WithdrawButton
    action={withdrawSourceAction}
    id={id}
    says="The source goes, with its notes; statements that were made from them stay."
    goTo={goTo}
  >
    Withdraw
  </WithdrawButton>
);

export const WithdrawNote = ({ id }: { id: string }) => (
  <WithdrawButton action={withdrawNoteAction} id={id}>
    withdraw
  </WithdrawButton>
);

export const WithdrawStatement = ({ id }: { id: string }) => (
  <WithdrawButton action={withdrawStatementAction} id={id}>
    withdraw
  </WithdrawButton>
);

export const WithdrawChange = ({ id }: { id: string }) => (
  <WithdrawButton action={withdrawChangeAction} id={id} says="The change request goes; the register stays as it is.">
    withdraw
  </WithdrawButton>
);

export const WithdrawFinding = ({ id }: { id: string }) => (
  <WithdrawButton action={withdrawFindingAction} id={id}>
    withdraw
  </WithdrawButton>
);
