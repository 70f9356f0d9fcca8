"use client";

import { reviewVerdict } from "@/core/vocabulary/grades";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { decideReviewAction } from "../actions";
import { decide } from "../schema";

const { TextArea, SelectField } = fieldsOf(decide);

export function VerdictForm({
  id,
  version,
  verdict,
  note,
}: {
  id: string;
  version: number;
  verdict: string;
  note: string;
}) {
  return (
    <ActionForm
      schema={decide}
      action={decideReviewAction}
      fixed={{ id, version }}
      defaults={{ verdict: verdict || "go on", note }}
      submit={verdict ? "Change the verdict" : "Give the verdict"}
      saved="Given."
    >
      <SelectField name="verdict" label="Verdict" options={reviewVerdict.options} />
      <TextArea name="note" label="In words" rows={2} />
    </ActionForm>
  );
}
