"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { draftQuestionAction } from "../actions";
import { question } from "../schema";

const { TextField } = fieldsOf(question);

export const QuestionForm = ({ projectId }: { projectId: string }) => (
  <ActionForm
    inline
    clear
    schema={question}
    action={draftQuestionAction}
    fixed={{ projectId }}
    defaults={{ text: "" }}
    submit="Add to the bank"
    look="main"
  >
    <TextField name="text" label="A question for the client" className="w-[min(34rem,100%)] grow" />
  </ActionForm>
);
