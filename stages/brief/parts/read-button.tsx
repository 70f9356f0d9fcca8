"use client";

import { ActButton } from "@/ui/form/act-button";
import { acknowledgeBriefAction } from "../actions";

export const ReadButton = (input: { projectId: string; briefVersionId: string }) => (
  <ActButton action={acknowledgeBriefAction} input={input} look="main">
    I have read this version
  </ActButton>
);
