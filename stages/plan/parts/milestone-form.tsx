"use client";

import { useFormContext } from "react-hook-form";
import { milestoneScope } from "@/core/vocabulary/project";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { saveMilestoneAction } from "../actions";
import { milestone } from "../schema";

const { TextField, SelectField, CheckField } = fieldsOf(milestone);

/** Asked for once the date was questioned. */
function Outside() {
  const form = useFormContext();
  return form.getFieldState("dueOn", form.formState).error || form.watch("meant") ? (
    <CheckField name="meant" label="outside the project's dates on purpose" />
  ) : null;
}

const Fields = () => (
  <>
    <TextField name="title" label="Milestone" className="w-48" />
    <TextField name="dueOn" label="Due" type="date" className="w-38" />
    <SelectField name="scope" label="Passed by" options={milestoneScope.options} />
    <Outside />
  </>
);

export const MilestoneForm = ({ projectId }: { projectId: string }) => (
  <ActionForm
    inline
    clear
    schema={milestone}
    action={saveMilestoneAction}
    fixed={{ projectId }}
    defaults={{ title: "", dueOn: "", scope: "team", meant: false }}
    submit="Add milestone"
    look="plain"
  >
    <Fields />
  </ActionForm>
);

/** Corrects a milestone. */
export const EditMilestone = ({
  projectId,
  id,
  version,
  values,
}: {
  projectId: string;
  id: string;
  version: number;
  values: { title: string; dueOn: string; scope: string };
}) => (
  <UnfoldForm
    label="correct"
    inline
    schema={milestone}
    action={saveMilestoneAction}
    fixed={{ projectId, id, version }}
    defaults={{ ...values, meant: false }}
    submit="Save"
  >
    <Fields />
  </UnfoldForm>
);
