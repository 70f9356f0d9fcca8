"use client";

import { ActButton } from "@/ui/form/act-button";
import { tickGateAction } from "../actions";

export const Tick = ({
  itemId,
  teamId,
  personId,
  on,
  label,
}: {
  itemId: string;
  teamId?: string;
  personId?: string;
  on: boolean;
  label: string;
}) => (
  <ActButton action={tickGateAction} input={{ itemId, teamId, personId, on: !on }} look="quiet">
    {on ? personId ? <span className="text-moss">{label}: in</span> : "take back" : label}
  </ActButton>
);
