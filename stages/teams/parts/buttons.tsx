"use client";

import { ActButton } from "@/ui/form/act-button";
import {
  adoptTeamPlanAction,
  formByIdeaAction,
  removeConstraintAction,
  removePartAction,
  undoTeamPlanAction,
} from "../actions";

export const RemoveConstraint = ({ id }: { id: string }) => (
  <ActButton action={removeConstraintAction} input={{ id }} look="quiet">
    remove
  </ActButton>
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
  <ActButton action={removePartAction} input={{ id }} look="quiet" confirm="The part goes.">
    remove
  </ActButton>
);
