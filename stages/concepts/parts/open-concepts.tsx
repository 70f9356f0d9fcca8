"use client";

import { ActButton } from "@/ui/form/act-button";
import { saveSettingsAction } from "../actions";

export const OpenConcepts = ({ projectId, open }: { projectId: string; open: boolean }) => (
  <ActButton
    action={saveSettingsAction}
    input={{ projectId, conceptsOpen: !open }}
    confirm={
      open
        ? "Students see their own concepts only again."
        : "From now on everybody in the class and the client sees every concept."
    }
  >
    {open ? "Hide them from each other" : "Open all concepts"}
  </ActButton>
);
