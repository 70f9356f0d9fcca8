"use client";

import { answer } from "@/data/schemas/front";
import { sheet } from "@/data/schemas/judging";
import { ActionForm, TextArea } from "@/ui/form";
import { SelectionSheet, type SheetQuestion } from "@/ui/selection-sheet";
import { SheetForm } from "@/ui/sheet-form";
import { answerQuestionAction, guestSheetAction, rateConceptsAction } from "./actions";

export function GuestSheet(props: {
  reviewId: string;
  version: number;
  criteria: Parameters<typeof SheetForm>[0]["criteria"];
  rater: string;
  marks: { criterion: string; points: string; comment: string }[];
  comment: string;
}) {
  return (
    <SheetForm
      schema={sheet}
      action={guestSheetAction}
      asksName
      via="guest"
      saved="Thank you: the sheet is handed in."
      {...props}
    />
  );
}

export const AnswerForm = ({ questionId, text }: { questionId: string; text: string }) => (
  <ActionForm
    schema={answer}
    action={answerQuestionAction}
    via="guest"
    fixed={{ questionId }}
    defaults={{ text: "" }}
    submit="Send the answer"
  >
    <TextArea name="text" label={text} rows={3} />
  </ActionForm>
);

export const GuestChoice = ({ q, given }: { q: SheetQuestion; given: Record<string, unknown> | null }) => (
  <SelectionSheet q={q} given={given} action={rateConceptsAction} />
);
