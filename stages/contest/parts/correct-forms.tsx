"use client";

import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import type { Option } from "@/ui/option";
import { changeEntryAction, renameEventAction } from "../actions";
import { changeEntry, renameEvent } from "../schema";

const event = fieldsOf(renameEvent);
const entry = fieldsOf(changeEntry);

/** Renames an event whose rules are fixed already. */
export const RenameEvent = ({ id, version, name }: { id: string; version: number; name: string }) => (
  <UnfoldForm
    label="Rename"
    inline
    schema={renameEvent}
    action={renameEventAction}
    fixed={{ id, version }}
    defaults={{ name }}
    submit="Rename"
  >
    <event.TextField name="name" label="Name" className="w-48" />
  </UnfoldForm>
);

/** Lets a team enter with another of its builds, which is then inspected anew. */
export const ChangeEntry = ({
  id,
  version,
  buildId,
  builds,
}: {
  id: string;
  version: number;
  buildId: string;
  builds: Option[];
}) => (
  <UnfoldForm
    label="another build"
    schema={changeEntry}
    action={changeEntryAction}
    fixed={{ id, version }}
    defaults={{ buildId, reason: "" }}
    submit="Enter with it"
    className="grid gap-2"
  >
    <entry.SelectField name="buildId" label="Enters with" empty="choose" options={builds} />
    <entry.TextField name="reason" label="Why" hint="It is inspected anew." />
  </UnfoldForm>
);
