"use client";

import { better } from "@/core/vocabulary/runs";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { saveChallengeAction } from "../actions";
import { challenge } from "../schema";

const { TextField, TextArea, SelectField } = fieldsOf(challenge);

const Fields = () => (
  <>
    <div className="grid gap-3 sm:grid-cols-2">
      <TextField name="title" label="Challenge" />
      <TextField name="heldOn" label="On" type="date" />
    </div>
    <TextArea
      name="task"
      label="Task"
      hint="What is given, what must be made, how long, and what counts. Everybody should succeed at something."
    />
    <div className="grid gap-3 sm:grid-cols-4">
      <TextField name="measure" label="Measured" hint="height, load, time" />
      <TextField name="unit" label="Unit" hint="cm, g, s; empty for a count" />
      <TextField name="resolution" label="Read to" hint="1 or 0.1" />
      <SelectField name="better" label="Better is" options={better.options} />
    </div>
  </>
);

const layout = "grid max-w-[720px] gap-3";

export const ChallengeForm = ({ projectId, slug, today }: { projectId: string; slug: string; today: string }) => (
  <ActionForm
    clear
    schema={challenge}
    action={saveChallengeAction}
    fixed={{ projectId }}
    defaults={{ title: "", task: "", heldOn: today, measure: "", unit: "", resolution: "", better: "more" }}
    submit="Set up the challenge"
    saved="The challenge is saved."
    goTo={`/p/${slug}/brief/challenge`}
    className={layout}
  >
    <Fields />
  </ActionForm>
);

/** Corrects a challenge that stands. */
export const EditChallenge = ({
  projectId,
  id,
  version,
  values,
}: {
  projectId: string;
  id: string;
  version: number;
  values: Record<"title" | "task" | "heldOn" | "measure" | "unit" | "resolution" | "better", string>;
}) => (
  <UnfoldForm
    label="correct"
    schema={challenge}
    action={saveChallengeAction}
    fixed={{ projectId, id, version }}
    defaults={values}
    submit="Save"
    className={layout}
  >
    <Fields />
  </UnfoldForm>
);
