"use client";

import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import type { Option } from "@/ui/option";
import { editActionAction, editReviewAction, reopenReviewAction } from "../actions";
import { editAction, editReview, reopenReview } from "../schema";
import { ChangesField, DueField } from "./action-item-form";

const review = fieldsOf(editReview);
const verdict = fieldsOf(reopenReview);
const item = fieldsOf(editAction);

/** Corrects a review's name, day and build. */
export const EditReview = ({
  id,
  version,
  values,
  builds,
}: {
  id: string;
  version: number;
  values: { title: string; heldOn: string; buildId: string };
  builds: Option[];
}) => (
  <UnfoldForm
    label="Correct"
    schema={editReview}
    action={editReviewAction}
    fixed={{ id, version }}
    defaults={{ ...values, reason: "" }}
    submit="Save"
    className="sheet mb-3 grid w-full gap-3 px-4 py-3 sm:grid-cols-4"
  >
    <review.TextField name="title" label="Review" />
    <review.TextField name="heldOn" label="Held on" type="date" />
    <review.SelectField name="buildId" label="Build" empty="the newest, until a sheet is in" options={builds} />
    <review.TextField name="reason" label="Why" hint="if it matters later" />
  </UnfoldForm>
);

/** Takes a verdict back; sheets can be corrected again. */
export const ReopenReview = ({ id, version }: { id: string; version: number }) => (
  <UnfoldForm
    label="take the verdict back"
    inline
    schema={reopenReview}
    action={reopenReviewAction}
    fixed={{ id, version }}
    defaults={{ reason: "" }}
    submit="Take it back"
  >
    <verdict.TextField name="reason" label="Why" className="w-52" />
  </UnfoldForm>
);

/** Corrects an open action. */
export const EditAction = ({
  id,
  version,
  values,
  members,
  sessions,
}: {
  id: string;
  version: number;
  values: { what: string; ownerId: string; dueOn: string; changesDesign: boolean };
  members: Option[];
  sessions: readonly Option[];
}) => (
  <UnfoldForm
    label="correct"
    schema={editAction}
    action={editActionAction}
    fixed={{ id, version }}
    defaults={values}
    submit="Save"
    className="grid gap-2"
  >
    <item.TextField name="what" label="Action" />
    <div className="grid gap-3 sm:grid-cols-2">
      <item.SelectField name="ownerId" label="Owner" empty="the team" options={members} />
      <DueField sessions={sessions} />
    </div>
    <ChangesField />
  </UnfoldForm>
);
