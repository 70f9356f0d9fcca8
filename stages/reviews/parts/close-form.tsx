"use client";

import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import type { Option } from "@/ui/option";
import { PictureUpload } from "@/ui/picture";
import { addActionPhotoAction, closeActionAction } from "../actions";
import { closeAction } from "../schema";

const { TextField, SelectField } = fieldsOf(closeAction);

/** Closes an action by what shows that it is done: words, a build, a run. */
export const CloseForm = ({
  id,
  version,
  builds,
  runs,
}: {
  id: string;
  version: number;
  builds: readonly Option[];
  runs: readonly Option[];
}) => (
  <UnfoldForm
    label="close"
    schema={closeAction}
    action={closeActionAction}
    fixed={{ id, version }}
    defaults={{ evidence: "", buildId: "", runId: "" }}
    submit="Close"
    className="grid w-full gap-2"
  >
    <TextField name="evidence" label="What shows that it is done" />
    <div className="grid gap-3 sm:grid-cols-2">
      <SelectField name="buildId" label="Shown by a build" empty="none" options={builds} />
      <SelectField name="runId" label="or by a run" empty="none" options={runs} />
    </div>
  </UnfoldForm>
);

export const ActionPhoto = ({ id }: { id: string }) => (
  <PictureUpload action={addActionPhotoAction} input={{ id }} label="Picture of what was done" look="quiet">
    add a picture
  </PictureUpload>
);
