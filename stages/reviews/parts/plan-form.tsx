"use client";

import { useFormContext } from "react-hook-form";
import { type ReviewKind, reviewKind } from "@/core/vocabulary/reviews";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { planReviewsAction } from "../actions";
import { planReviews } from "../schema";
import { reviewTemplates } from "../view/review-templates";

const { TextField, SelectField, ChoiceField } = fieldsOf(planReviews);

/** A kind of review, which fills in what was left as the kind before had it. */
function KindField({ rubrics }: { rubrics: readonly Option[] }) {
  const { getValues, setValue } = useFormContext();
  const take = (kind: string) => {
    const [was, now] = [reviewTemplates[getValues("kind") as ReviewKind], reviewTemplates[kind as ReviewKind]];
    for (const key of ["title", "takesPart"] as const)
      if (!getValues(key) || getValues(key) === was?.[key]) setValue(key, now[key]);
    setValue("rubricId", rubrics.find((r) => r.label.startsWith(now.rubric))?.value ?? "");
  };
  return <SelectField name="kind" label="Kind" options={reviewKind.options} onChosen={take} />;
}

function ShelfHint() {
  const kind = useFormContext().watch("kind") as ReviewKind;
  const { rubric, minutes } = reviewTemplates[kind] ?? reviewTemplates.design;
  return `Left out: “${rubric}” of the shelf. A team takes about ${minutes} minutes.`;
}

export function PlanForm({ projectId, rubrics, teams }: { projectId: string; rubrics: Option[]; teams: Option[] }) {
  const first = reviewTemplates.design;
  return (
    <ActionForm
      clear
      schema={planReviews}
      action={planReviewsAction}
      fixed={{ projectId }}
      defaults={{
        kind: "design",
        title: "",
        heldOn: "",
        rubricId: rubrics[0]?.value ?? "",
        takesPart: first.takesPart,
        teamIds: teams.map((t) => t.value),
      }}
      submit="Plan reviews"
      saved="Planned."
    >
      <div className="grid gap-3 sm:grid-cols-3">
        <KindField rubrics={rubrics} />
        <TextField name="title" label="Review" hint="for example Second review" />
        <TextField name="heldOn" label="Held on" type="date" />
      </div>
      <div className="grid gap-3 sm:grid-cols-3">
        <SelectField
          name="rubricId"
          label="Rubric"
          empty="from the shelf, by its kind"
          options={rubrics}
          hint={<ShelfHint />}
        />
        <TextField name="takesPart" label="Who takes part" className="sm:col-span-2" />
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
