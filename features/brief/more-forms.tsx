"use client";

import { challenge, briefRule } from "@/data/schemas/front";
import { ActButton, ActionForm, QuantityField, SelectField, TextArea, TextField } from "@/ui/form";
import * as yup from "yup";
import {
  linkBriefRuleAction,
  recordChallengeAction,
  removeChallengeResultAction,
  saveChallengeAction,
} from "./actions";

type Choice = { value: string; label: string };

export const RuleLink = ({
  projectId,
  ruleKey,
  requirementId,
  requirements,
}: {
  projectId: string;
  ruleKey: string;
  requirementId: string;
  requirements: Choice[];
}) => (
  <ActionForm
    inline
    schema={briefRule}
    action={linkBriefRuleAction}
    fixed={{ projectId, key: ruleKey }}
    defaults={{ requirementId }}
    submit="Link"
    look="plain"
  >
    <SelectField
      name="requirementId"
      label="Requirement"
      hideLabel
      empty="no requirement"
      options={requirements}
      className="w-44"
    />
  </ActionForm>
);

export const ChallengeForm = ({ projectId, slug, today }: { projectId: string; slug: string; today: string }) => (
  <ActionForm
    clear
    schema={challenge}
    action={saveChallengeAction}
    fixed={{ projectId }}
    defaults={{ title: "", task: "", heldOn: today, measure: "", unit: "", resolution: "", better: "more" }}
    submit="Set up the challenge"
    goTo={`/p/${slug}/brief/challenge`}
    className="grid max-w-[720px] gap-3"
  >
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
      <SelectField
        name="better"
        label="Better is"
        options={[
          { value: "more", label: "more" },
          { value: "less", label: "less" },
        ]}
      />
    </div>
  </ActionForm>
);

const result = yup.object({
  who: yup.string().trim().max(120).required("Who was it?"),
  value: yup.string().trim().required("What was measured?"),
});
export const ResultForm = ({ challengeId, unit, measure }: { challengeId: string; unit: string; measure: string }) => (
  <ActionForm
    inline
    clear
    schema={result}
    action={recordChallengeAction}
    defaults={{ who: "", value: "" }}
    shape={(v) => ({ ...v, challengeId, id: crypto.randomUUID() })}
    submit="Record"
    look="main"
  >
    <TextField name="who" label="Group" className="w-44" />
    <QuantityField name="value" label={measure} unit={unit} className="w-36" />
  </ActionForm>
);
export const RemoveResult = ({ id }: { id: string }) => (
  <ActButton action={removeChallengeResultAction} input={{ id }} look="quiet" confirm="The result goes.">
    remove
  </ActButton>
);
