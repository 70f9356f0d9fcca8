"use client";

import { ActButton } from "@/ui/form/act-button";
import { signToolAction } from "../actions";

export const SignTool = ({
  toolId,
  personId,
  on,
  name,
}: {
  toolId: string;
  personId: string;
  on: boolean;
  name: string;
}) => (
  <ActButton action={signToolAction} input={{ toolId, personId, on: !on }} look="quiet">
    {on ? <span className="text-moss">{name}: signed</span> : name}
  </ActButton>
);
