"use client";

import { answer } from "@/stages/needs/schema";
import { ActionForm } from "@/ui/form/action-form";
import { TextArea } from "@/ui/form/fields";
import { answerQuestionAction } from "../actions";

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
