"use client";

import { ActButton } from "@/ui/form/act-button";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { confirmEventAction, refreshEntriesAction, withdrawEntryAction, withdrawEventAction } from "../actions";

export const RefreshButton = ({ id }: { id: string }) => (
  <ActButton action={refreshEntriesAction} input={{ id }} look="quiet">
    Take in new teams and builds
  </ActButton>
);

export const ConfirmButton = ({ id, version, without }: { id: string; version: number; without: string[] }) => (
  <ActButton
    action={confirmEventAction}
    input={{ id, version }}
    look="main"
    confirm={`${
      without.length
        ? `${without.join(", ")} ${without.length === 1 ? "has" : "have"} made no attempt and ` +
          `${without.length === 1 ? "gets" : "get"} no place. `
        : ""
    }The result is fixed and goes on record.`}
  >
    Confirm the result
  </ActButton>
);

export const WithdrawEvent = ({ id, goTo }: { id: string; goTo: string }) => (
  <WithdrawButton
    action={withdrawEventAction}
    id={id}
    says="The event goes, with its entries and every attempt scored in it."
    goTo={goTo}
  >
    Withdraw the event
  </WithdrawButton>
);

export const WithdrawEntry = ({ id, team }: { id: string; team: string }) => (
  <WithdrawButton
    action={withdrawEntryAction}
    id={id}
    says={`${team} leaves this event, with the attempts that it has made.`}
  >
    withdraw
  </WithdrawButton>
);
