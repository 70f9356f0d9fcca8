"use client";

import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { useNewId } from "@/ui/new-id";
import { editRemarkAction, remarkOnEntryAction, withdrawRemarkAction } from "../actions";
import { editRemark, remark } from "../schema";

const New = fieldsOf(remark);
const Old = fieldsOf(editRemark);

/** A remark as it is shown: its time in words. */
export interface Said {
  readonly id: string;
  readonly text: string;
  readonly madeBy: string;
  readonly when: string;
  readonly version: number;
}

/** What instructors said of an entry; they add to it, correct and withdraw it. */
export function Remarks({ entryId, remarks, may }: { entryId: string; remarks: readonly Said[]; may: boolean }) {
  const [id, renew] = useNewId();
  return (
    <>
      {remarks.map((r) => (
        <div key={r.id} className="mt-1.5 max-w-[72ch] border-l-3 border-slate pl-2.5">
          <p className="whitespace-pre-wrap">{r.text}</p>
          <div className="text-sm text-soft">
            {r.madeBy}, {r.when}{" "}
            {may && (
              <UnfoldForm
                label="correct"
                schema={editRemark}
                action={editRemarkAction}
                fixed={{ id: r.id, version: r.version }}
                defaults={{ text: r.text }}
                submit="Save"
                beside={<WithdrawButton action={withdrawRemarkAction} id={r.id} />}
              >
                <Old.TextArea name="text" label="Remark" rows={2} />
              </UnfoldForm>
            )}
          </div>
        </div>
      ))}
      {may && (
        <UnfoldForm
          label="remark"
          schema={remark}
          action={remarkOnEntryAction}
          fixed={{ id, entryId }}
          key={id}
          defaults={{ text: "" }}
          submit="Say it to the student"
          onDone={renew}
        >
          <New.TextArea name="text" label="Remark" rows={2} hint="The student reads it under the entry." />
        </UnfoldForm>
      )}
    </>
  );
}
