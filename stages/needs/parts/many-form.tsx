"use client";

import { useFormContext } from "react-hook-form";
import { priority, type RegisterChange, registerChange } from "@/core/vocabulary/needs";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import type { Option } from "@/ui/option";
import { useChosen } from "@/ui/table-chosen";
import { toast } from "@/ui/toast";
import { changeRequirementsAction } from "../actions";
import { changeRequirements } from "../schema";

const { SelectField, TextField } = fieldsOf(changeRequirements);

function Fields({ people }: { people: Option[] }) {
  const change = useFormContext().watch("change") as RegisterChange;
  return (
    <>
      <SelectField name="change" label="Do" options={registerChange.options} className="w-40" />
      {change === "priority" && (
        <SelectField name="priority" label="Priority" options={priority.options} className="w-32" />
      )}
      {change === "owner" && (
        <SelectField name="ownerId" label="Looked after by" empty="nobody" options={people} className="w-44" />
      )}
      {change === "retire" && <TextField name="reason" label="Why they no longer hold" className="w-72" />}
    </>
  );
}

/** What can be done to all the requirements that are ticked. */
export function ManyForm({ projectId, people }: { projectId: string; people: Option[] }) {
  const { ids, end } = useChosen();
  return (
    <ActionForm
      inline
      schema={changeRequirements}
      action={changeRequirementsAction}
      fixed={{ projectId }}
      defaults={{ change: "priority", priority: "should", ownerId: "", reason: "" }}
      shape={(v) => ({ ...v, ids })}
      submit={`Change ${ids.length}`}
      look="plain"
      onDone={({ changed }) => {
        toast(`${changed} ${changed === 1 ? "requirement was" : "requirements were"} changed.`);
        end();
      }}
    >
      <Fields people={people} />
    </ActionForm>
  );
}
