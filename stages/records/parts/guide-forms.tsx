"use client";

import { ArrowDown, ArrowUp } from "lucide-react";
import { ActButton } from "@/ui/form/act-button";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { useNewId } from "@/ui/new-id";
import type { Option } from "@/ui/option";
import {
  moveGuideStepAction,
  saveGuideAction,
  saveGuideStepAction,
  withdrawGuideAction,
  withdrawGuideStepAction,
} from "../actions";
import { guide, guideStep } from "../schema-kept";

const { TextField, TextArea, SelectField, CheckField } = fieldsOf(guide);
const step = fieldsOf(guideStep);

const Fields = () => (
  <>
    <TextField name="title" label="Title" />
    <TextArea name="intro" label="What comes out, and for whom" rows={2} />
    <TextField
      name="datum"
      label="Places are measured from"
      hint="front left corner of the base, x right, y back, z up"
    />
    <TextArea
      name="cautions"
      label="Cautions"
      rows={3}
      hint="One a line: what cuts, burns or springs, who has to be asked, what is worn."
    />
  </>
);

/** A guide to a build. */
export function NewGuide({ slug, builds }: { slug: string; builds: readonly Option[] }) {
  const [id] = useNewId();
  return (
    <ActionForm
      schema={guide}
      action={saveGuideAction}
      fixed={{ id }}
      defaults={{
        buildId: builds[0]?.value ?? "",
        title: "",
        intro: "",
        datum: "",
        cautions: "Eyes protected; only tools that you are signed off for. The school's workshop rules come first.",
        draft: true,
      }}
      submit="Begin the guide"
      goTo={`/p/${slug}/records/guides/:id`}
      className="grid max-w-xl gap-3"
    >
      <SelectField name="buildId" label="Build that is made again" options={[...builds]} />
      <Fields />
      <CheckField
        name="draft"
        label="A step for each part of its parts list"
        hint="To begin with; they can be changed."
      />
    </ActionForm>
  );
}

/** Corrects what a guide says of the whole. */
export const EditGuide = ({
  slug,
  id,
  buildId,
  version,
  defaults,
}: {
  slug: string;
  id: string;
  buildId: string;
  version: number;
  defaults: { readonly title: string; readonly intro: string; readonly datum: string; readonly cautions: string };
}) => (
  <UnfoldForm
    label="correct the guide"
    beside={
      <WithdrawButton
        action={withdrawGuideAction}
        id={id}
        name={defaults.title}
        says="The guide goes with its steps."
        goTo={`/p/${slug}/records/guides`}
      >
        take out
      </WithdrawButton>
    }
    schema={guide}
    action={saveGuideAction}
    fixed={{ id, buildId, version }}
    defaults={{ ...defaults }}
    submit="Save"
    className="grid max-w-xl gap-3"
  >
    <Fields />
  </UnfoldForm>
);

export interface StepDefaults {
  what: string;
  partId: string;
  count: string;
  at: string;
  caution: string;
  photoId: string;
}

const StepFields = ({ parts, photos }: { parts: readonly Option[]; photos: readonly Option[] }) => (
  <>
    <step.TextArea name="what" label="What is done" rows={2} />
    <div className="grid gap-3 sm:grid-cols-3">
      <step.SelectField name="partId" label="Part that is fitted" options={[...parts]} empty="none" />
      <step.TextField name="count" label="How many" inputMode="numeric" />
      <step.TextField name="at" label="Where: x × y × z" hint="120 × 0 × 35 mm, from the datum" />
    </div>
    <step.TextField name="caution" label="Caution at this step" hint="Hot glue: the joint burns for a minute." />
    {photos.length > 0 && <step.SelectField name="photoId" label="Picture" options={[...photos]} empty="none" />}
  </>
);

/** A step more, at the end. */
export function NewStep({
  guideId,
  parts,
  photos,
}: {
  guideId: string;
  parts: readonly Option[];
  photos: readonly Option[];
}) {
  const [id, renew] = useNewId();
  return (
    <UnfoldForm
      key={id}
      label="A step more"
      buttonLook="plain"
      schema={guideStep}
      action={saveGuideStepAction}
      fixed={{ id, guideId }}
      defaults={{ what: "", partId: "", count: "1", at: "", caution: "", photoId: "" }}
      submit="Add the step"
      className="grid max-w-2xl gap-3"
      onDone={renew}
    >
      <StepFields parts={parts} photos={photos} />
    </UnfoldForm>
  );
}

/** Corrects a step, moves it, or takes it out. */
export const EditStep = ({
  id,
  guideId,
  version,
  number,
  last,
  defaults,
  parts,
  photos,
}: {
  id: string;
  guideId: string;
  version: number;
  number: number;
  last: boolean;
  defaults: StepDefaults;
  parts: readonly Option[];
  photos: readonly Option[];
}) => (
  <UnfoldForm
    label={
      <>
        correct<span className="sr-only"> step {number}</span>
      </>
    }
    beside={
      <>
        {number > 1 && (
          <ActButton action={moveGuideStepAction} input={{ id, up: true }} look="quiet">
            <ArrowUp size={14} aria-hidden className="inline" />
            <span className="sr-only">step {number} earlier</span>
          </ActButton>
        )}
        {!last && (
          <ActButton action={moveGuideStepAction} input={{ id, up: false }} look="quiet">
            <ArrowDown size={14} aria-hidden className="inline" />
            <span className="sr-only">step {number} later</span>
          </ActButton>
        )}
        <WithdrawButton action={withdrawGuideStepAction} id={id} name={`step ${number}`}>
          take out
        </WithdrawButton>
      </>
    }
    schema={guideStep}
    action={saveGuideStepAction}
    fixed={{ id, guideId, version }}
    defaults={defaults}
    submit="Save"
    className="grid max-w-2xl gap-3"
  >
    <StepFields parts={parts} photos={photos} />
  </UnfoldForm>
);
