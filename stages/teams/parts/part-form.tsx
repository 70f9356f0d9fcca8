"use client";

import { useState } from "react";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { buttonClass } from "@/ui/page";
import { savePartAction } from "../actions";
import { part } from "../schema";

const { TextField, ChoiceField } = fieldsOf(part);

export function PartForm({
  teamId,
  members,
  edit,
}: {
  teamId: string;
  members: Option[];
  edit?: { id: string; version: number; name: string; role: string; owners: string[] };
}) {
  const [open, setOpen] = useState(!edit);
  if (!open)
    return (
      <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(true)}>
        edit
      </button>
    );
  const { id, version, ...values } = edit ?? { id: undefined, version: 0, name: "", role: "", owners: [] as string[] };
  return (
    <ActionForm
      clear={!edit}
      schema={part}
      action={savePartAction}
      fixed={{ teamId, id, version }}
      defaults={values}
      submit={edit ? "Save" : "Add part"}
      look="plain"
      onDone={() => edit && setOpen(false)}
    >
      <div className="flex flex-wrap gap-3">
        <TextField name="name" label="Part" className="w-44" />
        <TextField name="role" label="Role that designs it" className="w-36" />
      </div>
      <ChoiceField name="owners" label="Who has it" options={members} />
    </ActionForm>
  );
}
