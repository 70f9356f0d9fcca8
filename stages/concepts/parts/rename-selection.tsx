"use client";

import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { renameSelectionAction } from "../actions";
import { renameSelection } from "../schema";

const { TextField } = fieldsOf(renameSelection);

/** Gives a choice between concepts another title. */
export const RenameSelection = ({ id, version, title }: { id: string; version: number; title: string }) => (
  <UnfoldForm
    label="Rename"
    inline
    schema={renameSelection}
    action={renameSelectionAction}
    fixed={{ id, version }}
    defaults={{ title }}
    submit="Rename"
  >
    <TextField name="title" label="Title" className="w-56" />
  </UnfoldForm>
);
