"use client";

import { ActButton } from "@/ui/form/act-button";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import {
  adoptTeamPlanAction,
  formByIdeaAction,
  removeConstraintAction,
  removePartAction,
  restoreTeamAction,
  undoTeamPlanAction,
  withdrawTeamPlanAction,
} from "../actions";

export const RemoveConstraint = ({ id }: { id: string }) => (
  <WithdrawButton action={removeConstraintAction} id={id}>
    remove
  </WithdrawButton>
);

export const AdoptPlan = ({ id }: { id: string }) => (
  <ActButton
    action={adoptTeamPlanAction}
    input={{ id }}
    look="main"
    confirm="Students move into these teams; it can be undone."
  >
    Adopt
  </ActButton>
);

export const UndoPlan = ({ id }: { id: string }) => (
  <ActButton action={undoTeamPlanAction} input={{ id }} confirm="Everybody sits where they sat before.">
    Undo
  </ActButton>
);

export const ByIdea = ({ projectId }: { projectId: string }) => (
  <ActButton action={formByIdeaAction} input={{ projectId }}>
    A team for each concept that goes on
  </ActButton>
);

export const RemovePart = ({ id }: { id: string }) => (
  <WithdrawButton action={removePartAction} id={id}>
    remove
  </WithdrawButton>
);

export const WithdrawPlan = ({ id }: { id: string }) => (
  <WithdrawButton action={withdrawTeamPlanAction} id={id}>
    remove
  </WithdrawButton>
);

export const RestoreTeam = ({ id, name }: { id: string; name: string }) => (
  <ActButton action={restoreTeamAction} input={{ id }} look="quiet">
    take in again<span className="sr-only"> {name}</span>
  </ActButton>
);
