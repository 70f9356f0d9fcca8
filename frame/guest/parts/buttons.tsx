"use client";

import { SelectionSheet, type SheetQuestion } from "@/ui/selection-sheet";

export const GuestChoice = (props: { q: SheetQuestion; raterId: string; given: Record<string, unknown> | null }) => (
  <SelectionSheet via="guest" {...props} />
);
