"use client";

import { ActButton } from "@/ui/form/act-button";
import { finishProjectAction, reopenProjectAction } from "../actions";

export const FinishButton = ({ projectId }: { projectId: string }) => (
  <ActButton
    action={finishProjectAction}
    input={{ projectId }}
    look="main"
    confirm="The project becomes a record: nothing more is tested in it. It can be reopened."
  >
    Finish the project
  </ActButton>
);

export const ReopenButton = ({ projectId }: { projectId: string }) => (
  <ActButton action={reopenProjectAction} input={{ projectId }} look="quiet">
    Reopen
  </ActButton>
);
