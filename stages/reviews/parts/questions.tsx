"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Send } from "@/ui/form/result";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { answerQuestionAction, withdrawQuestionAction } from "../actions";
import type { Question } from "../queries/reviews";
import { answerQuestion, askQuestion } from "../schema";

const ask = fieldsOf(askQuestion);
const answer = fieldsOf(answerQuestion);

/** Writes down a question; a guest says whose it is. */
export const AskForm = ({
  reviewId,
  action,
  rater,
  via,
}: {
  reviewId: string;
  action: Send<{ id: string }>;
  /** The name that a guest's questions go under; nothing for who is signed in. */
  rater?: string;
  via?: "guest";
}) => (
  <ActionForm
    clear
    schema={askQuestion}
    action={action}
    fixed={{ reviewId, ...(rater && { raterName: rater }) }}
    defaults={{ question: "" }}
    submit="Write down"
    look="plain"
    via={via}
  >
    <ask.TextField name="question" label="A question that was asked" />
  </ActionForm>
);

/** What was asked and what was answered; who asked is told to instructors. */
export function Questions({
  questions,
  staff,
  answers,
}: {
  questions: readonly Question[];
  staff: boolean;
  /** Whether the reader writes answers down. */
  answers: boolean;
}) {
  if (!questions.length) return <p className="mb-2 text-soft">None is written down.</p>;
  return (
    <ul className="mb-3">
      {questions.map((q) => (
        <li key={q.id} className="border-b border-line py-1.5 last:border-0">
          <p className="font-[600]">
            {q.question} {staff && <span className="text-sm font-normal text-soft">{q.askedBy}</span>}
          </p>
          <p className={q.answer ? "" : "text-sm text-ochre-deep"}>{q.answer || "not answered yet"}</p>
          <div className="no-print flex flex-wrap gap-3 text-sm">
            {answers && (
              <UnfoldForm
                label={q.answer ? "correct the answer" : "write the answer"}
                schema={answerQuestion}
                action={answerQuestionAction}
                fixed={{ id: q.id, version: q.version }}
                defaults={{ answer: q.answer }}
                submit="Save"
                className="grid w-full gap-2"
              >
                <answer.TextArea name="answer" label="Answer" rows={2} />
              </UnfoldForm>
            )}
            {staff && (
              <WithdrawButton action={withdrawQuestionAction} id={q.id}>
                withdraw
              </WithdrawButton>
            )}
          </div>
        </li>
      ))}
    </ul>
  );
}
