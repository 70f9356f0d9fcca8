"use client";

import { SelectionSheet, type SheetQuestion } from "@/ui/selection-sheet";
import { rateConceptsAction } from "../actions";

export const GuestChoice = ({ q, given }: { q: SheetQuestion; given: Record<string, unknown> | null }) => (
  <SelectionSheet q={q} given={given} action={rateConceptsAction} />
);
