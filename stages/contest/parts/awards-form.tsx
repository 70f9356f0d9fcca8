"use client";

import { awardKind } from "@/core/vocabulary/contest";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { saveAwardsAction } from "../actions";
import { awards } from "../schema";

const { ChoiceField } = fieldsOf(awards);

/** Which awards the contest gives. */
export const AwardsForm = ({ projectId, given }: { projectId: string; given: readonly string[] }) => (
  <UnfoldForm
    label="choose the awards"
    schema={awards}
    action={saveAwardsAction}
    fixed={{ projectId }}
    defaults={{ given: [...given] }}
    submit="Save"
    saved="Saved."
    className="grid gap-3"
  >
    <ChoiceField name="given" label="Awards that are given" options={awardKind.options} />
  </UnfoldForm>
);
