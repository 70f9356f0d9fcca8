"use client";

import { WithdrawButton } from "@/ui/form/withdraw-button";
import { removeChallengeResultAction, withdrawChallengeAction } from "../actions";

export const RemoveResult = ({ id }: { id: string }) => (
  <WithdrawButton action={removeChallengeResultAction} id={id}>
    remove
  </WithdrawButton>
);

export const WithdrawChallenge = ({ id }: { id: string }) => (
  <WithdrawButton action={withdrawChallengeAction} id={id} says="The challenge goes, with its results.">
    withdraw
  </WithdrawButton>
);
