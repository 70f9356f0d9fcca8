"use client";

import { answer } from "@/stages/needs/schema";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { answerQuestionAction } from "../actions";

const { TextArea } = fieldsOf(answer);

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
