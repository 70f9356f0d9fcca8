"use client";

import { nameHeadAction } from "@/stages/people/actions";
import { ActButton } from "@/ui/form/act-button";

/** Names an instructor head of the department, or no longer. */
export const NameHead = ({ personId, name, head }: { personId: string; name: string; head: boolean }) => (
  <ActButton action={nameHeadAction} input={{ personId, on: !head }} look="quiet">
    {head ? "no longer" : "heads the department"}
    <span className="sr-only">: {name}</span>
  </ActButton>
);
