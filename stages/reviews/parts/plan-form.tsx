"use client";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { planReviewsAction } from "../actions";
import { planReviews } from "../schema";

const { TextField, SelectField, ChoiceField } = fieldsOf(planReviews);

export function PlanForm({ projectId, rubrics, teams }: { projectId: string; rubrics: Option[]; teams: Option[] }) {
  return (
    <ActionForm
      clear
      schema={planReviews}
      action={planReviewsAction}
      fixed={{ projectId }}
      defaults={{ title: "", heldOn: "", rubricId: rubrics[0]?.value ?? "", teamIds: teams.map((t) => t.value) }}
      submit="Plan reviews"
      saved="Planned."
    >
      <div className="grid gap-3 sm:grid-cols-3">
        <TextField name="title" label="Review" hint="for example Second review" />
        <TextField name="heldOn" label="Held on" type="date" />
        <SelectField name="rubricId" label="Rubric" options={rubrics} />
      </div>
      <ChoiceField
        name="teamIds"
        label="Teams"
        options={teams}
        hint="Each team is reviewed with its newest build, until its first sheet is in or another is chosen."
      />
    </ActionForm>
  );
}
