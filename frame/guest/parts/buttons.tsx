"use client";

import { SelectionSheet, type SheetQuestion } from "@/ui/selection-sheet";
import { rateConceptsAction } from "../actions";

export const GuestChoice = (props: { q: SheetQuestion; raterId: string; given: Record<string, unknown> | null }) => (
  <SelectionSheet action={rateConceptsAction} {...props} />
);
