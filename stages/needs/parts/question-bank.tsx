"use client";

import { ArrowDown, ArrowUp } from "lucide-react";
import { useState } from "react";
import { Checkbox } from "@/ui/checkbox";
import { cx } from "@/ui/classes";
import { Fold } from "@/ui/fold";
import { ActButton } from "@/ui/form/act-button";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { buttonClass } from "@/ui/page";
import { dropQuestionAction, editQuestionAction, mergeQuestionsAction, orderQuestionsAction } from "../actions";
import { editQuestion } from "../schema";

const { TextField, SelectField, CheckField } = fieldsOf(editQuestion);

interface QuestionLine {
  id: string;
  text: string;
  draftedBy: string;
  asker: string | null;
  askerId: string | null;
  forClient: boolean;
  answers: number;
  version: number;
  merged: { id: string; text: string; draftedBy: string }[];
}

/**
 * The bank as the class keeps it: in the order in which it is asked, drafts that say the same merged, each with who
 * asks it.
 */
export function QuestionBank({
  projectId,
  list,
  people,
  staff,
}: {
  projectId: string;
  list: QuestionLine[];
  people: Option[];
  staff: boolean;
}) {
  const [picked, setPicked] = useState<string[]>([]);
  const [edited, setEdited] = useState("");
  const ids = list.map((q) => q.id);
  const moved = (i: number, by: number) => {
    const next = [...ids];
    const [x] = next.splice(i, 1);
    next.splice(i + by, 0, x!);
    return next;
  };
  return (
    <>
      {list.length > 1 && (
        <div className="no-print mb-2 flex min-h-8 flex-wrap items-center gap-3 text-sm text-soft">
          {picked.length < 2 ? (
            "Tick questions that ask the same to merge them; the first one ticked is kept. The arrows put them " +
            "in order."
          ) : (
            <ActButton
              key={picked.join()}
              action={mergeQuestionsAction}
              input={{ projectId, into: picked[0], from: picked.slice(1) }}
              onDone={() => setPicked([])}
            >{`Merge ${picked.length} into “${list.find((q) => q.id === picked[0])?.text.slice(0, 50)}”`}</ActButton>
          )}
        </div>
      )}
      <ol className="sheet divide-y divide-line">
        {list.map((q, i) => (
          <li key={q.id} className="flex flex-wrap items-start gap-x-3 gap-y-1 px-3 py-2 sm:flex-nowrap">
            <Checkbox
              className="mt-[3px]"
              aria-label={`Choose “${q.text}”`}
              checked={picked.includes(q.id)}
              onChange={(on) => setPicked(on ? [...picked, q.id] : picked.filter((x) => x !== q.id))}
            />
            <span className="w-6 shrink-0 text-right text-soft">{i + 1}</span>
            <div className="min-w-0 grow">
              {edited === q.id ? (
                <ActionForm
                  schema={editQuestion}
                  action={editQuestionAction}
                  fixed={{ id: q.id, version: q.version }}
                  defaults={{ text: q.text, askerId: q.askerId ?? "", forClient: q.forClient }}
                  submit="Save"
                  onDone={() => setEdited("")}
                  cancel={
                    <button type="button" className={buttonClass("quiet")} onClick={() => setEdited("")}>
                      Leave
                    </button>
                  }
                >
                  <TextField name="text" label="Question" />
                  <SelectField name="askerId" label="Asked by" empty="nobody yet" options={people} />
                  <CheckField
                    name="forClient"
                    label="Stands on the client's page"
                    hint="The client answers it there in writing; the answer comes back as a source."
                  />
                </ActionForm>
              ) : (
                <p className="font-[600]">{q.text}</p>
              )}
              <div className="text-sm text-soft">
                {q.draftedBy}
                {q.merged.length > 0 && <>, with {q.merged.map((m) => m.draftedBy).join(", ")}</>}
                {q.merged.length > 0 && (
                  <Fold
                    className="inline-block"
                    labelClass="ml-2 inline underline"
                    label={<>{q.merged.length} merged</>}
                  >
                    <ul>
                      {q.merged.map((m) => (
                        <li key={m.id}>
                          “{m.text}” ({m.draftedBy})
                          {staff && (
                            <>
                              {" "}
                              <ActButton action={dropQuestionAction} input={{ id: m.id, dropped: false }} look="quiet">
                                take out again
                              </ActButton>
                            </>
                          )}
                        </li>
                      ))}
                    </ul>
                  </Fold>
                )}
              </div>
            </div>
            <span className="max-w-[50%] shrink-0 text-sm wrap-anywhere">
              {q.forClient ? (
                <span className="text-ochre-deep">on the client's page</span>
              ) : q.asker ? (
                <>
                  asked by <strong className="font-[600]">{q.asker}</strong>
                </>
              ) : (
                <span className="text-soft">nobody asks it yet</span>
              )}
              {q.answers > 0 && (
                <span className="text-soft">
                  {" "}
                  · {q.answers} {q.answers === 1 ? "note" : "notes"}
                </span>
              )}
            </span>
            <span className="no-print flex shrink-0 items-center gap-1">
              <span className={cx(i === 0 && "invisible")}>
                <ActButton
                  action={orderQuestionsAction}
                  input={{ projectId, ids: i ? moved(i, -1) : ids }}
                  look="quiet"
                >
                  <ArrowUp size={14} aria-label={`Move “${q.text}” up`} />
                </ActButton>
              </span>
              <span className={cx(i === list.length - 1 && "invisible")}>
                <ActButton
                  action={orderQuestionsAction}
                  input={{ projectId, ids: i < list.length - 1 ? moved(i, 1) : ids }}
                  look="quiet"
                >
                  <ArrowDown size={14} aria-label={`Move “${q.text}” down`} />
                </ActButton>
              </span>
              {staff && (
                <>
                  <button
                    type="button"
                    className={buttonClass("quiet")}
                    onClick={() => setEdited(edited === q.id ? "" : q.id)}
                  >
                    edit
                  </button>
                  <ActButton action={dropQuestionAction} input={{ id: q.id, dropped: true }} look="quiet">
                    drop
                  </ActButton>
                </>
              )}
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}
