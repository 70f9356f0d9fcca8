"use client";

import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { editSourceAction } from "../actions";
import { editSource } from "../schema";

const { TextField } = fieldsOf(editSource);

/** Corrects what a source is called, with whom it was, and when. */
export const EditSource = ({
  id,
  version,
  values,
}: {
  id: string;
  version: number;
  values: { title: string; who: string; heldOn: string };
}) => (
  <UnfoldForm
    label="Correct"
    schema={editSource}
    action={editSourceAction}
    fixed={{ id, version }}
    defaults={values}
    submit="Save"
    className="sheet grid w-full gap-3 px-4 py-3 sm:grid-cols-3"
  >
    <TextField name="title" label="Title" />
    <TextField name="who" label="With whom, or where" />
    <TextField name="heldOn" label="On" type="date" />
  </UnfoldForm>
);
