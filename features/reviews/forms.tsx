"use client";

import { useFieldArray, useFormContext } from "react-hook-form";
import { action, closeAction, decide, planReviews, rubric, sheet } from "@/data/schemas/judging";
import { ActButton, ActionForm, ChoiceField, FieldGroup, SelectField, TextArea, TextField } from "@/ui/form";
import { buttonClass, LinkButton } from "@/ui/page";
import { SheetForm } from "@/ui/sheet-form";
import {
  addActionAction,
  closeActionAction,
  decideReviewAction,
  planReviewsAction,
  reopenActionAction,
  saveRubricAction,
  submitSheetAction,
} from "./actions";

type Option = { value: string; label: string };

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
        hint="Each team is reviewed with the build that is its newest now."
      />
    </ActionForm>
  );
}

function Criteria() {
  const { control } = useFormContext();
  const { fields, append, remove } = useFieldArray({ control, name: "criteria" });
  return (
    <div className="grid gap-3">
      {fields.map((f, i) => (
        <FieldGroup key={f.id} name={`criteria.${i}`}>
          <div className="grid items-start gap-3 border-t border-line pt-3 sm:grid-cols-[1fr_90px_2fr_auto]">
            <TextField name="name" label="Criterion" />
            <TextField name="weight" label="Weight" inputMode="decimal" />
            <TextArea name="levelText" label="Levels" rows={4} hint="One a line: points, then what it takes" />
            <button type="button" className={`${buttonClass("quiet")} mt-5`} onClick={() => remove(i)}>
              remove
            </button>
          </div>
        </FieldGroup>
      ))}
      <button
        type="button"
        className={`${buttonClass("quiet")} justify-self-start`}
        onClick={() => append({ name: "", weight: "1", levelText: "0 not shown\n1 begun\n2 sound\n3 excellent" })}
      >
        add a criterion
      </button>
    </div>
  );
}

const levelsOf = (text: string) =>
  text
    .split("\n")
    .map((l) => l.trim())
    .filter(Boolean)
    .map((l) => {
      const [points = "", ...rest] = l.split(/[\s:–-]+/);
      return { points, descriptor: l.slice(points.length).replace(/^[\s:–-]+/, "") || rest.join(" ") };
    });

export function RubricForm({
  projectId,
  slug,
  id,
  version,
  defaults,
}: {
  projectId: string;
  slug: string;
  id?: string;
  version: number;
  defaults: { name: string; criteria: { key: string; name: string; weight: string; levelText: string }[] };
}) {
  return (
    <ActionForm
      schema={rubric}
      action={saveRubricAction}
      fixed={{ projectId, id, version }}
      defaults={defaults}
      submit={id ? "Save a new version" : "Save rubric"}
      goTo={`/p/${slug}/reviews`}
      cancel={
        <LinkButton href={`/p/${slug}/reviews`} look="quiet">
          Leave without saving
        </LinkButton>
      }
      className="grid max-w-[900px] gap-4"
      shape={(v) => ({
        name: v.name,
        criteria: (v.criteria as { key?: string; name: string; weight: string; levelText: string }[]).map((c, i) => ({
          key: c.key || `c${i + 1}`,
          name: c.name,
          weight: c.weight,
          levels: levelsOf(c.levelText),
        })),
      })}
    >
      <TextField name="name" label="Name" className="max-w-80" />
      <Criteria />
    </ActionForm>
  );
}

export function StaffSheet(props: {
  reviewId: string;
  version: number;
  criteria: Parameters<typeof SheetForm>[0]["criteria"];
  rater: string;
  marks: { criterion: string; points: string; comment: string }[];
  comment: string;
}) {
  return <SheetForm schema={sheet} action={submitSheetAction} asksName={false} saved="Handed in." {...props} />;
}

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
      <SelectField
        name="verdict"
        label="Verdict"
        options={["go on", "go on with fixes", "stop and rework"].map((v) => ({ value: v, label: v }))}
      />
      <TextArea name="note" label="In words" rows={2} />
    </ActionForm>
  );
}

export function ActionItemForm({ reviewId, members, due }: { reviewId: string; members: Option[]; due: string }) {
  return (
    <ActionForm
      clear
      schema={action}
      action={addActionAction}
      fixed={{ reviewId }}
      defaults={{ what: "", ownerId: "", dueOn: due }}
      submit="Add action"
      look="plain"
    >
      <TextField name="what" label="Action" />
      <div className="grid gap-3 sm:grid-cols-2">
        <SelectField name="ownerId" label="Owner" empty="the team" options={members} />
        <TextField name="dueOn" label="Due" type="date" />
      </div>
    </ActionForm>
  );
}
export const CloseForm = ({ id, version }: { id: string; version: number }) => (
  <ActionForm
    inline
    schema={closeAction}
    action={closeActionAction}
    fixed={{ id, version }}
    defaults={{ evidence: "" }}
    submit="Close"
    look="plain"
  >
    <TextField
      name="evidence"
      label="What shows that it is done"
      hideLabel
      placeholder="what shows that it is done"
      className="w-56"
    />
  </ActionForm>
);
export const ReopenButton = ({ id, version }: { id: string; version: number }) => (
  <ActButton action={reopenActionAction} input={{ id, version }} look="quiet">
    reopen
  </ActButton>
);
