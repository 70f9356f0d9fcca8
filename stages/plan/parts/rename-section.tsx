"use client";

import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { renameSectionAction } from "../actions";
import { renameSection } from "../schema";

const { TextField } = fieldsOf(renameSection);

/** Gives a section another name. */
export const RenameSection = ({
  projectId,
  sectionId,
  version,
  name,
}: {
  projectId: string;
  sectionId: string;
  version: number;
  name: string;
}) => (
  <UnfoldForm
    label="rename"
    inline
    schema={renameSection}
    action={renameSectionAction}
    fixed={{ projectId, sectionId, version }}
    defaults={{ name }}
    submit="Rename"
  >
    <TextField name="name" label="Section" className="w-32" />
  </UnfoldForm>
);
