"use client";

import { appealOutcome } from "@/core/vocabulary/grades";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { useNewId } from "@/ui/new-id";
import type { Option } from "@/ui/option";
import { answerAppealAction, fileAppealAction } from "../actions";
import { answerAppeal, fileAppeal } from "../schema";

const asked = fieldsOf(fileAppeal);
const answered = fieldsOf(answerAppeal);

/** A student asks to look at the grade again. */
export function AppealForm({ publicationId, components }: { publicationId: string; components: Option[] }) {
  const [id, renew] = useNewId();
  return (
    <UnfoldForm
      onDone={renew}
      label="Ask to look at it again"
      buttonLook="plain"
      schema={fileAppeal}
      action={fileAppealAction}
      fixed={{ id, publicationId }}
      defaults={{ component: "", words: "" }}
      submit="Ask"
    >
      <asked.SelectField name="component" label="About" empty="the grade as a whole" options={components} />
      <asked.TextArea name="words" label="What should be looked at, and why" rows={3} />
    </UnfoldForm>
  );
}

/** The instructor's answer to an appeal. */
export function AnswerForm({
  id,
  version,
  outcome,
  answer,
}: {
  id: string;
  version: number;
  outcome: string;
  answer: string;
}) {
  const form = {
    schema: answerAppeal,
    action: answerAppealAction,
    fixed: { id, version },
    defaults: { outcome, answer },
    submit: "Answer",
  };
  const fields = (
    <>
      <answered.SelectField name="outcome" label="Outcome" empty="choose" options={appealOutcome.options} />
      <answered.TextArea name="answer" label="Answer to the student" rows={2} />
    </>
  );
  return outcome ? (
    <UnfoldForm label="change the answer" {...form}>
      {fields}
    </UnfoldForm>
  ) : (
    <ActionForm {...form}>{fields}</ActionForm>
  );
}
