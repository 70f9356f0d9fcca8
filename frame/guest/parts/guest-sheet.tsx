"use client";

import { sheet } from "@/stages/reviews/schema";
import { SheetForm } from "@/ui/sheet-form";

export function GuestSheet(props: {
  reviewId: string;
  raterId: string;
  version: number;
  criteria: Parameters<typeof SheetForm>[0]["criteria"];
  rater: string;
  marks: { criterion: string; points: string; comment: string }[];
  comment: string;
  members: Parameters<typeof SheetForm>[0]["members"];
  persons: Parameters<typeof SheetForm>[0]["persons"];
  decided: boolean;
}) {
  return <SheetForm schema={sheet} asksName via="guest" saved="Thank you: the sheet is handed in." {...props} />;
}
