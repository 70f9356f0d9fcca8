"use client";

import { ActButton } from "@/ui/form/act-button";
import { SheetForm } from "@/ui/sheet-form";
import { reopenActionAction, submitSheetAction } from "../actions";
import { sheet } from "../schema";

export function StaffSheet(props: {
  reviewId: string;
  version: number;
  criteria: Parameters<typeof SheetForm>[0]["criteria"];
  rater: string;
  marks: { criterion: string; points: string; comment: string }[];
  comment: string;
}) {
  return <SheetForm schema={sheet} action={submitSheetAction} asksName={false} saved="Handed in." {...props} />;
}

export const ReopenButton = ({ id, version }: { id: string; version: number }) => (
  <ActButton action={reopenActionAction} input={{ id, version }} look="quiet">
    reopen
  </ActButton>
);
