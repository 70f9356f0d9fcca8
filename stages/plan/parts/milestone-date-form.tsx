"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { setMilestoneDateAction } from "../actions";
import { milestoneDate } from "../schema";

const { TextField } = fieldsOf(milestoneDate);

export const MilestoneDateForm = ({
  milestoneId,
  sectionId,
  dueOn,
  label,
}: {
  milestoneId: string;
  sectionId: string;
  dueOn: string;
  label: string;
}) => (
  <ActionForm
    inline
    schema={milestoneDate}
    action={setMilestoneDateAction}
    fixed={{ milestoneId, sectionId }}
    defaults={{ dueOn }}
    submit="Set"
    look="plain"
  >
    <TextField name="dueOn" label={label} type="date" className="w-38" />
  </ActionForm>
);
